import { itemCost, leftCost, mayBeOn, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';

/** Costs of each item on each day, Infinity where it may not be; the last column is being left. */
function costTable(problem: Sittings): Float64Array[] {
  return problem.items.map((item) => {
    const costs = problem.time.map((_, day) =>
      item.set === null && mayBeOn(problem, item, day) ? itemCost(item, day) : Infinity,
    );
    return Float64Array.from([...costs, leftCost(problem, item)]);
  });
}

/** Less is no gain. */
const LEAST_GAIN = 1e-9;

/**
 * The same sittings with their items placed better: an item moves to another sitting, or there in the place of one that
 * moves on to a third, until nothing makes it better. O(items² × sittings) a round.
 */
export function polishSittings(problem: Sittings, plan: SittingPlan): SittingPlan {
  const costs = costTable(problem);
  const nowhere = problem.time.length;
  const at = plan.map((day) => day ?? nowhere);
  const days = [...new Set([...at, nowhere])];
  const room = Float64Array.from([...problem.time, Infinity]);
  problem.items.forEach(({ minutes }, item) => {
    const day = at[item] ?? nowhere;
    room[day] = (room[day] ?? 0) - minutes;
  });
  const free = problem.items.flatMap(({ set }, item) => (set === null ? [item] : []));
  const minutesOf = (item: number): number => problem.items[item]?.minutes ?? 0;
  const costOf = (item: number, day: number): number => costs[item]?.[day] ?? Infinity;
  const move = (item: number, day: number): void => {
    const from = at[item] ?? nowhere;
    room[from] = (room[from] ?? 0) + minutesOf(item);
    room[day] = (room[day] ?? 0) - minutesOf(item);
    at[item] = day;
  };
  /** What of a day could go where, so that there is room for so many minutes more; null where nothing pays. */
  const makesWay = (day: number, minutes: number, within: number, from: number): readonly [number, number] | null => {
    for (const other of free) {
      if (at[other] !== day || (room[day] ?? 0) + minutesOf(other) < minutes) continue;
      for (const third of days) {
        // Whoever moved in has left room behind.
        const left = (room[third] ?? 0) + (third === from ? minutes : 0);
        if (third === day || left < minutesOf(other)) continue;
        if (costOf(other, third) - costOf(other, day) < within - LEAST_GAIN) return [other, third];
      }
    }
    return null;
  };
  const improve = (item: number): boolean => {
    const from = at[item] ?? nowhere;
    for (const day of days) {
      const gain = costOf(item, from) - costOf(item, day);
      if (day === from || !(gain > LEAST_GAIN)) continue;
      if ((room[day] ?? 0) >= minutesOf(item)) {
        move(item, day);
        return true;
      }
      const way = makesWay(day, minutesOf(item), gain, from);
      if (way === null) continue;
      move(item, day);
      move(...way);
      return true;
    }
    return false;
  };
  while (free.some(improve));
  return at.map((day) => (day === nowhere ? null : day));
}
