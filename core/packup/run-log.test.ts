import { BOOK } from '#core/tables/book.ts';
import { usualWetness } from '#core/water/wetness.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { usualPractice } from '#core/methods/practice-under.ts';
import type { Marked } from '#core/explain/explained.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { learnMinutes } from '#core/packup/learn-minutes.ts';
import { planReasonWords } from '#core/packup/packup-words.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { keptOf, type KeptPlan, type KeptStep } from '#core/packup/kept-plan.ts';
import type { RunEvent } from '#core/packup/run-event.ts';
import { careDoneBy, signsSeenBy } from '#core/packup/run-care.ts';
import { checkRunEvent } from '#core/packup/check-run-event.ts';
import { foldRun, wasNotLooked, type StepNow } from '#core/packup/run-log.ts';
import { runStepKey } from '#core/packup/run-step.ts';
import { instantOfMs } from '#core/time/instant.ts';

const at = instantOfMs(Date.UTC(2026, 10, 24, 19));
const later = (minutes: number) => instantOfMs(Date.UTC(2026, 10, 24, 19) + minutes * 60_000);
const horn = 'horn' as InstrumentId;
const key = (id: string) => runStepKey(horn, `wind/${id}`);
const step = (id: string, over: Partial<Step> = {}, instrumentId = horn): KeptStep => ({
  key: runStepKey(instrumentId, `wind/${id}`),
  instrumentId,
  ...keptOf({
    id: `wind/${id}`,
    item: 'wind/case-check',
    part: 'case',
    heading: id,
    minutes: 1,
    after: [],
    does: [],
    mark: 'practice',
    ...over,
  }),
  count: null,
  activeMinutes: 1,
  startsAtMinute: 0,
});
const planOf = (of: readonly KeptStep[], left: readonly KeptStep[] = []): Pick<KeptPlan, 'steps' | 'leftOut'> => ({
  steps: of,
  leftOut: left.length === 0 ? [] : [{ steps: left, value: 1, moreMinutes: 1 }],
});
const steps = [
  step('a', { must: true }),
  step('b', { item: 'wind/case-away' }),
  step('c', { item: 'wind/case-away', alsoDoes: ['wind/clean-hands'] }),
];
const tick = (id: string): RunEvent => ({ kind: 'ticked', stepKey: key(id), at });
const skip = (id: string, reason: 'no-time' | 'not-needed'): RunEvent => ({
  kind: 'skipped',
  stepKey: key(id),
  reason,
  at,
});

const fold = (log: readonly RunEvent[], of: readonly KeptStep[] = steps, left: readonly KeptStep[] = []) =>
  foldRun(planOf(of, left), log);
const where = ({ steps: all }: { readonly steps: readonly StepNow[] }, id: string): StepNow => {
  const found = all.find((one) => one.key === key(id));
  if (!found) throw new Error(`no step ${id}`);
  return found;
};

describe('the log of a run', () => {
  test('adds up: ticked, taken back, counted, skipped', () => {
    const now = fold([
      tick('a'),
      { kind: 'unticked', stepKey: key('a'), at },
      { kind: 'counted', stepKey: key('b'), count: 3, at },
      skip('c', 'no-time'),
    ]);
    expect(where(now, 'a').state).toBe('open');
    expect(where(now, 'b')).toMatchObject({ state: 'open', counted: 3 });
    expect(where(now, 'c')).toMatchObject({ state: 'skipped', skipReason: 'no-time' });
  });

  test('a second tick from another tab changes nothing', () => {
    expect(fold([tick('a'), { kind: 'ticked', stepKey: key('a'), at: later(9) }])).toEqual(fold([tick('a')]));
  });

  test('is finished once, and never with a must-step neither done nor skipped', () => {
    const finish: RunEvent = { kind: 'finished', at };
    expect(checkRunEvent(fold([]), finish)).toMatchObject({
      ok: false,
      failure: { code: 'must-steps-open', headings: ['a'] },
    });
    expect(checkRunEvent(fold([skip('a', 'no-time')]), finish).ok).toBe(true);
    expect(checkRunEvent(fold([tick('a'), finish]), finish)).toMatchObject({
      failure: { code: 'already-finished' },
    });
    expect(checkRunEvent(fold([]), tick('zzz'))).toMatchObject({ failure: { code: 'no-such-step' } });
  });

  const done = (log: readonly RunEvent[], of: readonly KeptStep[] = steps) =>
    careDoneBy(fold(log, of)).map(({ itemId }) => itemId);

  test('records exactly what was done', () => {
    expect(done([tick('a'), tick('b')])).toEqual(['wind/case-check']);
    expect(done([tick('b'), tick('c')])).toEqual(['wind/case-away', 'wind/clean-hands']);
    expect(done([tick('b'), skip('c', 'not-needed')])).toEqual(['wind/case-away']);
    expect(done([tick('b'), skip('c', 'no-time')])).toEqual([]);
    // What was left out for want of time keeps its item open.
    expect(careDoneBy(fold([tick('b')], [steps[1]!], [steps[2]!]))).toEqual([]);
  });

  test('keeps two instruments apart', () => {
    const other = step('a', { must: true }, 'cornet' as InstrumentId);
    expect(careDoneBy(fold([tick('a')], [steps[0]!, other]))).toEqual([
      { instrumentId: 'horn', itemId: 'wind/case-check' },
    ]);
  });

  test('ticking more never records less', () => {
    const event = fc
      .tuple(fc.constantFrom('a', 'b', 'c'), fc.constantFrom('tick', 'no-time', 'not-needed'))
      .map(([id, what]) => (what === 'tick' ? tick(id) : skip(id, what as 'no-time')));
    fc.assert(
      fc.property(fc.array(event), fc.constantFrom('a', 'b', 'c'), (log, extra) => {
        expect(done([...log, tick(extra)])).toEqual(expect.arrayContaining(done(log)));
      }),
      { seed: 6 },
    );
  });

  describe('a look', () => {
    const look = step('look', {
      look: {
        question: 'How wet?',
        answers: [
          { id: 'dry', words: 'Dry' },
          { id: 'wet', words: 'Wet' },
          { id: 'stuck', words: 'Stuck', notice: 'brass/mouthpiece-stuck', calls: 'brass/stuck', endsItem: true },
        ],
      },
    });
    const mop = step('mop', { must: true, calledBy: { look: 'wind/look', answers: ['wet'] } });
    const rinse = step('rinse', { must: true });
    const branched = [look, mop, rinse];
    const answer = (found: string): RunEvent => ({ kind: 'answered', stepKey: key('look'), answer: found, at });

    test('calls for the steps its answer names, and settles the others', () => {
      expect(where(fold([], branched), 'mop').called).toBe('undecided');
      expect(where(fold([answer('wet')], branched), 'mop').called).toBe('yes');
      expect(where(fold([answer('dry')], branched), 'mop').called).toBe('no');
      expect(done([answer('dry'), tick('rinse')], branched)).toEqual(['wind/case-check']);
      expect(done([answer('wet'), tick('rinse')], branched)).toEqual([]);
      const finish: RunEvent = { kind: 'finished', at };
      expect(checkRunEvent(fold([answer('dry'), tick('rinse')], branched), finish).ok).toBe(true);
      expect(checkRunEvent(fold([answer('wet'), tick('rinse')], branched), finish).ok).toBe(false);
    });

    test('that finds something stuck ends its item, which is not done, and puts the sign in the record', () => {
      const run = fold([answer('stuck')], branched);
      expect(where(run, 'rinse').called).toBe('no');
      expect(checkRunEvent(run, { kind: 'finished' }).ok).toBe(true);
      expect(careDoneBy(run)).toEqual([]);
      expect(signsSeenBy(run)).toEqual([
        { instrumentId: 'horn', itemId: 'brass/stuck', sign: 'brass/mouthpiece-stuck', part: 'case' },
      ]);
    });

    test('is answered, not ticked, and only with what it may find; skipped, it counts as usual', () => {
      expect(checkRunEvent(fold([], branched), tick('look'))).toMatchObject({ failure: { code: 'answer-wanted' } });
      expect(checkRunEvent(fold([], branched), answer('blue'))).toMatchObject({
        failure: { code: 'no-such-answer', allowed: ['dry', 'wet', 'stuck'] },
      });
      // Nobody looked: it goes on as it usually does.
      expect(where(fold([skip('look', 'no-time')], branched), 'mop').called).toBe('no');
      expect(where(fold([answer('wet'), { kind: 'unticked', stepKey: key('look'), at }], branched), 'mop').called).toBe(
        'undecided',
      );
    });
  });

  test('what is pulled in comes before the casing, and is no longer left out; taken from elsewhere it is refused', () => {
    const shut = step('shut', { closing: true });
    const [wash, dry] = [step('wash', { item: 'wind/case-away' }), step('dry', { item: 'wind/case-away' })];
    const pull = (id: string): RunEvent => ({ kind: 'pulled-in', stepKey: key(id), at });
    const run = fold([pull('dry')], [steps[0]!, shut], [wash, dry]);
    expect(run.steps.map(({ key: of }) => of)).toEqual(['a', 'wash', 'dry', 'shut'].map(key));
    expect(run.leftOut).toEqual([]);
    expect(checkRunEvent(run, pull('dry'))).toMatchObject({ failure: { code: 'no-such-step' } });
  });

  test('in whatever order and however often events come, the run is one that can go on or has ended', () => {
    const event: fc.Arbitrary<RunEvent> = fc.oneof(
      fc.constantFrom('a', 'b', 'c', 'nowhere').map(tick),
      fc.constantFrom('a', 'b').map((id) => skip(id, 'no-time')),
      fc.constantFrom('a', 'c').map((id): RunEvent => ({ kind: 'unticked', stepKey: key(id), at })),
      fc.constant<RunEvent>({ kind: 'finished', at }),
    );
    // What is refused never enters the log: a log grown by the rules finishes once, with every must-step settled.
    fc.assert(
      fc.property(fc.array(event, { maxLength: 25 }), (sent) => {
        const log: RunEvent[] = [];
        for (const one of sent) if (checkRunEvent(fold(log), one).ok) log.push(one);
        const run = fold(log);
        expect(log.filter(({ kind }) => kind === 'finished').length).toBeLessThanOrEqual(1);
        if (run.finishedAt !== null) expect(where(run, 'a').state).not.toBe('open');
        expect(fold([...log])).toEqual(run);
      }),
      { seed: 9 },
    );
  });

  test('a wait runs from the tick and holds only the step it is for', () => {
    const waiting = [
      step('soak', { wait: { minutes: { value: 10, mark: 'estimate' }, why: '', until: ['wind/rinse'] } }),
      step('rinse'),
      step('other'),
    ];
    const run = fold([tick('soak')], waiting);
    expect(where(run, 'rinse').waitsUntilMs).toBe(Date.parse(at) + 600_000);
    expect(where(run, 'other').waitsUntilMs).toBeNull();
    expect(where(fold([], waiting), 'rinse').waitsUntilMs).toBeNull();
  });
});

describe('a plan', () => {
  const build = { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' } as const;
  const practice = usualPractice(BOOK, 'clarinet', build);
  const request = (
    items: readonly CareItemId[],
    {
      standing = 'grown-up' as 'grown-up' | 'child',
      minutesAtHand = null as number | null,
      learned = new Map() as ReadonlyMap<StepId, Marked>,
    } = {},
  ) => ({
    parts: [
      {
        instrumentId: 'cl' as InstrumentId,
        kind: BOOK.kinds['clarinet'],
        practice,
        items,
        playedMinutes: 45,
        roomCelsius: 20,
        wetness: usualWetness,
        loads: new Map<CareItemId, number>([
          ['single-reed/mouthpiece-wash', 3],
          ['swab/wash', 1],
        ]),
      },
    ],
    player: { standing, does: ['key-oil' as const] },
    minutesAtHand,
    learned,
  });
  const everyPlay = practice.items
    .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
    .map(({ id }) => id);

  test('overlaps a soak with other work and says so', () => {
    const plan = planRun(
      request([
        'single-reed/mouthpiece-soak',
        'clarinet/tone-holes',
        'keyed/rod-dust',
        'single-reed/after-playing',
        'clarinet/take-apart',
        'clarinet/swab-bore',
      ]),
    );
    const starts = new Map(
      plan.steps.map(({ step: { id }, startsAtMinute }) => [id, startsAtMinute] as [StepId, number]),
    );
    const soaked = plan.steps.find(({ step: { id } }) => id === 'single-reed/soak-mouthpiece');
    expect(starts.get('single-reed/rinse-soaked') ?? 0).toBeGreaterThanOrEqual(
      (soaked?.startsAtMinute ?? 0) + (soaked?.activeMinutes ?? 0) + 10,
    );
    expect(plan.elapsedMinutes).toBeLessThan(plan.activeMinutes + 10);
    expect(plan.because.map((reason) => planReasonWords(reason).text).join(' ')).toContain('10 min of waiting');
  });

  test('gives a child twice the time and a grown-up beside them for oil', () => {
    const [own, child] = [
      planRun(request(['keyed/key-oil'])),
      planRun(request(['keyed/key-oil'], { standing: 'child' })),
    ];
    expect(child.activeMinutes).toBeCloseTo(2 * own.activeMinutes, 6);
    expect(new Set(own.steps.map(({ hands }) => hands))).toEqual(new Set(['player']));
    expect(new Set(child.steps.map(({ hands }) => hands))).toEqual(new Set(['with-a-grown-up']));
  });

  test('the thorough clean brings holes and rods along', () => {
    expect(new Set(planRun(request(['clarinet/thorough-clean'])).steps.map(({ step: { item } }) => item))).toEqual(
      new Set(['clarinet/tone-holes', 'keyed/rod-dust', 'clarinet/thorough-clean']),
    );
  });

  test('passes carry their reasons', () => {
    const swab = planRun(request(['clarinet/swab-bore'])).steps.find(
      ({ step: { id } }) => id === 'clarinet/swab-upper',
    );
    expect(swab?.repeats).toMatchObject({ count: 5, noun: 'pass' });
    expect(swab?.repeats?.because.map(({ rule }) => rule)).toEqual(['water-blown-in', 'dries-per-pass']);
  });

  test('in four minutes: the must-steps, then what protects most; the rest is named with what it costs', () => {
    const items: CareItemId[] = [...everyPlay, 'single-reed/mouthpiece-wash', 'swab/wash'];
    const full = planRun(request(items));
    const short = planRun(request(items, { minutesAtHand: 4 }));
    expect(full.leftOut).toEqual([]);
    expect(short.elapsedMinutes).toBeLessThanOrEqual(4);
    const ids = short.steps.map(({ step: { id } }) => id);
    for (const { step } of full.steps) if (step.must) expect(ids).toContain(step.id);
    expect(short.leftOut.length).toBeGreaterThan(0);
    expect(short.leftOut.flatMap(({ steps: left }) => left).length + ids.length).toBe(full.steps.length);
    expect(short.leftOut.map(({ value }) => value)).toEqual(
      short.leftOut.map(({ value }) => value).toSorted((a, b) => b - a),
    );
    for (const { moreMinutes } of short.leftOut) expect(moreMinutes).toBeGreaterThan(0);
  });

  test('if even the must-steps take longer, they are shown with the minutes they take and nothing is dropped', () => {
    const none = planRun(request(everyPlay, { minutesAtHand: 0 }));
    expect(none.because[0]).toMatchObject({ rule: 'must-exceeds', minutes: 0 });
    expect(none.steps.some(({ step }) => step.must)).toBe(true);
    expect(planReasonWords(none.because[0]!).text).toContain('what must be done takes about');
    const ample = planRun(request(everyPlay, { minutesAtHand: 300 }));
    expect(ample.leftOut).toEqual([]);
  });

  test('over three instruments: reeds first, hands washed once, each cased after its own steps', () => {
    const of = (id: string) => ({ ...request(everyPlay).parts[0]!, instrumentId: id as InstrumentId });
    const plan = planRun({ ...request([]), parts: [of('a'), of('b'), of('c')] });
    expect(plan.steps.slice(0, 3).map(({ key: at }) => at)).toEqual(
      ['a', 'b', 'c'].map((id) => runStepKey(id as InstrumentId, 'single-reed/reed-off')),
    );
    expect(plan.steps).toHaveLength(3 * planRun(request(everyPlay)).steps.length);
    const before = practice.items
      .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'before')
      .map(({ id }) => id);
    const ready = planRun({ ...request([]), parts: ['a', 'b'].map((id) => ({ ...of(id), items: before })) });
    expect(ready.steps.filter(({ step: { id } }) => id === 'wind/wash-hands')).toHaveLength(1);
  });

  test('minutes follow the player’s ticks: after ten runs the total is within the spread of their own', () => {
    const estimates = new Map(practice.steps.map(({ id, minutes }) => [id, minutes]));
    const plan = planRun(request(everyPlay));
    // A player who takes 1.6 times as long, give or take a fifth from run to run.
    const paces = [1.5, 1.7, 1.6, 1.4, 1.8, 1.55, 1.65, 1.6, 1.5, 1.7];
    const total = (minutesOf: (one: (typeof plan.steps)[number]) => number) =>
      plan.steps.reduce((sum, one) => sum + minutesOf(one), 0);
    const runs = paces.map((pace, run) => {
      let atMs = run * 86_400_000;
      const startedAtMs = atMs;
      const ticks = plan.steps.map(({ step: { id }, activeMinutes, repeats }) => {
        atMs += activeMinutes * pace * 60_000;
        return { stepId: id, atMs, repeats: repeats?.count ?? 1, byItself: true };
      });
      return { startedAtMs, ticks };
    });
    const learned = learnMinutes(runs, estimates);
    const after = planRun(request(everyPlay, { learned }));
    const own = paces.map((pace) => total(({ activeMinutes }) => activeMinutes * pace));
    expect(after.activeMinutes).toBeGreaterThanOrEqual(Math.min(...own));
    expect(after.activeMinutes).toBeLessThanOrEqual(Math.max(...own));
    expect(after.activeMinutes).toBeGreaterThan(plan.activeMinutes);
    // One lunch break between two ticks is a pause, not a step.
    const [paused] = runs;
    const late = {
      ...paused!,
      ticks: paused!.ticks.map((one, index) => (index > 4 ? { ...one, atMs: one.atMs + 3_600_000 } : one)),
    };
    expect(learnMinutes([late], estimates).has(plan.steps[5]!.step.id)).toBe(false);
  });
});

describe('steps that hang on others', () => {
  const bathStep = (id: string, over: Partial<KeptStep> = {}): KeptStep => ({
    ...step(id),
    item: 'piston-brass/bath',
    ...over,
  });
  const look = bathStep('try', {
    look: {
      question: 'Does it move?',
      answers: [
        { id: 'move', words: 'It moves', sign: null, notice: null, endsItem: false, alsoEnds: [] },
        {
          id: 'stuck',
          words: 'Stuck',
          sign: null,
          notice: null,
          endsItem: true,
          alsoEnds: ['piston-brass/mouthpipe-brush'],
        },
      ],
    },
  });
  const run = [
    look,
    bathStep('soak'),
    bathStep('grease-in-bath', { standsOn: ['wind/soak'], alsoDoes: ['brass/slide-grease'] }),
    { ...step('grease'), item: 'brass/slide-grease' as const, unless: ['wind/grease-in-bath' as const] },
    { ...step('brush'), item: 'piston-brass/mouthpipe-brush' as const },
  ];
  const called = (...events: RunEvent[]) => {
    const now = foldRun(planOf(run), events);
    return Object.fromEntries(now.steps.map((one) => [one.id.replace('wind/', ''), one.called]));
  };
  const moves: RunEvent = { kind: 'answered', stepKey: key('try'), answer: 'move', at };
  const stuck: RunEvent = { kind: 'answered', stepKey: key('try'), answer: 'stuck', at };

  test('what another step does on the side waits to see whether it does', () => {
    expect(called()).toMatchObject({ 'grease-in-bath': 'yes', grease: 'undecided' });
    expect(called(moves, tick('soak'), tick('grease-in-bath'))).toMatchObject({ grease: 'no' });
    // Not begun at all: the slides are greased by themselves.
    expect(called(moves, skip('soak', 'no-time'))).toMatchObject({ 'grease-in-bath': 'cannot', grease: 'yes' });
    // Begun and not brought to its end: the slides lie in the tub.
    expect(called(moves, tick('soak'), skip('grease-in-bath', 'no-time'))).toMatchObject({ grease: 'cannot' });
  });

  test('a look may end other items as well; those are not done', () => {
    expect(called(stuck)).toMatchObject({ soak: 'no', 'grease-in-bath': 'no', grease: 'yes', brush: 'no' });
    const now = foldRun(planOf(run), [stuck]);
    expect(careDoneBy(now).map(({ itemId }) => itemId)).toEqual([]);
  });

  test('what cannot be done is not done, and keeps nobody from ending the run', () => {
    const now = foldRun(planOf(run.map((one) => ({ ...one, must: true }))), [
      moves,
      skip('soak', 'no-time'),
      tick('grease'),
      tick('brush'),
    ]);
    expect(checkRunEvent(now, { kind: 'finished' })).toMatchObject({ ok: true });
    expect(careDoneBy(now).map(({ itemId }) => itemId)).toEqual(['brass/slide-grease', 'piston-brass/mouthpipe-brush']);
  });
});

describe('what is said of many steps at once', () => {
  const along = (id: string, how: 'stretch' | 'list'): RunEvent => ({
    kind: 'ticked-along',
    stepKey: key(id),
    along: how,
    at,
  });

  test('is done, and how it was said stays with it; a tick by itself before it stays the tick', () => {
    const now = fold([tick('a'), along('a', 'list'), along('b', 'list'), along('c', 'stretch')]);
    expect([where(now, 'a'), where(now, 'b'), where(now, 'c')].map((one) => one.along)).toEqual([
      null,
      'list',
      'stretch',
    ]);
    expect(careDoneBy(now).map(({ itemId }) => itemId)).toContain('wind/case-away');
    // Left out after all: it is skipped like any other, and nobody remembers the list.
    const without = fold([along('b', 'list'), skip('b', 'no-time')]);
    expect(where(without, 'b')).toMatchObject({ state: 'skipped', along: null });
  });

  test('nothing is learned from when it was said, but the next step is timed from it', () => {
    const estimates = new Map([
      ['wind/a' as const, 1],
      ['wind/b' as const, 1],
    ]);
    const ticks = (byItself: boolean) => [
      { stepId: 'wind/a' as const, atMs: 6 * 60_000, repeats: 1, byItself },
      { stepId: 'wind/b' as const, atMs: 8 * 60_000, repeats: 1, byItself: true },
    ];
    const learned = learnMinutes([{ startedAtMs: 0, ticks: ticks(false) }], estimates);
    expect(learned.has('wind/a')).toBe(false);
    // (3 · 1 + 2) / 4: two minutes after what was said before it, not eight from the start.
    expect(learned.get('wind/b')?.value).toBe(1.25);
    expect(learnMinutes([{ startedAtMs: 0, ticks: ticks(true) }], estimates).has('wind/a')).toBe(true);
  });

  const glance = {
    question: 'Does anything move?',
    answers: [
      { id: 'quiet', words: 'Nothing', sign: null, notice: null, endsItem: false, alsoEnds: [] },
      { id: 'moves', words: 'Something', sign: null, notice: null, endsItem: true, alsoEnds: [] },
    ],
  };
  const notLooked: RunEvent = { kind: 'not-looked', stepKey: key('look'), at };

  test('a look nobody made is noted as such: it does nothing by itself, and leaves handwork done', () => {
    const look: KeptStep = { ...step('look'), look: glance, onlyLooks: true };
    const alone = fold([notLooked], [look]);
    expect(where(alone, 'look')).toMatchObject({ state: 'ticked', answer: null });
    expect(wasNotLooked(where(alone, 'look'))).toBe(true);
    expect(careDoneBy(alone)).toEqual([]);
    const withHands = fold([notLooked, tick('wipe')], [look, step('wipe')]);
    expect(careDoneBy(withHands).map(({ itemId }) => itemId)).toEqual(['wind/case-check']);
    // Washed, and nobody looked whether lime is left: it was washed.
    const wash: KeptStep = { ...look, onlyLooks: false };
    expect(careDoneBy(fold([notLooked], [wash])).map(({ itemId }) => itemId)).toEqual(['wind/case-check']);
  });

  test('what a look decides goes on as usual where nobody looked; it is taken back like a tick', () => {
    const look: KeptStep = { ...step('look'), look: glance };
    const usual: KeptStep = { ...step('usual'), calledBy: { look: 'wind/look', answers: ['quiet'] } };
    const other: KeptStep = { ...step('other'), calledBy: { look: 'wind/look', answers: ['moves'] } };
    const now = fold([notLooked], [look, usual, other]);
    expect([where(now, 'usual').called, where(now, 'other').called]).toEqual(['yes', 'no']);
    const back = fold([notLooked, { kind: 'unticked', stepKey: key('look'), at }], [look, usual, other]);
    expect([where(back, 'look').state, where(back, 'usual').called]).toEqual(['open', 'undecided']);
  });

  test('a step that is no look cannot be let go like one, and a look cannot be ticked along', () => {
    const now = fold([], [{ ...step('look'), look: glance }, step('wipe')]);
    expect(checkRunEvent(now, { kind: 'not-looked', stepKey: key('wipe') })).toMatchObject({
      ok: false,
      failure: { code: 'no-look' },
    });
    expect(checkRunEvent(now, { kind: 'ticked-along', stepKey: key('look'), along: 'list' })).toMatchObject({
      ok: false,
      failure: { code: 'answer-wanted' },
    });
  });
});
