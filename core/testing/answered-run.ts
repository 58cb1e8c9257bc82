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
  const standIns = new Set(plan.steps.flatMap(({ unless }) => unless));
  const itemsOfStandIns = new Set(plan.steps.flatMap(({ step }) => (standIns.has(step.id) ? [step.item] : [])));
  const events: RunEvent[] = [];
  const done: DoneStep[] = [];
  let now = foldRun(kept, events);
  plan.steps.forEach((planned, index) => {
    const { key, step } = planned;
    if (now.steps[index]?.called !== 'yes') return;
    const answer = step.look ? (answers.get(step.id) ?? step.look.answers[0]?.id ?? '') : null;
    const isSkipped = skipped.has(step.id);
    if (isSkipped) events.push({ kind: 'skipped', stepKey: key, reason: 'no-time', at: AT });
    else if (answer !== null) events.push({ kind: 'answered', stepKey: key, answer, at: AT });
    else events.push({ kind: 'ticked', stepKey: key, at: AT });
    if (!isSkipped) done.push({ ...planned, answer });
    // A plain tick that nothing hangs on changes nothing for the others.
    if (isSkipped || answer !== null || itemsOfStandIns.has(step.item)) now = foldRun(kept, events);
  });
  return done;
}
