import { eventWords, lastDayOf } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { RibbonView } from '#contract/ribbon.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';

type Lane = RibbonView['lanes'][number];

const DATELESS: readonly ItemClock['state'][] = ['off', 'unknown', 'waiting'];
const IS_DUE: readonly ItemClock['state'][] = ['due', 'overdue'];

/** The day, from today, on which a clock falls due, the first one where it is due already; null for what has no day. */
function dayOf({ item, state, due }: ItemClock, first: number, today: LocalDate): number | null {
  if (item.trigger.kind === 'every-play' || DATELESS.includes(state)) return null;
  if (IS_DUE.includes(state)) return first;
  return due === null ? null : Math.max(first, daysBetween(today, due.on));
}

/**
 * What falls due on an instrument in the weeks to come, day by day; what is due already, today. At the bench nothing is done
 * at home: it waits until the day it is back.
 */
function dueOn({ situation }: Reading, today: LocalDate): Lane['due'] {
  const days = new Map<number, string[]>();
  const { care, calendar } = situation(today);
  const back = calendar.awayUntil;
  const first = back === null ? 0 : daysBetween(today, back);
  for (const clock of care.clocks) {
    const day = dayOf(clock, first, today);
    if (day === null || day >= SITTING_DAYS) continue;
    const names = days.get(day);
    if (names) names.push(clock.item.name);
    else days.set(day, [clock.item.name]);
  }
  return [...days].map(([day, names]) => ({ day, names }));
}

function laneOf(reading: Reading, today: LocalDate): Lane[] {
  const { instrument, player, facts } = reading;
  if (instrument.leftOn !== null) return [];
  const last = addDays(today, SITTING_DAYS - 1);
  const events = facts.events
    .filter((event) => event.instrumentIds.includes(instrument.id) && lastDayOf(event) >= today && event.on <= last)
    .map((event) => ({
      what: event.what,
      from: Math.max(0, daysBetween(today, event.on)),
      to: Math.min(SITTING_DAYS - 1, daysBetween(today, lastDayOf(event))),
      words: eventWords(event),
    }));
  return [
    { instrumentId: instrument.id, name: instrument.name, playerName: player.name, due: dueOn(reading, today), events },
  ];
}

/** Six weeks of every instrument in the record, read in turns so that nobody waits for it. */
export async function ribbonOf({ readings }: Services, today: LocalDate): Promise<RibbonView> {
  const lanes = await inTurns(readings.onShelf(), (read) => {
    const reading = read();
    return reading === undefined ? [] : laneOf(reading, today);
  });
  return { today, lanes };
}
