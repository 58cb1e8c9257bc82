import type { CareItem } from '#core/book/care-item.ts';
import { daysOf, isOnStage, type CalendarEvent } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { SEVERITY_WEIGHT } from '#core/book/care-item.ts';
import { minutesOfItem } from '#core/packup/item-minutes.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import {
  EARLIEST_LOAD,
  SETTLES_BY_SKILL,
  SITTING_DAYS,
  UNKNOWN_INTERVAL,
  USUAL_TIME,
} from '#core/sittings/sitting-numbers.ts';
import { pinOf, standingPins, type PinnedDay, type SittingPin } from '#core/sittings/sitting-pin.ts';
import { mayBeOn, type SittingItem, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';
import type { Situation } from '#core/situation/situation.ts';
import { dayNumber, daysBetween, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/** Something that falls due on an instrument, as it is planned and with what it is planned from. */
export type DueItem = {
  readonly item: SittingItem;
  readonly clock: ItemClock;
  readonly instrumentId: Situation['instrument']['id'];
};

/** Days before an audience on which an item is done no more. */
export const settlesDays = ({ settles, skill }: Pick<CareItem, 'settles' | 'skill'>): number =>
  Math.max(settles?.value ?? 0, skill === undefined ? 0 : (SETTLES_BY_SKILL[skill]?.value ?? 0));

const ahead = (event: CalendarEvent, today: LocalDate): number[] => daysOf(event).map((day) => day - dayNumber(today));

/** Days from today on which an instrument is at the bench. */
const awayDays = (events: readonly CalendarEvent[], today: LocalDate): ReadonlySet<number> =>
  new Set(events.filter(({ what }) => what === 'bench').flatMap((event) => ahead(event, today)));

/** Days from today that are too near before an audience for this item, the day itself among them. */
export function settlingDays(
  item: Pick<CareItem, 'settles' | 'skill'>,
  events: readonly CalendarEvent[],
  today: LocalDate,
): number[] {
  const settles = settlesDays(item);
  if (settles === 0) return [];
  return events
    .filter(({ what }) => isOnStage(what))
    .flatMap((event) => ahead(event, today))
    .flatMap((stage) => Array.from({ length: settles + 1 }, (_, before) => stage - before));
}

/** Home work of which nobody knows when it was last done: it has no day, and is in no sitting. */
export const unknownWork = ({ care }: Situation, player: PlayerAbilities): ItemClock[] =>
  care.clocks.filter(({ item, state }) => state === 'unknown' && isHomeWork(item, player));

const isHomeWork = (item: CareItem, player: PlayerAbilities): boolean =>
  item.trigger.kind !== 'every-play' && item.place !== 'bench' && handsFor(item.skill, player) !== 'bench';

/** Is it home work with a clock, due by the end of the plan or called for now? */
function isForASitting({ item, state, due }: ItemClock, player: PlayerAbilities, today: LocalDate): boolean {
  if (!isHomeWork(item, player)) return false;
  if (state === 'waiting' || state === 'unknown' || state === 'off') return false;
  return state === 'due' || state === 'overdue' || (due !== null && daysBetween(today, due.on) < SITTING_DAYS);
}

/** The first day on which enough of the interval is over, for something due on that day. */
const earliestOf = (due: number, interval: number): number => due - Math.floor(interval * (1 - EARLIEST_LOAD.value));

/** One time a thing falls due, with the day that is set for it. */
function oneTime(first: SittingItem, due: number, pin: PinnedDay | null, at: number): SittingItem {
  const { id, interval } = first;
  const from = at === 0 ? first.from : Math.max(first.from, earliestOf(due, interval));
  return {
    ...first,
    id: at === 0 ? id : `${id}:${at + 1}`,
    due,
    // A day beyond the plan is a day it waits for.
    from: pin !== null && pin.on >= SITTING_DAYS ? pin.on : from,
    until: due + Math.floor(interval / 2),
    set: pin !== null && pin.on < SITTING_DAYS ? pin.on : null,
  };
}

/**
 * The times one thing falls due within the plan, the first and those after it, each counted from the day the one before
 * falls due, or is set later than that. Each is done nearer to its own day than to those beside it, so that no two lie
 * on one day.
 */
export function timesOf(first: SittingItem, pins: readonly PinnedDay[] = []): SittingItem[] {
  const { interval } = first;
  const times: SittingItem[] = [];
  for (let { due } = first; times.length === 0 || due < SITTING_DAYS;) {
    const pin = pinOf(pins, due, interval);
    times.push(oneTime(first, due, pin, times.length));
    due = Math.max(due, pin?.on ?? due) + interval;
  }
  const [only] = times;
  if (only !== undefined && times.length === 1) return [{ ...only, until: Infinity }];
  const apart = times.map((one, at) => {
    const next = times[at + 1]?.set ?? null;
    // One that is set earlier than its own time keeps the one before off its day.
    return next !== null && next <= one.until && next > one.from ? { ...one, until: next - 1 } : one;
  });
  // What was put off beyond its own time waits for the next.
  return apart.filter(({ from, until, set }) => set !== null || from <= until);
}

/**
 * Days between two times an item is done. What is due already has its date today, so that its load says how often it
 * should have been done since; what has no history is taken to be rare.
 */
export function intervalOf(
  { due, lastDone, load }: Pick<ItemClock, 'due' | 'lastDone' | 'load'>,
  today: LocalDate,
): number {
  if (due === null || lastDone === null) return UNKNOWN_INTERVAL;
  const days =
    due.on <= today && load !== null && load > 1
      ? daysBetween(lastDone.on, today) / load
      : daysBetween(lastDone.on, due.on);
  return Math.max(1, Math.round(days));
}

/** What a plan of sittings goes round: what is on, and what the player has set. */
export type SetByPlayer = {
  readonly events: readonly CalendarEvent[];
  /** Days set by hand, oldest first. */
  readonly pins: readonly SittingPin[];
};

/** The days set for one thing; none on which its instrument is away. */
function pinsOn(
  { instrumentId, itemId }: Pick<SittingPin, 'instrumentId' | 'itemId'>,
  pins: readonly SittingPin[],
  { today, away }: { readonly today: LocalDate; readonly away: ReadonlySet<number> },
): PinnedDay[] {
  const mine = pins.filter((pin) => pin.instrumentId === instrumentId && pin.itemId === itemId);
  return standingPins(mine, today).filter(({ on }) => !away.has(on));
}

/** What falls due on one instrument in the weeks of a plan, each time of it. */
export function dueItems(
  { instrument, today, kind, plays, conditions, methods, care }: Situation,
  { events, pins }: SetByPlayer,
  player: PlayerAbilities,
): DueItem[] {
  const mine = events.filter(({ instrumentIds }) => instrumentIds.includes(instrument.id));
  const away = awayDays(mine, today);
  const asked = {
    kind,
    practice: methods.practice,
    usualMinutes: plays.usualMinutes,
    roomCelsius: conditions.roomCelsius,
  };
  return care.clocks
    .filter((clock) => isForASitting(clock, player, today))
    .flatMap((clock): DueItem[] => {
      const { item, due, postponedUntil } = clock;
      const on = due === null ? 0 : Math.max(0, daysBetween(today, due.on));
      const interval = intervalOf(clock, today);
      const first = {
        id: `${instrument.id}:${item.id}`,
        // In whole minutes, as days are filled; rounded up, so that a sitting is not longer than its day.
        minutes: Math.max(1, Math.ceil(minutesOfItem(asked, item.id, player))),
        due: on,
        from: Math.max(0, postponedUntil === null ? 0 : daysBetween(today, postponedUntil), earliestOf(on, interval)),
        interval,
        lateDay: SEVERITY_WEIGHT[item.severity].value,
        barred: new Set([...away, ...settlingDays(item, mine, today)]),
        until: Infinity,
        set: null,
        shown: null,
      };
      const set = pinsOn({ instrumentId: instrument.id, itemId: item.id }, pins, { today, away });
      return timesOf(first, set).map((one) => ({ instrumentId: instrument.id, clock, item: one }));
    });
}

/**
 * Minutes the player has on each day of a plan: as they have said by weekday, Monday first; none on a holiday, a journey,
 * or the day of an audience.
 */
export function timeOf(
  byWeekday: readonly number[] | null,
  events: readonly CalendarEvent[],
  today: LocalDate,
): number[] {
  const away = new Set(
    events
      .filter(({ what }) => what === 'holiday' || what === 'travel' || isOnStage(what))
      .flatMap((event) => daysOf(event)),
  );
  return Array.from({ length: SITTING_DAYS }, (_, index) => {
    const day = dayNumber(today) + index;
    const weekday = weekdayOfDay(day);
    return away.has(day) ? 0 : (byWeekday?.[weekday] ?? USUAL_TIME[weekday]?.value ?? 0);
  });
}

/** Is it the first time of its thing in the plan? The others have a number. */
export const isFirstTime = ({ id }: Pick<SittingItem, 'id'>): boolean => !/:\d+$/.test(id);

/**
 * The times that have any day at all. One that falls into a holiday or a journey is done the next time, and is late by
 * then; only the last of them may be left without a day.
 */
export function reachable(times: readonly DueItem[], time: readonly number[]): DueItem[] {
  const kept: DueItem[] = [];
  let carried: number | null = null;
  times.forEach((one, at) => {
    const item = carried === null ? one.item : { ...one.item, due: carried };
    const next = times[at + 1];
    const goesOn = next?.clock === one.clock;
    const hasDay = time.some((_, day) => mayBeOn({ time, items: [] }, item, day));
    if (!hasDay && goesOn) carried = item.due;
    else {
      // What is missed at the very end falls into the weeks after the plan.
      if (hasDay || isFirstTime(item)) kept.push({ ...one, item });
      carried = null;
    }
  });
  return kept;
}

/**
 * Times that need not be: where one lies nearer than half its interval to the time before, that one has done for both.
 * What the player has set stays.
 */
export function needless(due: readonly DueItem[], plan: SittingPlan): ReadonlySet<DueItem> {
  const nothing = new Set<DueItem>();
  due.forEach((one, at) => {
    const day = plan[at] ?? null;
    if (day === null || one.item.set !== null) return;
    const isNear = due.some((other, where) => {
      const before = plan[where] ?? null;
      return (
        other.clock === one.clock &&
        other.item.due < one.item.due &&
        before !== null &&
        !nothing.has(other) &&
        day - before < one.item.interval / 2
      );
    });
    if (isNear) nothing.add(one);
  });
  return nothing;
}

export const sittingsOf = (items: readonly DueItem[], time: readonly number[]): Sittings => ({
  time,
  items: items.map(({ item }) => item),
});
