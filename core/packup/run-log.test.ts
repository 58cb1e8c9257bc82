import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { practiceFor } from '#core/care/practice-book.ts';
import type { StepId } from '#core/care/care-item.ts';
import type { Step } from '#core/care/step.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { planReasonWords, planRun } from '#core/packup/plan-run.ts';
import { careDoneBy, checkRunEvent, runState, stepState, waitsUntilMs, type RunEvent } from '#core/packup/run-log.ts';
import { instantOfMs } from '#core/time/instant.ts';

const at = instantOfMs(Date.UTC(2026, 10, 24, 19));
const later = (minutes: number) => instantOfMs(Date.UTC(2026, 10, 24, 19) + minutes * 60_000);
const step = (id: string, over: Partial<Step> = {}): Step => ({
  id: `wind/${id}`,
  item: 'wind/case-check',
  part: 'case',
  action: id,
  minutes: 1,
  after: [],
  mark: 'practice',
  ...over,
});
const steps = [
  step('a', { must: true }),
  step('b', { item: 'wind/case-away' }),
  step('c', { item: 'wind/case-away', alsoDoes: ['wind/clean-hands'] }),
];
const tick = (id: string): RunEvent => ({ kind: 'ticked', stepId: `wind/${id}`, at });
const skip = (id: string, reason: 'no-time' | 'not-needed'): RunEvent => ({
  kind: 'skipped',
  stepId: `wind/${id}`,
  reason,
  at,
});

describe('the log of a run', () => {
  test('adds up: ticked, taken back, counted, skipped', () => {
    const state = runState([
      tick('a'),
      { kind: 'unticked', stepId: 'wind/a', at },
      { kind: 'counted', stepId: 'wind/b', count: 3, at },
      skip('c', 'no-time'),
    ]);
    expect(stepState(state, 'wind/a').kind).toBe('open');
    expect(stepState(state, 'wind/b')).toEqual({ kind: 'open', count: 3 });
    expect(stepState(state, 'wind/c')).toMatchObject({ kind: 'skipped', reason: 'no-time' });
  });

  test('a second tick from another tab changes nothing', () => {
    expect(runState([tick('a'), { kind: 'ticked', stepId: 'wind/a', at: later(9) }])).toEqual(runState([tick('a')]));
  });

  test('is finished once, and never with a must-step neither done nor skipped', () => {
    const finish: RunEvent = { kind: 'finished', at };
    expect(checkRunEvent(steps, runState([]), finish)).toMatchObject({
      ok: false,
      failure: { code: 'must-steps-open', stepIds: ['wind/a'] },
    });
    expect(checkRunEvent(steps, runState([skip('a', 'no-time')]), finish).ok).toBe(true);
    expect(checkRunEvent(steps, runState([tick('a'), finish]), finish)).toMatchObject({
      failure: { code: 'already-finished' },
    });
    expect(checkRunEvent(steps, runState([]), tick('zzz'))).toMatchObject({ failure: { code: 'no-such-step' } });
  });

  test('records exactly what was done', () => {
    expect(careDoneBy(steps, runState([tick('a'), tick('b')]))).toEqual(['wind/case-check']);
    expect(careDoneBy(steps, runState([tick('b'), tick('c')]))).toEqual(['wind/case-away', 'wind/clean-hands']);
    expect(careDoneBy(steps, runState([tick('b'), skip('c', 'not-needed')]))).toEqual(['wind/case-away']);
    expect(careDoneBy(steps, runState([tick('b'), skip('c', 'no-time')]))).toEqual([]);
  });

  test('ticking more never records less', () => {
    const event = fc
      .tuple(fc.constantFrom('a', 'b', 'c'), fc.constantFrom('tick', 'no-time', 'not-needed'))
      .map(([id, what]) => (what === 'tick' ? tick(id) : skip(id, what as 'no-time')));
    fc.assert(
      fc.property(fc.array(event), fc.constantFrom('a', 'b', 'c'), (log, extra) => {
        const before = careDoneBy(steps, runState(log));
        expect(careDoneBy(steps, runState([...log, tick(extra)]))).toEqual(expect.arrayContaining(before));
      }),
      { seed: 6 },
    );
  });

  test('a wait runs from the tick and holds only the step it is for', () => {
    const waiting = [
      step('soak', { wait: { minutes: { value: 10, mark: 'estimate' }, why: '', until: ['wind/rinse'] } }),
      step('rinse'),
      step('other'),
    ];
    const state = runState([tick('soak')]);
    expect(waitsUntilMs(waiting, state, waiting[1]!)).toBe(Date.parse(at) + 600_000);
    expect(waitsUntilMs(waiting, state, waiting[2]!)).toBeNull();
    expect(waitsUntilMs(waiting, runState([]), waiting[1]!)).toBeNull();
  });
});

describe('a plan', () => {
  const build = { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' } as const;
  const practice = practiceFor('clarinet', build);
  const request = (items: `clarinet/${string}`[], standing: 'grown-up' | 'child' = 'grown-up') => ({
    kind: kindOf('clarinet'),
    practice,
    items,
    playedMinutes: 45,
    roomCelsius: 20,
    schools: { choices: {}, context: { build, ageDays: null, weeklyMinutes: 0 } },
    player: { standing, does: ['key-oil' as const] },
  });

  test('overlaps a soak with other work and says so', () => {
    const plan = planRun(
      request([
        'clarinet/mouthpiece-soak',
        'clarinet/tone-holes',
        'clarinet/rod-dust',
        'clarinet/reed-after-playing',
        'clarinet/take-apart',
        'clarinet/swab-bore',
      ]),
    );
    const starts = new Map(
      plan.steps.map(({ step: { id }, startsAtMinute }) => [id, startsAtMinute] as [StepId, number]),
    );
    const soaked = plan.steps.find(({ step: { id } }) => id === 'clarinet/soak-mouthpiece');
    expect(starts.get('clarinet/rinse-soaked-mouthpiece') ?? 0).toBeGreaterThanOrEqual(
      (soaked?.startsAtMinute ?? 0) + (soaked?.activeMinutes ?? 0) + 10,
    );
    expect(plan.elapsedMinutes).toBeLessThan(plan.activeMinutes + 10);
    expect(plan.because.map((reason) => planReasonWords(reason).text).join(' ')).toContain('10 min of waiting run');
  });

  test('gives a child twice the time and a grown-up beside them for oil', () => {
    const [own, child] = [planRun(request(['clarinet/key-oil'])), planRun(request(['clarinet/key-oil'], 'child'))];
    expect(child.activeMinutes).toBeCloseTo(2 * own.activeMinutes, 6);
    expect(new Set(own.steps.map(({ hands }) => hands))).toEqual(new Set(['player']));
    expect(new Set(child.steps.map(({ hands }) => hands))).toEqual(new Set(['with-a-grown-up']));
  });

  test('the thorough clean brings holes and rods along', () => {
    expect(new Set(planRun(request(['clarinet/thorough-clean'])).steps.map(({ step: { item } }) => item))).toEqual(
      new Set(['clarinet/tone-holes', 'clarinet/rod-dust', 'clarinet/thorough-clean']),
    );
  });

  test('passes carry their reasons', () => {
    const swab = planRun(request(['clarinet/swab-bore'])).steps.find(
      ({ step: { id } }) => id === 'clarinet/swab-upper',
    );
    expect(swab?.repeats).toMatchObject({ count: 5, noun: 'pass' });
    expect(swab?.repeats?.because.map(({ rule }) => rule)).toEqual(['water-blown-in', 'dries-per-pass']);
  });
});
