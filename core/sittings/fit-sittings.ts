import type { PlannedSittings, SittingsAsked } from '#core/sittings/plan-sittings.ts';
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

/** What each sitting of a plan takes as it is really done, by its day. */
export type MinutesOfSittings = (plan: SittingPlan) => Promise<ReadonlyMap<number, number>>;
/** Plans it, roughly or as well as may be. */
export type PlanSittings = (asked: SittingsAsked, isRough: boolean) => Promise<PlannedSittings>;

/** A plan with what each of its sittings takes, by its day. */
export type FittingPlan = Pick<PlannedSittings, 'plan' | 'gap'> & { readonly minutes: ReadonlyMap<number, number> };

/** Times a plan is made anew because a sitting takes longer than its day has: first by search alone. */
const [ROUGH_ROUNDS, MOST_ROUNDS] = [2, 4];

/**
 * A plan whose sittings fit their days as they are really done: minutes of things are added up to plan them, and where a
 * sitting then takes longer than its day has, that day is given so much less and the plan is made anew. A search finds
 * most of that out, before the plan is made as well as it can be.
 */
export async function fittingPlan(
  problem: Sittings,
  { planned, minutesOf }: { readonly planned: PlanSittings; readonly minutesOf: MinutesOfSittings },
): Promise<FittingPlan> {
  const wholeTime = problem.time;
  let time = wholeTime;
  for (let round = 1; ; round++) {
    const isRough = round <= ROUGH_ROUNDS;
    const { plan, gap } = await planned({ problem: { ...problem, time }, wholeTime }, isRough);
    const minutes = await minutesOf(plan);
    const over = tooLong(problem, minutes);
    if (!isRough && (over.length === 0 || round >= MOST_ROUNDS)) return { plan, gap, minutes };
    if (over.length > 0) time = lessTime(problem, plan, { over, time });
    else round = Math.max(round, ROUGH_ROUNDS);
  }
}
