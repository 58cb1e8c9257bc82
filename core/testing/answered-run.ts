import type { Look } from '#core/book/step.ts';
import type { StepId } from '#core/book/care-ids.ts';
import { keepPlan } from '#core/packup/kept-plan.ts';
import type { RunEvent } from '#core/packup/run-event.ts';
import { calledFrom, foldRun, type RunNow } from '#core/packup/run-log.ts';
import type { PlannedStep, RunPlan } from '#core/packup/run-plan.ts';
import type { Instant } from '#core/time/instant.ts';

/** A step somebody did, and what they found where it is a look. */
export type DoneStep = PlannedStep & { readonly answer: string | null };

/** When a made-up run happens; its log needs a moment, and any will do. */
const AT = '2026-01-15T18:00:00Z' as Instant;

const TICKED = { kind: 'ticked' } as const;
const SKIPPED = { kind: 'skipped', reason: 'no-time' } as const;

/** What is answered to a look: what is given, else the usual answer; null where there is no look. */
const answerTo = (look: Look | undefined, given: string | undefined): string | null =>
  look === undefined ? null : (given ?? look.answers[0]?.id ?? '');

/**
 * What is done of a plan from its first step to its last when the looks get these answers, the usual one (the first)
 * where none is given: steps no answer calls for drop out, as in the program.
 *
 * @param how which steps its player leaves out, and whether it is packed up on the way
 */
export function doneIn(
  plan: RunPlan,
  answers: ReadonlyMap<StepId, string> = new Map(),
  { skipped = new Set(), isAway = false }: { readonly skipped?: ReadonlySet<StepId>; readonly isAway?: boolean } = {},
): DoneStep[] {
  const kept = keepPlan(plan);
  const standIns = new Set(plan.steps.flatMap(({ unless }) => unless));
  const itemsOfStandIns = new Set(plan.steps.flatMap(({ step }) => (standIns.has(step.id) ? [step.item] : [])));
  const events: RunEvent[] = isAway ? [{ kind: 'away', at: AT }] : [];
  const done: DoneStep[] = [];
  let called = calledFrom(kept, events);
  plan.steps.forEach((planned) => {
    const { key, step } = planned;
    if (called.get(key) !== 'yes') return;
    const answer = answerTo(step.look, answers.get(step.id));
    const event = skipped.has(step.id) ? SKIPPED : answer === null ? TICKED : ({ kind: 'answered', answer } as const);
    events.push({ ...event, stepKey: key, at: AT });
    if (event !== SKIPPED) done.push({ ...planned, answer });
    // A plain tick that nothing hangs on changes nothing for the others.
    if (event !== TICKED || itemsOfStandIns.has(step.item)) called = calledFrom(kept, events);
  });
  return done;
}

/** How a run stands that was packed up on the way, all of it done that cannot wait. */
export function packedOnTheWay(plan: RunPlan, answers: ReadonlyMap<StepId, string> = new Map()): RunNow {
  const done = doneIn(plan, answers, { isAway: true });
  return foldRun(keepPlan(plan), [
    { kind: 'away', at: AT },
    ...done.map(({ key: stepKey, answer }): RunEvent =>
      answer === null ? { ...TICKED, stepKey, at: AT } : { kind: 'answered', answer, stepKey, at: AT },
    ),
  ]);
}
