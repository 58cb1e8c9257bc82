import { eventWords, lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import { asSentence, duration, type Format } from '#core/explain/format.ts';
import { eventClashes, setTooNear } from '#core/calendar/event-clashes.ts';
import { isLaidBy } from '#core/faults/faults-standing.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { reedFamilyOf } from '#core/reeds/reed.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { clockTime } from '#core/plays/play-words.ts';
import { handsFor } from '#core/players/player.ts';
import { unknownWork, type DueThing } from '#core/sittings/due-things.ts';
import { whyNoDay } from '#core/sittings/no-day.ts';
import { SITTING_DAYS, USUAL_TIME } from '#core/sittings/sitting-numbers.ts';
import {
  handsWords,
  placedWords,
  sittingMinutes,
  sittingsWhy,
  sittingsWords,
  type SittingsTold,
} from '#core/sittings/sitting-words.ts';
import { dueBefore, onOwnDates, type SittingPlan } from '#core/sittings/sittings.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { DoneItemView, PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { costOfWeeks, weeksOf, type Weeks } from '#server/features/calendar/sitting-weeks.ts';
import { startOn } from '#server/features/calendar/weeks-read.ts';
import type { Services } from '#server/services.ts';

const countOf = (plan: SittingPlan): number => new Set(plan.flat()).size;

/** When it falls due. A later time of the same thing is counted from the day before it: nobody knows its range. */
function dueOf({ clock, thing }: DueThing, days: readonly number[], day: number | null, today: LocalDate) {
  const known = day === null || day === days[0] ? clock.due : null;
  const on = addDays(today, day === null ? thing.due : dueBefore(thing, days, day));
  const { earliest = null, latest = null } = known ?? {};
  return { dueOn: known?.on ?? on, earliest, latest };
}

/** A thing on a day of its own, or on none. */
function placedView(one: DueThing, days: readonly number[], day: number | null, weeks: Weeks): PlacedItemView {
  const { own, today, of } = weeks;
  const { clock, thing, instrumentId } = one;
  const reading = own.find(({ instrument }) => instrument.id === instrumentId);
  const hands = reading ? handsWords[handsFor(clock.item.skill, reading.player)] : '';
  const placed = day === null ? whyNoDay(one, of.time) : placedWords(day, dueBefore(thing, days, day));
  const isSet = day !== null && thing.set.includes(day);
  return {
    instrumentId,
    instrumentName: reading?.instrument.name ?? '',
    itemId: clock.item.id,
    name: clock.item.name,
    words: `${isSet ? 'You have set this day.' : placed}${hands === '' ? '' : ` Only ${hands}.`}`,
    hands,
    isSet,
    ...dueOf(one, days, day, today),
  };
}

/** The sittings of the plan, earliest first, each under the name it has been shown by. */
function sittingViews(weeks: Weeks): SittingsView['sittings'] {
  const { shown, due, plan, today } = weeks;
  return shown
    .filter(({ state }) => state === 'planned')
    .map(({ uid, on, minutes }) => {
      const day = daysBetween(today, on);
      const items = due.flatMap((one, at) => {
        const days = plan[at] ?? [];
        return days.includes(day) ? [placedView(one, days, day, weeks)] : [];
      });
      return { uid, on, atMinute: startOn(weeks, on), minutes, words: sittingMinutes(minutes), items };
    })
    .toSorted((a, b) => (a.on < b.on ? -1 : 1));
}

/** The care of the last two weeks, day by day, the latest first: what runs and entries have recorded. */
export function pastViews({ own, today }: Weeks, { care }: Services): SittingsView['past'] {
  const from = addDays(today, -PAST_DAYS);
  const days = new Map<LocalDate, DoneItemView[]>();
  for (const { instrument, situation } of own)
    for (const { item, lastDone } of situation(today).care.clocks) {
      if (item.trigger.kind === 'every-play' || lastDone === null || lastDone.on < from) continue;
      const done = { instrumentId: instrument.id, instrumentName: instrument.name, itemId: item.id, name: item.name };
      const on = [lastDone.on, ...care.doneSince(instrument.id, item.id, from)];
      for (const day of new Set(on)) days.set(day, [...(days.get(day) ?? []), done]);
    }
  return [...days].map(([on, items]) => ({ on, items })).toSorted((a, b) => (a.on > b.on ? -1 : 1));
}
const PAST_DAYS = 14;

export function eventViewIn(event: CalendarEvent): SittingsView['events'][number] {
  const { key, what, on, atMinute, minutes, instrumentIds } = event;
  const at = atMinute === null ? '' : ` at ${clockTime(atMinute)}`;
  const words = `${eventWords(event)}${at}${minutes === null ? '' : `, ${duration(minutes)}`}`;
  return {
    key,
    what,
    on,
    until: lastDayOf(event),
    words: asSentence(words),
    instrumentIds: [...instrumentIds],
  };
}

/** Instruments with care of which nobody knows when it was last done. */
const unknownViews = ({ own, today }: Weeks): SittingsView['unknown'] =>
  own.flatMap(({ instrument: { id, name }, situation, player }) => {
    const count = unknownWork(situation(today), player).length;
    return count === 0 ? [] : [{ instrumentId: id, name, count }];
  });

/** Instruments that are laid by: their care waits, and it is said here, too. */
const stoppedViews = ({ own, today }: Weeks): SittingsView['stopped'] =>
  own.flatMap(({ instrument: { id, name }, situation }) => {
    const { faults } = situation(today);
    return faults.stopped === null || !isLaidBy(faults)
      ? []
      : [{ instrumentId: id, name, heading: faults.stopped.rule.heading }];
  });

/** What does not go together of what is on, and of what the player has set. */
function clashesOf({ own, events, due, today }: Weeks, format: Format): string[] {
  const instruments = own.map(({ instrument: { id, name } }) => ({ instrumentId: id, name }));
  const set = due.map(({ clock, instrumentId, thing, settling }) => ({
    name: clock.item.name,
    instrumentName: instruments.find((one) => one.instrumentId === instrumentId)?.name ?? '',
    set: thing.set,
    settling,
  }));
  return [...eventClashes(events, { today, instruments, format }), ...setTooNear(set, { today, format })];
}

/** Is there any time, and if not, why? */
const timeTold = ({ of, said }: Weeks): SittingsTold['time'] =>
  of.time.some((minutes) => minutes > 0)
    ? 'some'
    : said !== null && said.every((minutes) => minutes === 0)
      ? 'none-said'
      : 'none-left';

function viewOf(weeks: Weeks, services: Services): SittingsView {
  const { format, book } = services;
  const { playerId, today, due, beyond, plan, gap, said, of } = weeks;
  const last = addDays(today, SITTING_DAYS - 1);
  const left = due.filter(({ thing }, at) => plan[at]?.length === 0 && thing.due < SITTING_DAYS);
  const told = {
    count: countOf(plan),
    apart: countOf(onOwnDates(of)),
    left: left.length,
    beyond,
    gap,
    time: timeTold(weeks),
  };
  return {
    playerId,
    today,
    said: said && [...said],
    usual: USUAL_TIME.map(({ value }) => value),
    startsAt: weeks.startsAt && [...weeks.startsAt],
    time: [...of.time],
    sittings: sittingViews(weeks),
    past: pastViews(weeks, services),
    stopped: stoppedViews(weeks),
    clashes: clashesOf(weeks, format),
    left: left.map((one) => placedView(one, [], null, weeks)),
    unknown: unknownViews(weeks),
    events: weeks.events.filter(({ on }) => on <= last).map(eventViewIn),
    instruments: weeks.own.map(({ instrument: { id, name, kind } }) => ({
      instrumentId: id,
      name,
      onReeds: reedFamilyOf(book.kinds[kind]) !== null,
    })),
    words: sittingsWords(told, format),
    because: sittingsWhy(costOfWeeks(weeks), format),
  };
}

/** Six weeks of a player: what falls due, packed into few sittings, and what was done in the two before. */
export async function sittingsPageOf(
  services: Services,
  playerId: PlayerId,
  today: LocalDate,
): Promise<Outcome<SittingsView, Failure>> {
  if (!services.players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const weeks = await weeksOf(services, playerId, today);
  return weeks.ok ? succeed(viewOf(weeks.value, services)) : weeks;
}
