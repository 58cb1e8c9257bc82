import { checkNumber } from '#core/kernel/check-number.ts';
import { LEAST_GAP } from '#core/sittings/sitting-numbers.ts';

/**
 * Sittings: what falls due in the weeks to come, packed into few sittings. Days are counted from today, minutes are the
 * player's. Each thing is done on some days, one after the other, and is due again counted from the day it was done
 * before. This file holds what a plan is, what it may not do, and what it costs; nothing else does.
 */
export type SittingThing = {
  readonly id: string;
  /** Minutes it takes by itself. */
  readonly minutes: number;
  /** The day it falls due first; 0 where it is due already, or later than the plan. */
  readonly due: number;
  /** The first day on which it is overdue, if it is not done before; later than due. */
  readonly overdue: number;
  /** The first day on which it may be done: what was put off until then, or has just been done. */
  readonly from: number;
  /** Days from when it was last done to that first day: earlier than due wastes so much of it. */
  readonly interval: number;
  /** For each day of the plan the day it falls due again where it is done on it. */
  readonly again: readonly number[];
  /** Penalty minutes for a day it is late. */
  readonly lateDay: number;
  /** Days on which it may not be done: away, or too near before an audience. */
  readonly barred: ReadonlySet<number>;
  /** Days the player has set, in order; it is done on each of them, whatever it costs. */
  readonly set: readonly number[];
  /** Days on which the last plan showed it, in order. */
  readonly shown: readonly number[];
};

export type Sittings = {
  /** Minutes the player usually has on each day to come. */
  readonly time: readonly number[];
  readonly things: readonly SittingThing[];
};

/** No day is longer, and no interval or due date further off than two centuries of days. */
const [DAY_MINUTES, FAR] = [1440, 73_000];

function checkDays(days: readonly number[], name: string, most: number): void {
  days.forEach((day, at) => {
    checkNumber(name, day, { most, whole: true });
    if (at > 0 && day <= (days[at - 1] ?? 0)) throw new RangeError(`${name} comes out of order`);
  });
}

/** @throws RangeError for minutes that are not whole, or days that are none: sums of others would not fit their days */
export function checkSittings({ time, things }: Sittings): void {
  for (const minutes of time) checkNumber('the time of a day', minutes, { most: DAY_MINUTES, whole: true });
  for (const { minutes, due, overdue, from, interval, again, lateDay, set, shown } of things) {
    checkNumber('the minutes of a thing', minutes, { most: FAR, whole: true });
    checkNumber('a due day', due, { most: FAR, whole: true });
    checkNumber('a day it is overdue', overdue, { least: due + 1, most: FAR, whole: true });
    checkNumber('a first day', from, { most: FAR, whole: true });
    checkNumber('an interval', interval, { most: FAR });
    checkNumber('what a late day costs', lateDay, { most: FAR });
    if (again.length !== time.length) throw new RangeError(`${again.length} days it is due again, for ${time.length}`);
    again.forEach((next, day) =>
      checkNumber('a day it is due again', next - day, { least: 1, most: FAR, whole: true }),
    );
    checkDays(set, 'a day that is set', time.length - 1);
    checkDays(shown, 'a day that was shown', time.length - 1);
  }
}

/** The days each thing is done on, in order, in the order of the things; none where it is left for later. */
export type SittingPlan = readonly (readonly number[])[];

/** The objective, in penalty minutes: all estimates, shown with every plan, and nowhere else. */
export const SITTING_PENALTY = {
  /** A sitting more: getting everything out and putting it away. */
  sitting: 15,
  /** A minute of work that is done twice because it was done too early. */
  earlyMinute: 1,
  /** A day on which something is overdue, beside what it costs to be late: no sitting is saved by letting it wait so long. */
  overdueDay: 15,
  /** A day on which the plan before has shown a thing, and it is not done: somebody may have counted on it. */
  moved: 4,
} as const;

/** The first day on which something may be done again that is due on that day. */
export const earliestOf = (due: number, interval: number): number => due - Math.floor(interval * (1 - LEAST_GAP.value));

/** Something due is overdue once half its interval more is over, as its clock has it. */
export const overdueAfter = (due: number, interval: number): number => due + Math.max(1, Math.ceil(interval / 2));

type Next = { readonly due: number; readonly overdue: number; readonly interval: number };
/** When a thing is due, and what its interval is, after the day it was done on before; null before it was ever done. */
function dueAfter({ due, overdue, interval, again }: SittingThing, before: number | null): Next {
  if (before === null) return { due, overdue, interval };
  const next = again[before] ?? Infinity;
  return { due: next, overdue: overdueAfter(next, next - before), interval: next - before };
}

/** What it costs that a thing is done on a day, or not before it, after it was due. */
const lateness = ({ lateDay }: SittingThing, { due, overdue }: Next, day: number): number =>
  Math.max(0, day - due) * lateDay + Math.max(0, day - overdue + 1) * SITTING_PENALTY.overdueDay;

/** May it be done on a day by itself, whatever it was done on before? */
export const mayBeOn = ({ time }: Pick<Sittings, 'time'>, thing: SittingThing, day: number): boolean =>
  thing.set.includes(day) || (day >= thing.from && thing.minutes <= (time[day] ?? 0) && !thing.barred.has(day));

/** May it be done on one day and, next, on another? What the player has set may be as near as they like. */
export function mayFollow(thing: SittingThing, before: number, day: number): boolean {
  if (day <= before) return false;
  const { due, interval } = dueAfter(thing, before);
  return thing.set.includes(day) || day >= earliestOf(due, interval);
}

export type SittingsCost = {
  readonly sittings: number;
  readonly early: number;
  readonly late: number;
  readonly moved: number;
  readonly left: number;
};
export const totalCost = ({ sittings, early, late, moved, left }: SittingsCost): number =>
  sittings + early + late + moved + left;

type StepCost = Omit<SittingsCost, 'sittings'>;

/**
 * What it costs to do a thing on a day, having done it on a day before, and not between: wasted work before it is due,
 * each day it is late and each it is overdue, and each day passed over on which it had been shown. With no day, what
 * leaving it for after the plan costs: as late as the first day after it, and a sitting of its own.
 */
export function stepCost(
  { time }: Pick<Sittings, 'time'>,
  thing: SittingThing,
  before: number | null,
  day: number | null,
): StepCost {
  const { minutes, shown } = thing;
  const next = dueAfter(thing, before);
  const { due, interval } = next;
  const passed = shown.filter((one) => one > (before ?? -1) && one < (day ?? time.length));
  const moved = passed.length * SITTING_PENALTY.moved;
  const nothing = { early: 0, late: 0, moved, left: 0 };
  if (day === null)
    return due >= time.length
      ? nothing
      : { ...nothing, left: lateness(thing, next, time.length) + SITTING_PENALTY.sitting };
  return day < due
    ? { ...nothing, early: ((due - day) / Math.max(1, interval)) * minutes * SITTING_PENALTY.earlyMinute }
    : { ...nothing, late: lateness(thing, next, day) };
}

/** The steps of a thing through the weeks: from day to day, and to the end. */
export const stepsOf = (days: readonly number[]): (readonly [before: number | null, day: number | null])[] =>
  [...days, null].map((day, at) => [days[at - 1] ?? null, day]);

/** The day a thing falls due that is done on a day of its plan: counted from the day before it there. */
export const dueBefore = (thing: SittingThing, days: readonly number[], day: number): number =>
  dueAfter(thing, days.findLast((one) => one < day) ?? null).due;

/** What a plan costs, term by term: the one place the objective is worked out. */
export function costOfSittings(problem: Sittings, plan: SittingPlan): SittingsCost {
  let [early, late, moved, left] = [0, 0, 0, 0];
  problem.things.forEach((thing, at) => {
    for (const [before, day] of stepsOf(plan[at] ?? [])) {
      const cost = stepCost(problem, thing, before, day);
      early += cost.early;
      late += cost.late;
      moved += cost.moved;
      left += cost.left;
    }
  });
  return { sittings: new Set(plan.flat()).size * SITTING_PENALTY.sitting, early, late, moved, left };
}

/** What is wrong with the days of one thing. */
function breachesOf(problem: Sittings, thing: SittingThing, days: readonly number[]): string[] {
  const missed = thing.set.filter((day) => !days.includes(day));
  return [
    ...missed.map((day) => `${thing.id} is left, set on ${day}`),
    ...days.filter((day) => !mayBeOn(problem, thing, day)).map((day) => `${thing.id} may not be on day ${day}`),
    ...days.flatMap((day, at) => {
      const before = days[at - 1];
      return before === undefined || mayFollow(thing, before, day)
        ? []
        : [`${thing.id} may not be on day ${day} after ${before}`];
    }),
  ];
}

/** What is wrong with a plan, in words for a programmer; nothing where everything lies on days it may, and fits. */
export function sittingBreaches(problem: Sittings, plan: SittingPlan): string[] {
  const { time, things } = problem;
  if (plan.length !== things.length) return [`days of ${plan.length} things for ${things.length}`];
  const full = time.flatMap((minutes, day): string[] => {
    const there = things.filter((_, at) => plan[at]?.includes(day));
    // What the player has set counts, though it be more than the day has; nothing is put beside it then.
    const isOnlySet = there.every(({ set }) => set.includes(day));
    const needs = there.reduce((sum, thing) => sum + thing.minutes, 0);
    return isOnlySet || needs <= minutes ? [] : [`day ${day} holds more than its ${minutes} min`];
  });
  return [...things.flatMap((thing, at) => breachesOf(problem, thing, plan[at] ?? [])), ...full];
}

/** Each thing on the very days it falls due, were there no end of sittings: what a plan is compared with. */
export const onOwnDates = ({ time, things }: Sittings): SittingPlan =>
  things.map((thing) => {
    const days: number[] = [];
    for (let { due } = thing; due < time.length; due = thing.again[due] ?? time.length) days.push(due);
    return days;
  });
