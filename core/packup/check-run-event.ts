import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { KeptStep } from '#core/packup/kept-plan.ts';
import type { RunEventSaid } from '#core/packup/run-event.ts';
import type { RunNow, StepNow } from '#core/packup/run-log.ts';

export type RunEventRefusal =
  | { readonly code: 'already-finished' }
  | { readonly code: 'nothing-waits' }
  | { readonly code: 'no-such-step'; readonly stepKey: string }
  | { readonly code: 'no-such-answer'; readonly allowed: readonly string[] }
  | { readonly code: 'answer-wanted'; readonly question: string }
  | { readonly code: 'no-look' }
  | { readonly code: 'no-passes'; readonly stepKey: string }
  | { readonly code: 'must-steps-open'; readonly headings: readonly string[] };

/** Steps that keep a run from being finished: neither done nor skipped; they are skipped with a reason only. */
const mustBeSettled = ({ steps }: RunNow): StepNow[] =>
  steps.filter(({ must, state, called }) => must && state === 'open' && called === 'yes');

/** May this be said of the run? It is finished once, and never with a must-step neither done nor skipped. */
export function checkRunEvent(run: RunNow, event: RunEventSaid): Outcome<RunEventSaid, RunEventRefusal> {
  // What the cloth showed is often said only once the case is shut.
  if (run.finishedAt !== null && event.kind !== 'last-pass') return fail({ code: 'already-finished' });
  if (event.kind === 'finished') {
    const open = mustBeSettled(run);
    return open.length > 0
      ? fail({ code: 'must-steps-open', headings: open.map(({ heading }) => heading) })
      : succeed(event);
  }
  if (event.kind === 'away' || event.kind === 'at-home')
    return event.kind === 'at-home' || mayBeAway(run) ? succeed(event) : fail({ code: 'nothing-waits' });
  const { stepKey } = event;
  const here = event.kind === 'pulled-in' ? run.leftOut.flatMap(({ steps }) => steps) : run.steps;
  const found = here.find(({ key }) => key === stepKey);
  const refusal = found === undefined ? ({ code: 'no-such-step', stepKey } as const) : refusalOnStep(found, event);
  return refusal === null ? succeed(event) : fail(refusal);
}

/** Is there anything in it that can wait until it is at home? */
export const mayBeAway = ({ steps }: Pick<RunNow, 'steps'>): boolean => steps.some(({ away }) => away === 'waits');

const isTick = ({ kind }: RunEventSaid): boolean => kind === 'ticked' || kind === 'ticked-along';

/** What this step cannot take: passes it has not, a tick where an answer is wanted, an answer it does not know. */
function refusalOnStep(
  { look, passes }: KeptStep,
  event: Extract<RunEventSaid, { stepKey: unknown }>,
): RunEventRefusal | null {
  if (event.kind === 'last-pass' && (!passes || event.count < 1)) return { code: 'no-passes', stepKey: event.stepKey };
  if (isTick(event) && look) return { code: 'answer-wanted', question: look.question };
  if (event.kind === 'not-looked' && !look) return { code: 'no-look' };
  if (event.kind !== 'answered') return null;
  const allowed = look?.answers.map(({ id }) => id) ?? [];
  return allowed.includes(event.answer) ? null : { code: 'no-such-answer', allowed };
}
