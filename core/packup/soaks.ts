import type { Broken } from '#core/handling/play-through.ts';
import type { PlannedStep } from '#core/packup/run-plan.ts';

type Timed = Pick<PlannedStep, 'instrumentId' | 'step' | 'activeMinutes' | 'startsAtMinute'>;

/** Seconds are rounded to minutes and back. */
const ROUNDING = 1 / 60;

/** Every wait of a plan that lasts longer than its most: from the end of what begins it to the start of what ends it. */
export function soaksTooLong(steps: readonly Timed[]): Broken[] {
  return steps.flatMap(({ instrumentId, step, activeMinutes, startsAtMinute }): Broken[] => {
    const { wait } = step;
    if (wait?.most === undefined || startsAtMinute === null) return [];
    const until = wait.most.value + startsAtMinute + activeMinutes + ROUNDING;
    const late = steps.find(
      (one) =>
        one.instrumentId === instrumentId && wait.until.includes(one.step.id) && (one.startsAtMinute ?? 0) > until,
    );
    if (late === undefined) return [];
    return [
      {
        rule: 'soaks-too-long',
        instrument: instrumentId,
        step: late.step.id,
        thing: step.part,
        other: null,
        by: step.id,
      },
    ];
  });
}
