import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BEGIN, TRIAL_FEELS, trialDone, trialFelt, type Trial, type TrialFeel } from '#core/reeds/reed-trial.ts';

/** What is said to be done, answer after answer. */
function led(feels: readonly TrialFeel[], hasBack = true): string[] {
  const steps: string[] = [];
  let trial: Trial = BEGIN;
  const note = (): void =>
    void steps.push(
      trial.at.step === 'move'
        ? `move ${trial.at.way}`
        : trial.at.step === 'grade'
          ? `grade ${trial.at.feel}`
          : trial.at.step,
    );
  note();
  for (const feel of feels) {
    trial = trialDone(trial);
    trial = trialFelt(trial, feel, hasBack);
    note();
    if (trial.at.step === 'grade') break;
    trial = trialDone(trial);
  }
  return steps;
}

test('hard or stuffy: flatten first, then a hair down, and only what stays so is a grade', () => {
  expect(led(['right'])).toEqual(['play', 'grade right']);
  expect(led(['too-hard', 'right'])).toEqual(['play', 'flatten', 'grade right']);
  expect(led(['stuffy', 'too-hard', 'too-hard'])).toEqual(['play', 'flatten', 'move down', 'grade too-hard']);
  expect(led(['too-soft', 'too-soft'])).toEqual(['play', 'move up', 'grade too-soft']);
  // A synthetic reed has no back that bulges.
  expect(led(['too-hard', 'too-hard'], false)).toEqual(['play', 'move down', 'grade too-hard']);
});

test('whatever is felt, it comes to a grade within five answers, and nothing is asked twice', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...TRIAL_FEELS), { minLength: 5, maxLength: 5 }),
      fc.boolean(),
      (feels, back) => {
        const steps = led(feels, back);
        expect(steps.at(-1)).toMatch(/^grade /);
        expect(new Set(steps).size).toBe(steps.length);
      },
    ),
  );
});
