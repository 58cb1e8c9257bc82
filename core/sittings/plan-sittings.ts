import { watchingTime, type SolveMilp, type Stop } from '#core/solve/answer.ts';
import { boundSittings } from '#core/sittings/bound-sittings.ts';
import { polishSittings } from '#core/sittings/polish-sittings.ts';
import { eachOnItsOwnDate, searchSittings } from '#core/sittings/search-sittings.ts';
import {
  costOfSittings,
  sittingBreaches,
  totalCost,
  type SittingPlan,
  type Sittings,
  type SittingsCost,
} from '#core/sittings/sittings.ts';

/** A plan, checked, with how far it may be from the best. */
export type PlannedSittings = {
  readonly plan: SittingPlan;
  readonly cost: SittingsCost;
  /** (cost − bound) ÷ cost: 0 is proved, null where nothing is known. */
  readonly gap: number | null;
  /** Time ended it before its work was done: asked again, it may be another. */
  readonly ranOut: boolean;
};

export type SittingsWork = { readonly solve: SolveMilp; readonly stop: Stop };

/** A good plan by search alone, a tenth of the time: how far it is from the best is not known. */
export const roughSittings = (problem: Sittings): PlannedSittings => checked(problem, searchSittings(problem), null);

const SHAKES_AFTER = 20;

/** @throws Error where a plan breaks a rule: it is never shown */
function checked(problem: Sittings, plan: SittingPlan, bound: number | null): PlannedSittings {
  const [breach] = sittingBreaches(problem, plan);
  if (breach !== undefined) throw new Error(`a plan of sittings breaks its rules: ${breach}`);
  const cost = costOfSittings(problem, plan);
  const gap = bound === null ? null : Math.max(0, totalCost(cost) - bound) / Math.max(1, totalCost(cost));
  return { plan, cost, gap: gap !== null && gap < 1e-6 ? 0 : gap, ranOut: false };
}

/**
 * Packs what falls due into few sittings: a good plan by search, then a bound by whole sittings and the best plan of
 * those. Every plan is checked before it is told.
 */
export async function planSittings(problem: Sittings, { solve, stop }: SittingsWork): Promise<PlannedSittings> {
  const watched = watchingTime(solve);
  const found = searchSittings(problem);
  const { bound, plans } = await boundSittings(problem, {
    solve: watched.solve,
    stop,
    start: [found, eachOnItsOwnDate(problem)],
  });
  const costOf = (one: SittingPlan): number => totalCost(costOfSittings(problem, one));
  const searched = plans.map((from) => searchSittings(problem, { from, shakes: SHAKES_AFTER }));
  const best = [...plans.map((one) => polishSittings(problem, one)), ...searched].reduce(
    (least, one) => (costOf(one) < costOf(least) ? one : least),
    found,
  );
  return { ...checked(problem, best, stop.aborted ? null : bound), ranOut: watched.ranOut() };
}
