import { watchingTime, type SolveMilp, type Stop } from '#core/solve/answer.ts';
import { boundRotation } from '#core/reeds/bound-rotation.ts';
import { improveRotation, type Schedules } from '#core/reeds/improve-rotation.ts';
import {
  costOfPlan,
  planBreaches,
  totalOf,
  type ReedSchedule,
  type Rotation,
  type RotationCost,
} from '#core/reeds/rotation.ts';

/** A plan of all reeds, checked, with how far it may be from the best. */
export type RotationPlan = {
  readonly schedules: Schedules;
  readonly cost: RotationCost;
  /** No plan costs less, penalty minutes; null before a bound is known. */
  readonly bound: number | null;
  /** (cost − bound) ÷ cost, a share of the plan's own cost: 0 is proved, null before a bound is known. */
  readonly gap: number | null;
  /** Time ended it before its work was done: asked again, it may be another. */
  readonly ranOut: boolean;
};

export type Planning = {
  readonly solve: SolveMilp;
  readonly stop: Stop;
  /** The first plan, and each better one or better bound. */
  readonly onPlan?: (plan: RotationPlan) => void;
};

const FIRST_ROUNDS = 0;
const ROUNDS = 40;
const MASTERS = 60;
const LAST_ROUNDS = 80;

/** @throws Error where a plan breaks a rule: it is never shown */
function checked(rotation: Rotation, schedules: Schedules, bound: number | null): RotationPlan {
  const [breach] = planBreaches(rotation, schedules);
  if (breach !== undefined) throw new Error(`a plan of reeds breaks its rules: ${breach}`);
  const cost = costOfPlan(rotation, schedules);
  const total = totalOf(cost);
  const gap = bound === null ? null : total > 0 ? Math.max(0, total - bound) / total : 0;
  return { schedules, cost, bound, gap: gap !== null && gap < NOTHING ? 0 : gap, ranOut: false };
}
/** A gap that arithmetic in doubles may leave. */
const NOTHING = 1e-6;

/**
 * Which reed plays when and for how long: a first plan at once, then better ones by local search, then a bound by whole
 * schedules as columns, and better ones from what the bound was found with. Every plan is checked before it is told.
 */
export async function planRotation(rotation: Rotation, { solve, stop, onPlan }: Planning): Promise<RotationPlan> {
  const watched = watchingTime(solve);
  const seen: ReedSchedule[][] = rotation.reeds.map(() => []);
  const note = (reedAt: number, schedule: ReedSchedule): void => void seen[reedAt]?.push(schedule);
  let plan = checked(rotation, improveRotation(rotation, { rounds: FIRST_ROUNDS, stop, seen: note }), null);
  const take = (schedules: Schedules, bound: number | null): void => {
    const other = checked(rotation, schedules, bound);
    plan = totalOf(other.cost) < totalOf(plan.cost) ? other : checked(rotation, plan.schedules, bound);
    onPlan?.(plan);
  };
  onPlan?.(plan);
  if (rotation.reeds.length === 0) return { ...plan, bound: totalOf(plan.cost), gap: 0 };
  take(improveRotation(rotation, { rounds: ROUNDS, stop, seen: note, start: plan.schedules }), null);
  const { bound, schedules } = await boundRotation(rotation, {
    solve: watched.solve,
    stop,
    start: seen,
    rounds: MASTERS,
  });
  if (stop.aborted) return plan;
  take(plan.schedules, bound);
  // A plan near the linear one is a better beginning than the best one so far: the linear one sees the whole at once.
  if (plan.gap !== 0)
    take(improveRotation(rotation, { rounds: LAST_ROUNDS, stop, seed: 1, start: schedules ?? plan.schedules }), bound);
  return { ...plan, ranOut: watched.ranOut() };
}
