import { eventWords, lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import { asSentence, duration } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { reedFamilyOf } from '#core/reeds/reed.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { handsFor } from '#core/players/player.ts';
import { isFirstTime, unknownWork, type DueItem } from '#core/sittings/due-items.ts';
import { ownDates } from '#core/sittings/search-sittings.ts';
import { SITTING_DAYS, USUAL_TIME } from '#core/sittings/sitting-numbers.ts';
import {
  handsWords,
  placedWords,
  sittingMinutes,
  sittingsWhy,
  sittingsWords,
  type SittingsTold,
} from '#core/sittings/sitting-words.ts';
import type { SittingPlan } from '#core/sittings/sittings.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { DoneItemView, PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { costOfWeeks, weeksOf, type Weeks } from '#server/features/calendar/sitting-weeks.ts';
import type { Services } from '#server/services.ts';

const countOf = (plan: SittingPlan): number => new Set(plan.filter((day) => day !== null)).size;

/** When it falls due. A later time of the same thing is counted from the days before it: nobody knows its range. */
function dueOf({ clock, item }: DueItem, today: LocalDate) {
  const known = isFirstTime(item) ? clock.due : null;
  const { on, earliest = null, latest = null } = known ?? { on: addDays(today, item.due) };
  return { dueOn: on, earliest, latest };
}

function placedView(one: DueItem, day: number | null, { own, today }: Weeks): PlacedItemView {
  const { clock, item, instrumentId } = one;
  const reading = own.find(({ instrument }) => instrument.id === instrumentId);
  const hands = reading ? handsWords[handsFor(clock.item.skill, reading.player)] : '';
  const placed = day === null ? `It takes ${sittingMinutes(item.minutes)}.` : placedWords(day, item.due);
  return {
    instrumentId,
    instrumentName: reading?.instrument.name ?? '',
    itemId: clock.item.id,
    name: clock.item.name,
    words: `${item.set === null ? placed : 'You have set this day.'}${hands === '' ? '' : ` Only ${hands}.`}`,
    hands,
    isSet: item.set !== null,
    ...dueOf(one, today),
  };
}

/** The sittings of the plan, earliest first, each under the name it has been shown by. */
function sittingViews(weeks: Weeks): SittingsView['sittings'] {
  const { shown, due, plan, today } = weeks;
  return shown
    .filter(({ state }) => state === 'planned')
    .map(({ uid, on, minutes }) => {
      const day = daysBetween(today, on);
      const items = due.flatMap((one, at) => (plan[at] === day ? [placedView(one, day, weeks)] : []));
      return { uid, on, minutes, words: sittingMinutes(minutes), items };
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
  const { key, what, on, minutes, instrumentIds } = event;
  const words = `${eventWords(event)}${minutes === null ? '' : `, ${duration(minutes)}`}`;
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

/** Is there any time, and if not, why? */
const timeTold = ({ of, said }: Weeks): SittingsTold['time'] =>
  of.time.some((minutes) => minutes > 0)
    ? 'some'
    : said !== null && said.every((minutes) => minutes === 0)
      ? 'none-said'
      : 'none-left';

function viewOf(weeks: Weeks, services: Services): SittingsView {
  const { format, book } = services;
  const { playerId, today, due, plan, gap, ranOut, said, of } = weeks;
  const last = addDays(today, SITTING_DAYS - 1);
  const left = due.filter((_, at) => plan[at] === null);
  const told = {
    count: countOf(plan),
    apart: ownDates(of),
    left: left.length,
    gap,
    ranOut,
    time: timeTold(weeks),
  };
  return {
    playerId,
    today,
    said: said && [...said],
    usual: USUAL_TIME.map(({ value }) => value),
    time: [...of.time],
    sittings: sittingViews(weeks),
    past: pastViews(weeks, services),
    left: left.map((one) => placedView(one, null, weeks)),
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
