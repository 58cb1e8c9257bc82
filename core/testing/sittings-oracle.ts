import type { SittingThing, Sittings } from '#core/sittings/sittings.ts';

/**
 * Sittings once more, from the words of their objective and their rules alone; no function or figure of the planner. Every
 * set of days of every thing is tried: for small questions only.
 */
type Days = readonly number[];

/** What doing a thing on these days costs by itself; null where it may not. */
function costOfThing({ time }: Sittings, thing: SittingThing, days: Days): number | null {
  const { minutes, barred, from, set, shown, again } = thing;
  if (set.some((day) => !days.includes(day))) return null;
  let cost = 4 * shown.filter((day) => !days.includes(day)).length;
  let [due, overdue, interval, earliest] = [thing.due, thing.overdue, thing.interval, 0];
  // Late by the day, and fifteen more for each day it is overdue, from half its interval after due on.
  const late = (day: number) => (day - due) * thing.lateDay + 15 * Math.max(0, day - overdue + 1);
  // Too early, away, too near before an audience, or too short a day: unless the player wants it so.
  const isFree = (day: number) => day >= from && !barred.has(day) && minutes <= (time[day] ?? 0);
  for (const day of days) {
    const isSet = set.includes(day);
    if (!isSet && !isFree(day)) return null;
    // Less than 0.6 of the interval since the time before: the whole days that are saved are rounded down.
    if (!isSet && day < earliest) return null;
    // Earlier than due wastes the minutes by the share of the interval that is lost; later costs by the day.
    cost += day < due ? (minutes * (due - day)) / Math.max(1, interval) : late(day);
    due = again[day] ?? NaN;
    interval = due - day;
    overdue = due + Math.ceil(interval / 2);
    earliest = due - Math.floor(interval * 0.4);
  }
  // Left for after the plan: as late as its first day after, and a sitting of its own; nothing where it is due later.
  return due < time.length ? cost + late(time.length) + 15 : cost;
}

/** Does each day hold what is done on it? What the player has set may be more; nothing is put beside it then. */
function fits({ time, things }: Sittings, plan: readonly Days[]): boolean {
  return time.every((minutes, day) => {
    const there = things.filter((_, at) => plan[at]?.includes(day));
    return (
      there.every(({ set }) => set.includes(day)) || there.reduce((sum, thing) => sum + thing.minutes, 0) <= minutes
    );
  });
}

const fifteenEach = (plan: readonly Days[]): number => 15 * new Set(plan.flat()).size;

/** The least any plan costs. */
export function leastSittings(of: Sittings): number {
  const all = Array.from({ length: 2 ** of.time.length }, (_, bits) =>
    [...of.time.keys()].filter((day) => bits & (2 ** day)),
  );
  const ways = of.things.map((thing) =>
    all.flatMap((days) => {
      const cost = costOfThing(of, thing, days);
      return cost === null ? [] : [{ days, cost }];
    }),
  );
  let least = Infinity;
  const choose = (plan: readonly Days[], cost: number): void => {
    if (cost >= least) return;
    const next = ways[plan.length];
    if (next === undefined) {
      if (fits(of, plan)) least = Math.min(least, cost + fifteenEach(plan));
    } else for (const way of next) choose([...plan, way.days], cost + way.cost);
  };
  choose([], 0);
  return least;
}

/** What a given plan costs; null where it breaks a rule. */
export function sittingsCost(of: Sittings, plan: readonly Days[]): number | null {
  const costs = of.things.map((thing, at) => costOfThing(of, thing, plan[at] ?? []));
  if (costs.includes(null) || !fits(of, plan)) return null;
  return costs.reduce<number>((sum, cost) => sum + (cost ?? 0), fifteenEach(plan));
}
