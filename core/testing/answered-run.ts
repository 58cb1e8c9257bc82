import type { StepId } from '#core/book/care-ids.ts';
import { keepPlan } from '#core/packup/kept-plan.ts';
import type { RunEvent } from '#core/packup/run-event.ts';
import { foldRun } from '#core/packup/run-log.ts';
import type { PlannedStep, RunPlan } from '#core/packup/run-plan.ts';
import type { Instant } from '#core/time/instant.ts';

/** A step somebody did, and what they found where it is a look. */
export type DoneStep = PlannedStep & { readonly answer: string | null };

/** When a made-up run happens; its log needs a moment, and any will do. */
const AT = '2026-01-15T18:00:00Z' as Instant;

/**
 * What is done of a plan from its first step to its last when the looks get these answers, the usual one (the first)
 * where none is given: steps no answer calls for drop out, as in the program.
 *
 * @param skipped steps left out by the player
 */
export function doneIn(
  plan: RunPlan,
  answers: ReadonlyMap<StepId, string> = new Map(),
  skipped: ReadonlySet<StepId> = new Set(),
): DoneStep[] {
  const kept = keepPlan(plan);
  const events: RunEvent[] = [];
  const done: DoneStep[] = [];
  for (const planned of plan.steps) {
    const { key, step } = planned;
    const now = foldRun(kept, events).steps.find((one) => one.key === key);
    if (now?.called !== 'yes') continue;
    if (skipped.has(step.id)) events.push({ kind: 'skipped', stepKey: key, reason: 'no-time', at: AT });
    else if (step.look) {
      const answer = answers.get(step.id) ?? step.look.answers[0]?.id ?? '';
      events.push({ kind: 'answered', stepKey: key, answer, at: AT });
      done.push({ ...planned, answer });
    } else {
      events.push({ kind: 'ticked', stepKey: key, at: AT });
      done.push({ ...planned, answer: null });
    }
  }
  return done;
}
