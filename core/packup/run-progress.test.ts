import { describe, expect, test } from '@jest/globals';
import type { RunNow, StepNow } from '#core/packup/run-log.ts';
import { countdown, isWaiting, progressOf, standingOn, stepAtHand } from '#core/packup/run-progress.ts';

const NOW = Date.parse('2026-11-24T20:00:00.000Z');
const later = (seconds: number) => NOW + seconds * 1000;
const step = (key: string, over: Partial<StepNow> = {}) =>
  ({
    key,
    state: 'open',
    called: 'yes',
    waitsUntilMs: null,
    activeMinutes: 1,
    must: false,
    unless: [],
    ...over,
  }) as StepNow;
const run = (...steps: StepNow[]): Pick<RunNow, 'steps'> => ({ steps });

describe('the step at hand', () => {
  test('is the first open one that waits for nothing', () => {
    const steps = [step('a', { state: 'ticked' }), step('b', { waitsUntilMs: later(60) }), step('c'), step('d')];
    expect(stepAtHand([...steps], NOW)?.key).toBe('c');
    expect(stepAtHand([...steps], NOW + 61_000)?.key).toBe('b');
  });

  test('is the one that waits where nothing else is open, and none when all is closed', () => {
    expect(stepAtHand([step('a', { waitsUntilMs: later(60) })], NOW)?.key).toBe('a');
    expect(stepAtHand([step('a', { state: 'skipped' })], NOW)).toBeNull();
  });

  test('is never one a look has not called for', () => {
    expect(stepAtHand([step('a', { called: 'no' }), step('b', { called: 'undecided' }), step('c')], NOW)?.key).toBe(
      'c',
    );
  });

  test('nor one that another step is about to do as well, and it does not count either', () => {
    const steps = [step('bath'), step('grease', { called: 'undecided', unless: ['piston-brass/bath-grease'] })];
    expect(stepAtHand(steps.slice(1), NOW)).toBeNull();
    expect(progressOf(run(...steps))).toEqual({ closed: 0, total: 1, minutesLeft: 1 });
  });
});

describe('progress', () => {
  test('counts what is called for, and the handwork of what is open', () => {
    const progress = progressOf(
      run(
        step('a', { state: 'ticked' }),
        step('b', { must: true, activeMinutes: 2 }),
        step('c'),
        step('d', { called: 'no', must: true }),
      ),
    );
    expect(progress).toMatchObject({ closed: 1, total: 3, minutesLeft: 3 });
  });

  test('a wait counts down to nothing and not beyond', () => {
    expect(countdown(later(245), NOW)).toBe('4:05');
    expect(countdown(later(0.2), NOW)).toBe('0:01');
    expect(countdown(later(-90), NOW)).toBe('0:00');
    expect(isWaiting(step('a', { waitsUntilMs: later(1) }), NOW)).toBe(true);
    expect(isWaiting(step('a'), NOW)).toBe(false);
  });
});

test('what cannot be done without a step: what is open, called for and stands on it', () => {
  const on = (key: string, over: Partial<StepNow> = {}) => step(key, { standsOn: ['clarinet/part-joints'], ...over });
  const steps = [
    on('swab'),
    on('ticked', { state: 'ticked' }),
    on('no', { called: 'no' }),
    step('free', { standsOn: [] }),
  ];
  expect(standingOn(steps, step('part', { id: 'clarinet/part-joints' })).map(({ key }) => key)).toEqual(['swab']);
});
