import { standsOn } from '#core/handling/stands-on.ts';
import { itemIn } from '#core/book/practice.ts';
import { startOf } from '#core/handling/play-through.ts';
import { enabling } from '#core/packup/collect-steps.ts';
import { onTheWay } from '#core/packup/on-the-way.ts';
import type { PlannedStep, RunPart, RunPlan } from '#core/packup/run-plan.ts';

/** What is known of the steps of one instrument beside the plan. */
function knownOf(part: RunPart, mine: readonly PlannedStep[]) {
  const { instrumentId, practice, items } = part;
  const steps = mine.map(({ step }) => step);
  const handled = { instrument: instrumentId, practice, items };
  const stands = standsOn(
    handled,
    mine.filter(({ unless }) => unless.length === 0).map(({ step }) => step),
  );
  if (startOf(handled) !== 'after') return { stands, practice, away: null };
  const before = enabling(practice);
  const away = onTheWay(steps, {
    needed: (id) => [...(stands.get(id) ?? []), ...(before.get(id) ?? [])],
    isOfEveryPlay: ({ item }) => itemIn(practice, item)?.trigger.kind === 'every-play',
  });
  return { stands, practice, away };
}

/**
 * A plan in which each step says what it cannot be done without, by the model of handling, and of an instrument that was
 * played, what becomes of it on the way.
 */
export function withStandsOn<Plan extends Pick<RunPlan, 'steps' | 'leftOut'>>(
  plan: Plan,
  parts: readonly RunPart[],
): Plan {
  const { steps, leftOut } = plan;
  const known = new Map(
    parts.map((part) => {
      const isMine = ({ instrumentId }: PlannedStep) => instrumentId === part.instrumentId;
      return [part.instrumentId, knownOf(part, steps.filter(isMine))] as const;
    }),
  );
  const told = (one: PlannedStep): PlannedStep => {
    const { stands, away } = known.get(one.instrumentId) ?? {};
    return { ...one, standsOn: stands?.get(one.step.id) ?? [], away: away?.get(one.step.id) ?? 'now' };
  };
  // What did not fit the minutes at hand waits as well.
  const waits = (one: PlannedStep): PlannedStep => {
    const { away, practice } = known.get(one.instrumentId) ?? {};
    const isOfEveryPlay = practice && itemIn(practice, one.step.item)?.trigger.kind === 'every-play';
    return away == null ? one : { ...one, away: isOfEveryPlay ? 'waits' : 'later' };
  };
  return {
    ...plan,
    steps: steps.map(told),
    leftOut: leftOut.map((one) => ({ ...one, steps: one.steps.map(waits) })),
  };
}
