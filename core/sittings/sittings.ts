import { checkNumber } from '#core/kernel/check-number.ts';

/**
 * Sittings: what falls due in the weeks to come, packed into few sittings. Days are counted from today, minutes are the
 * player's. This file holds what a plan is, what it may not do, and what it costs; nothing else does.
 */
export type SittingItem = {
  readonly id: string;
  /** Minutes it takes by itself. */
  readonly minutes: number;
  /** The day it falls due; 0 where it is due already, or later than the plan. */
  readonly due: number;
  /** The first day on which it may be done: what was put off until then. */
  readonly from: number;
  /** The last day on which it may be done: what comes again soon is done before its next time comes near. */
  readonly until: number;
  /** Days between two times it is done: earlier than due wastes so much of it. */
  readonly interval: number;
  /** Penalty minutes for a day it is late. */
  readonly lateDay: number;
  /** Days on which it may not be done: away, or too near before an audience. */
  readonly barred: ReadonlySet<number>;
  /** The day the player has set; it stays there, whatever it costs. */
  readonly set: number | null;
  /** The day on which the last plan showed it; null where it is new. */
  readonly shown: number | null;
};

export type Sittings = {
  /** Minutes the player usually has on each day to come. */
  readonly time: readonly number[];
  readonly items: readonly SittingItem[];
};

/** No day is longer, and no interval or due date further off than two centuries of days. */
const [DAY_MINUTES, FAR] = [1440, 73_000];

/** @throws RangeError for minutes that are not whole, or days that are none: sums of others would not fit their days */
export function checkSittings({ time, items }: Sittings): void {
  for (const minutes of time) checkNumber('the time of a day', minutes, { most: DAY_MINUTES, whole: true });
  for (const { minutes, due, from, until, interval, lateDay, set, shown } of items) {
    checkNumber('the minutes of an item', minutes, { most: FAR, whole: true });
    checkNumber('a due day', due, { most: FAR, whole: true });
    checkNumber('a first day', from, { most: FAR, whole: true });
    if (until !== Infinity) checkNumber('a last day', until, { least: -FAR, most: FAR, whole: true });
    checkNumber('an interval', interval, { most: FAR });
    checkNumber('what a late day costs', lateDay, { most: FAR });
    for (const day of [set, shown]) if (day !== null) checkNumber('a day', day, { most: FAR, whole: true });
  }
}

/** The day of each item, in their order; null where it is left for later. */
export type SittingPlan = readonly (number | null)[];

/** The objective, in penalty minutes: all estimates, shown with every plan, and nowhere else. */
export const SITTING_PENALTY = {
  /** A sitting more: getting everything out and putting it away. */
  sitting: 15,
  /** A minute of work that is done twice because it was done too early. */
  earlyMinute: 1,
  /** A thing that lies on another day than the plan before has shown: somebody may have counted on it. */
  moved: 4,
} as const;

/** Wasted work before it is due, or each day it is late. */
function awayFromDue({ minutes, due, interval, lateDay }: SittingItem, day: number): number {
  if (day >= due) return (day - due) * lateDay;
  return ((due - day) / Math.max(1, interval)) * minutes * SITTING_PENALTY.earlyMinute;
}

/** Is it shown elsewhere than before? */
const isMoved = ({ shown }: SittingItem, day: number | null): boolean => shown !== null && shown !== day;

/** What doing an item on a day costs by itself: earliness, lateness, and whether it has been moved. */
export const itemCost = (item: SittingItem, day: number): number =>
  awayFromDue(item, day) + (isMoved(item, day) ? SITTING_PENALTY.moved : 0);

/** What leaving an item for after the plan costs: as late as the first day after it, and a sitting of its own. */
export const leftCost = ({ time }: Sittings, item: SittingItem): number =>
  (item.due >= time.length ? 0 : awayFromDue(item, time.length) + SITTING_PENALTY.sitting) +
  (isMoved(item, null) ? SITTING_PENALTY.moved : 0);

/** May it be done on that day? */
export const mayBeOn = ({ time }: Sittings, item: SittingItem, day: number): boolean =>
  item.set !== null
    ? item.set === day
    : day >= item.from && day <= item.until && item.minutes <= (time[day] ?? 0) && !item.barred.has(day);

export type SittingsCost = {
  readonly sittings: number;
  readonly early: number;
  readonly late: number;
  readonly moved: number;
  readonly left: number;
};
export const totalCost = ({ sittings, early, late, moved, left }: SittingsCost): number =>
  sittings + early + late + moved + left;

/** What a plan costs, term by term: the one place the objective is worked out. */
export function costOfSittings(problem: Sittings, plan: SittingPlan): SittingsCost {
  const days = new Set<number>();
  let [early, late, moved, left] = [0, 0, 0, 0];
  problem.items.forEach((item, at) => {
    const day = plan[at] ?? null;
    if (day === null) left += leftCost(problem, item);
    else {
      days.add(day);
      if (day < item.due) early += awayFromDue(item, day);
      else late += awayFromDue(item, day);
      if (isMoved(item, day)) moved += SITTING_PENALTY.moved;
    }
  });
  return { sittings: days.size * SITTING_PENALTY.sitting, early, late, moved, left };
}

/** What is set on a day counts, though it be more than the day has. */
const minutesOfDay = ({ items }: Sittings, plan: SittingPlan, day: number): number =>
  items.reduce((sum, { minutes }, at) => sum + (plan[at] === day ? minutes : 0), 0);

/** What is wrong with a plan, in words for a programmer; nothing where every item lies on a day it may, and fits. */
export function sittingBreaches(problem: Sittings, plan: SittingPlan): string[] {
  if (plan.length !== problem.items.length) return [`${plan.length} days for ${problem.items.length} items`];
  const wrong = problem.items.flatMap((item, at): string[] => {
    const day = plan[at] ?? null;
    if (day === null) return item.set === null ? [] : [`${item.id} is left, set on ${item.set}`];
    return mayBeOn(problem, item, day) ? [] : [`${item.id} may not be on day ${day}`];
  });
  const full = problem.time.flatMap((minutes, day): string[] => {
    const free = problem.items.reduce(
      (sum, item, at) => sum + (plan[at] === day && item.set === null ? item.minutes : 0),
      0,
    );
    return free > 0 && minutesOfDay(problem, plan, day) > minutes
      ? [`day ${day} holds more than its ${minutes} min`]
      : [];
  });
  return [...wrong, ...full];
}
