import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clashOf } from '#core/agents/guard.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { AgentUse } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { keepApart, type Guarded } from '#core/packup/mixing-guard.ts';
import { planRun } from '#core/packup/plan-run.ts';
import type { RunPart } from '#core/packup/run-plan.ts';
import { runStepKey, type RunStepKey } from '#core/packup/run-step.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { clashesIn } from '#core/testing/clashes-in.ts';
import { usualWetness } from '#core/water/wetness.ts';

const step = (id: string, item: string, uses: readonly AgentUse[] = [], before: readonly string[] = []): Guarded => ({
  key: runStepKey('one' as InstrumentId, id as StepId),
  instrumentId: 'one' as InstrumentId,
  step: { id: id as StepId, item: item as CareItemId, heading: id, uses },
  before: new Set(before.map((one) => runStepKey('one' as InstrumentId, one as StepId))),
});
const AGENTS = new Map(BOOK.agents.map((agent) => [agent.id, agent]));
const use = (agent: string, rinsedBy?: string): AgentUse[] => [
  { agent, on: 'mouthpiece', ...(rinsedBy === undefined ? {} : { rinsedBy: rinsedBy as StepId }) },
];
const keys = (pairs: readonly (readonly [RunStepKey, RunStepKey])[]) =>
  pairs.map((pair) => pair.map((key) => key.replace('one:', '')));

// Which pairs react: public-health and poison-centre advice, named beside the table of pairs.
describe('keeping two agents apart', () => {
  test('what comes first is rinsed off before the second comes out', () => {
    const steps = [
      step('swab/soak', 'swab/a', use('vinegar', 'swab/rinse')),
      step('swab/rinse', 'swab/a'),
      step('swab/peroxide', 'swab/b', use('peroxide')),
    ];
    expect(keepApart(steps, AGENTS)).toEqual({ order: [expect.anything()], dropped: [] });
    expect(keys(keepApart(steps, AGENTS).order)).toEqual([['swab/rinse', 'swab/peroxide']]);
  });

  test('an order the book has already is kept: then the other is the first', () => {
    const steps = [
      step('swab/soak', 'swab/a', use('vinegar', 'swab/rinse'), ['swab/peroxide']),
      step('swab/rinse', 'swab/a'),
      step('swab/peroxide', 'swab/b', use('peroxide', 'swab/wash')),
      step('swab/wash', 'swab/b'),
    ];
    expect(keys(keepApart(steps, AGENTS).order)).toEqual([['swab/wash', 'swab/soak']]);
  });

  test('with nothing to rinse the first one off, the second waits for another day', () => {
    const steps = [step('swab/spray', 'swab/a', use('bleach')), step('swab/wipe', 'swab/b', use('rubbing-alcohol'))];
    expect(keepApart(steps, AGENTS)).toMatchObject({
      order: [],
      dropped: [{ item: 'swab/b', meets: 'swab/spray', gas: expect.stringContaining('chloroform') }],
    });
  });

  test('whatever agents are used in whatever order, no two that react are left without a rinse between', () => {
    const agents = ['bleach', 'vinegar', 'peroxide', 'rubbing-alcohol', 'ammonia-cleaner', 'dish-soap', 'key-oil'];
    fc.assert(
      fc.property(
        fc.array(fc.record({ agent: fc.constantFrom(...agents), rinsed: fc.boolean() }), { maxLength: 8 }),
        (rows) => {
          const steps = rows.flatMap(({ agent, rinsed }, index) => [
            step(`swab/use-${index}`, `swab/${index}`, use(agent, rinsed ? `swab/rinse-${index}` : undefined)),
            ...(rinsed ? [step(`swab/rinse-${index}`, `swab/${index}`)] : []),
          ]);
          const { order, dropped } = keepApart(steps, AGENTS);
          const gone = new Set(dropped.map(({ item }) => item));
          const left = steps.filter((one) => !gone.has(one.step.item) && (one.step.uses ?? []).length > 0);
          left.forEach((one, index) => {
            for (const other of left.slice(index + 1))
              if (clashOf(one.step, other.step, AGENTS) !== null)
                expect(order.some(([rinse, second]) => second === other.key && rinse.includes('rinse'))).toBe(true);
          });
        },
      ),
      { seed: 7, numRuns: 300 },
    );
  });
});

describe('in a run', () => {
  const build = usualBuild(BOOK.kinds['clarinet']);
  const practice = usualPractice(BOOK, 'clarinet', build, { 'reed-hygiene': 'peroxide', 'mouthpiece-soak': 'monthly' });
  const part = (instrumentId: string): RunPart => ({
    instrumentId: instrumentId as InstrumentId,
    kind: BOOK.kinds['clarinet'],
    practice,
    items: ['single-reed/after-playing', 'single-reed/reed-hygiene', 'single-reed/mouthpiece-soak'],
    playedMinutes: 40,
    roomCelsius: 20,
    wetness: usualWetness,
    loads: new Map(),
  });
  const plan = (parts: readonly RunPart[]) =>
    planRun({
      parts,
      player: { standing: 'grown-up', does: [] },
      minutesAtHand: null,
      learned: new Map(),
    });

  test.each([1, 2, 3])('vinegar and peroxide on %d clarinets never meet, and the run says so', (count) => {
    const { steps, because } = plan(Array.from({ length: count }, (_, index) => part(`clarinet-${index}`)));
    expect(clashesIn(steps, AGENTS)).toEqual([]);
    // The walk finds what is wrong: the peroxide brought out while the vinegar stands.
    const out = steps.filter(({ step: one }) => ['vinegar', 'peroxide'].includes(one.uses?.[0]?.agent ?? ''));
    expect(clashesIn(out, AGENTS)).not.toEqual([]);
    expect(because.some(({ rule }) => rule === 'kept-apart')).toBe(true);
  });
});
