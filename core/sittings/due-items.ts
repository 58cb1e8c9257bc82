import type { CareItem } from '#core/book/care-item.ts';
import { daysOf, isOnStage, type CalendarEvent } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { SEVERITY_WEIGHT } from '#core/book/care-item.ts';
import { minutesOfItem } from '#core/packup/item-minutes.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import {
  SETTLES,
  SETTLES_BY_SKILL,
  SITTING_DAYS,
  UNKNOWN_INTERVAL,
  USUAL_TIME,
} from '#core/sittings/sitting-numbers.ts';
import { mayBeOn, type SittingItem, type Sittings } from '#core/sittings/sittings.ts';
import type { Situation } from '#core/situation/situation.ts';
import { dayNumber, daysBetween, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/** Something that falls due on an instrument, as it is planned and with what it is planned from. */
export type DueItem = {
  readonly item: SittingItem;
  readonly clock: ItemClock;
  readonly instrumentId: Situation['instrument']['id'];
};

/** Days before an audience on which an item is done no more. */
export const settlesDays = ({ id, skill }: Pick<CareItem, 'id' | 'skill'>): number =>
  Math.max(SETTLES[id]?.value ?? 0, skill === undefined ? 0 : (SETTLES_BY_SKILL[skill]?.value ?? 0));

/** Days from today on which an item of this instrument is not done: it is away, or too near before an audience. */
function barredDays(item: CareItem, events: readonly CalendarEvent[], today: LocalDate): ReadonlySet<number> {
  const settles = settlesDays(item);
  const barred = new Set<number>();
  for (const event of events) {
    const days = daysOf(event).map((day) => day - dayNumber(today));
    if (event.what === 'bench') days.forEach((day) => barred.add(day));
    const [stage] = days;
    if (isOnStage(event.what) && stage !== undefined && settles > 0)
      for (let before = 0; before <= settles; before++) barred.add(stage - before);
  }
  return barred;
}

/** Is it home work with a clock, due by the end of the plan or called for now? */
function isForASitting({ item, state, due }: ItemClock, player: PlayerAbilities, today: LocalDate): boolean {
  if (item.trigger.kind === 'every-play' || item.place === 'bench' || handsFor(item.skill, player) === 'bench')
    return false;
  if (state === 'waiting' || state === 'unknown' || state === 'off') return false;
  return state === 'due' || state === 'overdue' || (due !== null && daysBetween(today, due.on) < SITTING_DAYS);
}

/**
 * The times one thing falls due within the plan, the first and those after it, each counted from the day the one before
 * falls due. Each is done nearer to its own day than to those beside it, so that no two lie on one day.
 */
export function timesOf(first: SittingItem): SittingItem[] {
  const { due, interval } = first;
  const count = interval >= SITTING_DAYS ? 1 : 1 + Math.max(0, Math.floor((SITTING_DAYS - 1 - due) / interval));
  const times = Array.from({ length: count }, (_, at) => {
    const on = due + at * interval;
    return {
      ...first,
      id: at === 0 ? first.id : `${first.id}:${at + 1}`,
      due: on,
      from: at === 0 ? first.from : Math.max(first.from, on - Math.ceil(interval / 2) + 1),
      until: count === 1 ? Infinity : on + Math.floor(interval / 2),
    };
  });
  // What was put off beyond its own time waits for the next.
  return times.filter(({ from, until }) => from <= until);
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

/** What falls due on one instrument in the weeks of a plan, each time of it. */
export function dueItems(
  { instrument, today, kind, plays, conditions, methods, care }: Situation,
  events: readonly CalendarEvent[],
  player: PlayerAbilities,
): DueItem[] {
  const mine = events.filter(({ instrumentIds }) => instrumentIds.includes(instrument.id));
  const of = {
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
      const times = timesOf({
        id: `${instrument.id}:${item.id}`,
        minutes: Math.max(1, minutesOfItem(of, item.id, player)),
        due: on,
        from: postponedUntil === null ? 0 : Math.max(0, daysBetween(today, postponedUntil)),
        interval: intervalOf(clock, today),
        lateDay: SEVERITY_WEIGHT[item.severity].value,
        barred: barredDays(item, mine, today),
        until: Infinity,
        set: null,
      });
      return times.map((one) => ({ instrumentId: instrument.id, clock, item: one }));
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
      if (hasDay || item.id.split(':').length === 2) kept.push({ ...one, item });
      carried = null;
    }
  });
  return kept;
}

export const sittingsOf = (items: readonly DueItem[], time: readonly number[]): Sittings => ({
  time,
  items: items.map(({ item }) => item),
});
