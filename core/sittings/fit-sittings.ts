import type { SittingPlan, Sittings } from '#core/sittings/sittings.ts';

/** A minute more is no reason to plan anew. */
const WITHIN = 1;

/**
 * Days whose sitting takes longer than they have, with what it takes; what the player has set may.
 *
 * @param minutes what each sitting takes as it is really done, by its day
 */
export const tooLong = (
  { time, things }: Sittings,
  minutes: ReadonlyMap<number, number>,
): [day: number, minutes: number][] =>
  [...minutes].filter(
    ([day, needs]) => needs > (time[day] ?? 0) + WITHIN && !things.some(({ set }) => set.includes(day)),
  );

/**
 * The time of the days as it is to be filled next, whole minutes: a day whose sitting took too long is given as much less
 * as it took over, counted from what its things add up to.
 *
 * @param time what the days were filled with before
 */
export function lessTime(
  problem: Sittings,
  plan: SittingPlan,
  {
    over,
    time,
  }: { readonly over: readonly (readonly [day: number, minutes: number])[]; readonly time: readonly number[] },
): number[] {
  const less = [...time];
  for (const [day, needs] of over) {
    const added = problem.things.reduce((sum, { minutes }, at) => sum + (plan[at]?.includes(day) ? minutes : 0), 0);
    less[day] = Math.max(0, Math.floor(Math.min(less[day] ?? 0, added) - (needs - (problem.time[day] ?? 0))));
  }
  return less;
}
