import type { SittingItem, Sittings } from '#core/sittings/sittings.ts';

/**
 * Sittings once more, from the words of their objective and their rules alone; no function or figure of the planner. Every
 * plan is tried: for small questions only.
 */

/** Earlier than due wastes the minutes by the share of the interval that is lost; later costs by the day. */
const apartFromDue = ({ minutes, due, interval, lateDay }: SittingItem, day: number): number =>
  day < due ? (minutes * (due - day)) / Math.max(1, interval) : (day - due) * lateDay;

function costOf({ time, items }: Sittings, plan: readonly (number | null)[]): number {
  let cost = 0;
  items.forEach((item, at) => {
    const day = plan[at] ?? null;
    if (item.shown !== null && item.shown !== day) cost += 4;
    if (day !== null) cost += apartFromDue(item, day);
    // Left for after the plan: as late as its first day after, and a sitting of its own; nothing where it is due later.
    else if (item.due < time.length) cost += apartFromDue(item, time.length) + 15;
  });
  return cost + 15 * new Set(plan.filter((day) => day !== null)).size;
}

function isAllowed({ time, items }: Sittings, plan: readonly (number | null)[]): boolean {
  const each = items.every((item, at) => {
    const day = plan[at] ?? null;
    if (item.set !== null) return day === item.set;
    if (day === null) return true;
    return day >= item.from && day <= item.until && !item.barred.has(day) && item.minutes <= (time[day] ?? 0);
  });
  return (
    each &&
    time.every((minutes, day) => {
      const there = items.filter((_, at) => plan[at] === day);
      // What the player has set may be more than the day holds; nothing is put beside it then.
      const isOnlySet = there.every(({ set }) => set !== null);
      return isOnlySet || there.reduce((sum, item) => sum + item.minutes, 0) <= minutes;
    })
  );
}

/** The least any plan costs. */
export function leastSittings(of: Sittings): number {
  let least = Infinity;
  const choose = (plan: readonly (number | null)[]): void => {
    if (plan.length === of.items.length) {
      if (isAllowed(of, plan)) least = Math.min(least, costOf(of, plan));
    } else for (const day of [null, ...of.time.keys()]) choose([...plan, day]);
  };
  choose([]);
  return least;
}

/** What a given plan costs; null where it breaks a rule. */
export const sittingsCost = (of: Sittings, plan: readonly (number | null)[]): number | null =>
  isAllowed(of, plan) ? costOf(of, plan) : null;
