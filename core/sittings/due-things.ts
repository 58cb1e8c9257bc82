import { CASED_DAMP } from '#core/book/care-ids.ts';
import type { CareItem } from '#core/book/care-item.ts';
import { daysOf, isOnStage, type CalendarEvent } from '#core/calendar/event.ts';
import { limbsOf, type ItemClock } from '#core/care/care-clock.ts';
import { OVERDUE_AT } from '#core/care/care-state.ts';
import { dueAgain } from '#core/care/due-again.ts';
import { SEVERITY_WEIGHT } from '#core/book/care-item.ts';
import { minutesOfItem } from '#core/packup/item-minutes.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import { SETTLES_BY_SKILL, SITTING_DAYS, UNKNOWN_INTERVAL, USUAL_TIME } from '#core/sittings/sitting-numbers.ts';
import { standingPins, type PinnedDay, type SittingPin, type TimesOfThing } from '#core/sittings/sitting-pin.ts';
import { earliestOf, overdueAfter, type SittingThing, type Sittings } from '#core/sittings/sittings.ts';
import type { Situation } from '#core/situation/situation.ts';
import { dayNumber, daysBetween, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/** Something that falls due on an instrument, as it is planned and with what it is planned from. */
export type DueThing = {
  readonly thing: SittingThing;
  readonly clock: ItemClock;
  readonly instrumentId: Situation['instrument']['id'];
  /** Days from today on which the instrument is at the bench, and that are too near before an audience. */
  readonly away: ReadonlySet<number>;
  readonly settling: ReadonlySet<number>;
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

/** Does it belong to playing: short, and counted in plays? It comes along when the instrument is packed up. */
const isWithPlaying = (item: CareItem, methods: Situation['methods']): boolean =>
  item.withPackUp === true && limbsOf(item, methods)?.plays !== undefined;

/** Is it home work worth sitting down for, with a clock, due by the end of the plan or called for now? */
function isForASitting(
  { item, state, due }: ItemClock,
  player: PlayerAbilities,
  { today, methods }: Situation,
): boolean {
  if (!isHomeWork(item, player) || isWithPlaying(item, methods)) return false;
  // What stands cased damp is laid out at home, and waits for no day.
  if (item.id === CASED_DAMP) return false;
  if (state === 'waiting' || state === 'unknown' || state === 'off') return false;
  return state === 'due' || state === 'overdue' || (due !== null && daysBetween(today, due.on) < SITTING_DAYS);
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

/**
 * The day something is overdue: half its interval after it was due. What is overdue already has waited long; it is
 * counted as due today, for a few days more or less make no difference to it.
 */
export function overdueOf({ state, load }: Pick<ItemClock, 'state' | 'load'>, due: number, interval: number): number {
  if (state !== 'due' || load === null) return overdueAfter(due, interval);
  return Math.max(due + 1, Math.ceil(interval * (OVERDUE_AT - load)));
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
  { today, away, ...times }: { readonly today: LocalDate; readonly away: ReadonlySet<number> } & TimesOfThing,
): PinnedDay[] {
  const mine = pins.filter((pin) => pin.instrumentId === instrumentId && pin.itemId === itemId);
  return standingPins(mine, today, times).filter(({ on }) => !away.has(on));
}

/**
 * Days to the time a thing is due, and the day it falls due again, done on each day of the plan: by its limbs, or, where a
 * condition calls for it or no limb runs, after as many days as now.
 */
function rhythmOf(clock: ItemClock, { today, methods, plays }: Situation): Pick<SittingThing, 'interval' | 'again'> {
  const first = dayNumber(today);
  const { forecast } = plays.ofPart(clock.item.part);
  const isCalled = clock.because.some(({ rule }) => rule === 'condition');
  const limbs = isCalled ? null : limbsOf(clock.item, methods);
  const now = intervalOf(clock, today);
  const again = Array.from({ length: SITTING_DAYS }, (_, day) =>
    limbs === null ? day + now : dueAgain(limbs, first + day, { forecast, wornBy: clock.item.wornBy }) - first,
  );
  // What was never done, on an instrument that came new, has the interval it will have.
  return { interval: clock.lastDone === null && limbs !== null ? (again[0] ?? now) : now, again };
}

/** A thing with the days set for it: it is done on them, and not on those the player has moved it away from. */
export function withPins(thing: SittingThing, pins: readonly PinnedDay[]): SittingThing {
  const within = pins.filter(({ on }) => on < SITTING_DAYS);
  const set = [...new Set(within.map(({ on }) => on))].sort((a, b) => a - b);
  const instead = within.flatMap(({ due, on }) => {
    const first = Math.max(0, earliestOf(Math.min(due, on), thing.interval));
    return Array.from({ length: Math.max(0, Math.max(due, on) - first + 1) }, (_, after) => first + after);
  });
  const beyond = pins.filter(({ on }) => on >= SITTING_DAYS).map(({ on }) => on);
  return {
    ...thing,
    // A day beyond the plan is a day it waits for.
    from: Math.max(thing.from, ...beyond),
    barred: new Set([...thing.barred, ...instead.filter((day) => !set.includes(day))]),
    set,
  };
}

/** Something that falls due, before it is worked out how it comes again. */
export type FallingDue = { readonly clock: ItemClock; readonly on: number; readonly lateDay: number };

/** What falls due on one instrument in the weeks of a plan, each with its day from today. */
export function fallingDue(situation: Situation, player: PlayerAbilities): FallingDue[] {
  const { care, today } = situation;
  return care.clocks
    .filter((clock) => isForASitting(clock, player, situation))
    .map((clock) => ({
      clock,
      on: clock.due === null ? 0 : Math.max(0, daysBetween(today, clock.due.on)),
      lateDay: SEVERITY_WEIGHT[clock.item.severity].value,
    }));
}

/** The more pressing first. */
export const morePressing = (a: FallingDue, b: FallingDue): number => a.on - b.on || b.lateDay - a.lateDay;

/** What falls due on one instrument, as it is planned. */
export function dueThings(
  situation: Situation,
  { events, pins }: SetByPlayer,
  { player, falling }: { readonly player: PlayerAbilities; readonly falling: readonly FallingDue[] },
): DueThing[] {
  const { instrument, today, kind, plays, conditions, methods } = situation;
  const mine = events.filter(({ instrumentIds }) => instrumentIds.includes(instrument.id));
  const away = awayDays(mine, today);
  const asked = {
    kind,
    practice: methods.practice,
    usualMinutes: plays.usualMinutes,
    roomCelsius: conditions.roomCelsius,
  };
  return falling.map(({ clock, on, lateDay }): DueThing => {
    const { item, postponedUntil } = clock;
    const { interval, again } = rhythmOf(clock, situation);
    const settling = settlingDays(item, mine, today);
    const thing = {
      id: `${instrument.id}:${item.id}`,
      // In whole minutes, as days are filled; rounded up, so that a sitting is not longer than its day.
      minutes: Math.max(1, Math.ceil(minutesOfItem(asked, item.id, player))),
      due: on,
      overdue: overdueOf(clock, on, interval),
      from: Math.max(0, postponedUntil === null ? 0 : daysBetween(today, postponedUntil), earliestOf(on, interval)),
      interval,
      again,
      lateDay,
      barred: new Set([...away, ...settling]),
      set: [],
      shown: [],
    };
    const asPinned = { today, away, due: on, interval };
    const set = pinsOn({ instrumentId: instrument.id, itemId: item.id }, pins, asPinned);
    return { instrumentId: instrument.id, clock, away, settling: new Set(settling), thing: withPins(thing, set) };
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

export const sittingsOf = (due: readonly DueThing[], time: readonly number[]): Sittings => ({
  time,
  things: due.map(({ thing }) => thing),
});
