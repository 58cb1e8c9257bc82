import { standsOn } from '#core/handling/stands-on.ts';
import type { RunPart, RunPlan } from '#core/packup/run-plan.ts';

/** A plan in which each step says what it cannot be done without, by the model of handling. */
export function withStandsOn<Plan extends Pick<RunPlan, 'steps'>>(plan: Plan, parts: readonly RunPart[]): Plan {
  const { steps } = plan;
  const found = new Map(
    parts.map(({ instrumentId, practice, items }) => {
      const mine = steps.filter((one) => one.instrumentId === instrumentId && one.unless.length === 0);
      const handled = { instrument: instrumentId, practice, items };
      return [
        instrumentId,
        standsOn(
          handled,
          mine.map(({ step }) => step),
        ),
      ] as const;
    }),
  );
  return {
    ...plan,
    steps: steps.map((one) => ({ ...one, standsOn: found.get(one.instrumentId)?.get(one.step.id) ?? [] })),
  };
}
