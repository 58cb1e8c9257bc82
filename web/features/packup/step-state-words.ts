import { wasNotLooked } from '#core/packup/run-log.ts';
import { countdown, isWaiting } from '#core/packup/run-progress.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { SKIP_WORDS } from '#web/features/packup/skip-words.ts';

const skippedWords = ({ skipReason }: ShownStep): string =>
  skipReason === null ? 'skipped' : `skipped: ${SKIP_WORDS[skipReason].toLowerCase()}`;

const answerWords = ({ look, answer }: ShownStep): string | null =>
  look?.answers.find(({ id }) => id === answer)?.words ?? null;

/** Why a step is not called for, or not yet. */
function notCalledWords({ called, away, unless }: ShownStep): string | null {
  switch (called) {
    case 'no':
      return 'not needed';
    case 'cannot':
      return 'cannot be done: a step before it was skipped';
    case 'at-home':
      return away === 'later' ? 'another day' : 'when you are at home';
    case 'undecided':
      return unless.length > 0 ? 'another step does it too' : 'only if the look says so';
    case 'yes':
      return null;
  }
}

/** Why a step is as it is, where that needs words: not called for, waiting, skipped, what a look has found. */
export function stateWords(step: ShownStep, nowMs: number): string | null {
  const notCalled = notCalledWords(step);
  if (notCalled !== null) return notCalled;
  if (wasNotLooked(step)) return 'not looked';
  if (step.look && step.answer !== null) return answerWords(step);
  if (step.state === 'skipped') return skippedWords(step);
  if (isWaiting(step, nowMs) && step.waitsUntilMs !== null) return `waits ${countdown(step.waitsUntilMs, nowMs)}`;
  return null;
}
