import { describe, expect, test } from '@jest/globals';
import type { RunStepView, RunView } from '#contract/packup.ts';
import { countdown, isWaiting, progressOf, stepAtHand } from '#web/features/packup/run-progress.ts';

const NOW = Date.parse('2026-11-24T20:00:00.000Z');
const later = (seconds: number) => new Date(NOW + seconds * 1000).toISOString();
const step = (key: string, over: Partial<RunStepView> = {}) =>
  ({ key, state: 'open', called: 'yes', waitsUntil: null, activeMinutes: 1, must: false, ...over }) as RunStepView;
const run = (...steps: RunStepView[]) => ({ steps }) as unknown as RunView;

describe('the step at hand', () => {
  test('is the first open one that waits for nothing', () => {
    const steps = [step('a', { state: 'ticked' }), step('b', { waitsUntil: later(60) }), step('c'), step('d')];
    expect(stepAtHand(run(...steps), NOW)?.key).toBe('c');
    expect(stepAtHand(run(...steps), NOW + 61_000)?.key).toBe('b');
  });

  test('is the one that waits where nothing else is open, and none when all is closed', () => {
    expect(stepAtHand(run(step('a', { waitsUntil: later(60) })), NOW)?.key).toBe('a');
    expect(stepAtHand(run(step('a', { state: 'skipped' })), NOW)).toBeNull();
  });

  test('is never one a look has not called for', () => {
    expect(
      stepAtHand(run(step('a', { called: 'no' }), step('b', { called: 'not-yet' as never }), step('c')), NOW)?.key,
    ).toBe('c');
  });
});

describe('progress', () => {
  test('counts what is called for; what must be done and is open is named', () => {
    const progress = progressOf(
      run(
        step('a', { state: 'ticked' }),
        step('b', { must: true, activeMinutes: 2 }),
        step('c'),
        step('d', { called: 'no', must: true }),
      ),
    );
    expect(progress).toMatchObject({ closed: 1, total: 3, minutesLeft: 3 });
    expect(progress.mustOpen.map(({ key }) => key)).toEqual(['b']);
  });

  test('a wait counts down to nothing and not beyond', () => {
    expect(countdown(later(245), NOW)).toBe('4:05');
    expect(countdown(later(0.2), NOW)).toBe('0:01');
    expect(countdown(later(-90), NOW)).toBe('0:00');
    expect(isWaiting(step('a', { waitsUntil: later(1) }), NOW)).toBe(true);
    expect(isWaiting(step('a', { waitsUntil: later(1), state: 'ticked' }), NOW)).toBe(false);
  });
});
