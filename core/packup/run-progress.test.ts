import { describe, expect, test } from '@jest/globals';
import { keepPlan } from '#core/packup/kept-plan.ts';
import { foldRun, type RunNow, type StepNow } from '#core/packup/run-log.ts';
import type { StepId } from '#core/book/care-ids.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';
import { planOf, type Due } from '#core/testing/any-run.ts';
import type { Instant } from '#core/time/instant.ts';
import { countdown, doneInOneGo, isWaiting, progressOf, standingOn, stepAtHand } from '#core/packup/run-progress.ts';

const NOW = Date.parse('2026-11-24T20:00:00.000Z');
const later = (seconds: number) => NOW + seconds * 1000;
const step = (key: string, over: Partial<StepNow> = {}) =>
  ({
    key,
    state: 'open',
    called: 'yes',
    waitsUntilMs: null,
    mostUntilMs: null,
    activeMinutes: 1,
    must: false,
    unless: [],
    calledBy: null,
    standsOn: [],
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
    expect(progressOf(run(...steps), NOW)).toEqual({ closed: 0, total: 1, minutesLeft: 1 });
  });
});

test('a wait is over at the moment it ends', () => {
  expect([later(1), later(0), later(-1), null].map((waitsUntilMs) => isWaiting({ waitsUntilMs }, NOW))).toEqual([
    true,
    false,
    false,
    false,
  ]);
});

describe('progress', () => {
  test.each(KIND_IDS)('of a run that has just begun is what its plan takes: %s', (kind) => {
    for (const due of ['before', 'after', 'all'] as const) {
      const plan = planOf(BOOK, { instruments: [{ kind }], due: [due], playedMinutes: 45 });
      const { minutesLeft } = progressOf(foldRun(keepPlan(plan), []), NOW);
      // Minutes of a step are rounded on their way.
      expect([due, Math.abs(minutesLeft - plan.elapsedMinutes) < 0.2]).toEqual([due, true]);
    }
  });

  test('counts what a look seldom calls for only once it has', () => {
    const pipes = { instruments: [{ kind: 'highland-pipes' as const }], due: ['after' as const], playedMinutes: 45 };
    const plan = keepPlan(planOf(BOOK, pipes));
    const calls = (look: StepId, answer: string | undefined): boolean =>
      plan.steps.some(({ calledBy }) => calledBy?.look === look && calledBy.answers.includes(answer ?? ''));
    const look = plan.steps.find(
      (one) =>
        !calls(one.id, one.look?.answers[0]?.id) && one.look?.answers.some(({ id }) => calls(one.id, id)) === true,
    );
    const seldom = look?.look?.answers.find(({ id }) => calls(look.id, id));
    if (look === undefined || seldom === undefined) throw new Error('the pipes have a look');
    const answered = (answer: string) =>
      progressOf(
        foldRun(plan, [{ kind: 'answered', stepKey: look.key, answer, at: '2026-11-24T20:00:00.000Z' as Instant }]),
        NOW,
      );
    const usual = answered(look.look?.answers[0]?.id ?? '');
    const called = answered(seldom.id);
    expect(called.total).toBeGreaterThan(usual.total);
    expect(called.minutesLeft).toBeGreaterThan(usual.minutesLeft + 1);
    expect(progressOf(foldRun(plan, []), NOW).total).toBe(usual.total);
  });

  test('counts what is called for, and the handwork of what is open', () => {
    const progress = progressOf(
      run(
        step('a', { state: 'ticked' }),
        step('b', { must: true, activeMinutes: 2 }),
        step('c'),
        step('d', { called: 'no', must: true }),
      ),
      NOW,
    );
    expect(progress).toMatchObject({ closed: 1, total: 3, minutesLeft: 3 });
  });

  test('what must not lie longer comes first as soon as its wait is over, once what it stands on is done', () => {
    const other = step('other');
    const lying = step('rinse', { waitsUntilMs: later(-60), mostUntilMs: later(60) });
    expect(stepAtHand([other, { ...lying, waitsUntilMs: later(60) }], NOW)?.key).toBe(other.key);
    expect(stepAtHand([other, lying], NOW)?.key).toBe(lying.key);
    expect(stepAtHand([other, { ...lying, standsOn: [other.id] }], NOW)?.key).toBe(other.key);
    expect(stepAtHand([other, { ...lying, mostUntilMs: null }], NOW)?.key).toBe(other.key);
  });

  test('a reed in the water does not press on before the joints are together; a mouthpiece in acid does', () => {
    const at = (minutes: number) => new Date(NOW + minutes * 60_000).toISOString() as Instant;
    const pressing = (soak: string, due: readonly Due[]) => {
      const plan = keepPlan(planOf(BOOK, { instruments: [{ kind: 'clarinet' }], due }));
      const key = plan.steps.find(({ id }) => id === soak)?.key;
      if (key === undefined) throw new Error(`no ${soak}`);
      return foldRun(plan, [{ kind: 'ticked', stepKey: key, at: at(0) }]).steps.flatMap(({ id, mostUntilMs }) =>
        mostUntilMs === null ? [] : [id],
      );
    };
    expect(pressing('single-reed/soak-mouthpiece', ['single-reed/mouthpiece-soak'])).toEqual([
      'single-reed/rinse-soaked',
    ]);
    const oboe = keepPlan(planOf(BOOK, { instruments: [{ kind: 'oboe' }], due: ['before'] }));
    const soaked = oboe.steps.find(({ id }) => id === 'double-reed/into-cup');
    if (!soaked) throw new Error('no soak');
    const steps = foldRun(oboe, [{ kind: 'ticked', stepKey: soaked.key, at: at(0) }]).steps;
    expect(steps.some(({ waitsUntilMs }) => waitsUntilMs !== null)).toBe(true);
    expect(steps.filter(({ mostUntilMs }) => mostUntilMs !== null)).toEqual([]);
  });

  test('turning to another instrument takes its time where the plan has left it, and none in the round over all', () => {
    const on = (instrument: string, startsAtMinute: number | null) =>
      step(`${instrument} ${startsAtMinute}`, { instrumentId: instrument as StepNow['instrumentId'], startsAtMinute });
    const left = (...steps: StepNow[]) => progressOf(run(...steps), NOW).minutesLeft;
    expect(left(on('a', 0), on('b', 1), on('a', 2))).toBe(3);
    expect(left(on('a', 0), on('b', 1.25), on('a', 2.5))).toBe(3.5);
    expect(left(on('a', 0), on('a', 5))).toBe(2);
    expect(left(on('a', 0), on('b', null))).toBe(2.25);
  });

  test('the plan and what is left of it say the same minutes', () => {
    const kinds = ['clarinet', 'alto-saxophone', 'piccolo'] as const;
    const plan = keepPlan(planOf(BOOK, { instruments: kinds.map((kind) => ({ kind })), due: ['after'] }));
    expect(progressOf(foldRun(plan, []), NOW).minutesLeft).toBeCloseTo(plan.elapsedMinutes, 1);
  });

  test('what is left holds the waits nothing else fills', () => {
    const soak = step('soak', {
      id: 'single-reed/soak-mouthpiece',
      wait: { minutes: 10, most: 12, why: 'it soaks', until: ['single-reed/rinse-soaked'] },
    });
    const rinse = step('rinse', { id: 'single-reed/rinse-soaked' });
    // One minute to lay it in, ten to soak, one to rinse; other work in between costs nothing.
    expect(progressOf(run(soak, rinse), NOW).minutesLeft).toBe(12);
    expect(progressOf(run(soak, step('a'), step('b'), rinse), NOW).minutesLeft).toBe(12);
    expect(progressOf(run({ ...rinse, waitsUntilMs: later(240) }), NOW).minutesLeft).toBe(5);
    expect(progressOf(run({ ...rinse, waitsUntilMs: later(-240) }), NOW).minutesLeft).toBe(1);
  });

  test('in one go is done what is open and called for, no look, and waits for nothing', () => {
    const steps = [
      step('a', { look: null }),
      step('look', { look: { question: '?', answers: [] } }),
      step('waits', { look: null, waitsUntilMs: later(60) }),
      step('ticked', { look: null, state: 'ticked' }),
      step('no', { look: null, called: 'no' }),
      step('maybe', { look: null, called: 'undecided' }),
    ];
    expect(doneInOneGo(steps, NOW).map(({ key }) => key)).toEqual(['a']);
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
