import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { KIND_IDS, PART_IDS, type KindId } from '#core/instruments/kind.ts';
import { keepPlan } from '#core/packup/kept-plan.ts';
import { stretchesOf } from '#core/packup/stretches.ts';
import { wayFor } from '#core/players/run-way.ts';
import { BOOK } from '#core/tables/book.ts';
import { planOf, type Due } from '#core/testing/any-run.ts';

const run = (kinds: readonly KindId[], due: readonly Due[]) =>
  keepPlan(planOf(BOOK, { instruments: kinds.map((kind) => ({ kind })), due })).steps;
const sizes = (kinds: readonly KindId[], due: readonly Due[]) =>
  stretchesOf(run(kinds, due)).map(({ steps }) => steps.length);

describe('the stretches of a run', () => {
  test.each(KIND_IDS)('%s packed up: four to seven, whole and in the order of the run', (kind) => {
    const steps = run([kind], ['after']);
    const stretches = stretchesOf(steps);
    expect(stretches.length).toBeGreaterThanOrEqual(4);
    expect(stretches.length).toBeLessThanOrEqual(7);
    expect(stretches.flatMap((one) => one.steps)).toEqual(steps);
  });

  test('the clarinet begins with its reed and ends in its case', () => {
    const parts = stretchesOf(run(['clarinet'], ['after'])).map((one) => one.parts);
    expect(parts[0]).toContain('reed');
    expect(parts.at(-1)).toContain('case');
  });

  test.each<[readonly KindId[]]>([
    [['clarinet', 'alto-saxophone', 'piccolo']],
    [['oboe', 'cor-anglais']],
    [['trumpet', 'trombone', 'tuba']],
  ])('%j: one shared beginning, then one to three each', (kinds) => {
    const stretches = stretchesOf(run(kinds, ['after']));
    expect(stretches.map(({ instrumentId }) => instrumentId === null)).toEqual(
      stretches.map((_, index) => index === 0),
    );
    const each = stretches.slice(1).map(({ instrumentId }) => instrumentId);
    expect(new Set(each).size).toBe(kinds.length);
    for (const id of each) expect(each.filter((one) => one === id).length).toBeLessThanOrEqual(3);
  });

  test('a wait is never in one stretch with what it holds up', () => {
    for (const kind of KIND_IDS)
      for (const { steps } of stretchesOf(run([kind], ['all'])))
        for (const { wait } of steps) for (const { id } of steps) expect(wait?.until ?? []).not.toContain(id);
  });

  test('whatever the steps: nothing lost, nothing moved, nothing empty', () => {
    const step = fc.record({
      instrumentId: fc.constantFrom('a', 'b', 'c').map((id) => id as InstrumentId),
      part: fc.constantFrom(...PART_IDS.slice(0, 5), 'ligature' as const, 'case' as const),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), fc.nat(39), fc.nat(39), (made, first, second) => {
        const steps = made.map((one, index) => ({
          ...one,
          id: `wind/${index}` as const,
          wait:
            index === first ? { minutes: 3, most: null, why: 'it soaks', until: [`wind/${second}` as const] } : null,
        }));
        const stretches = stretchesOf(steps);
        expect(stretches.flatMap((one) => one.steps)).toEqual(steps);
        expect(stretches.every((one) => one.steps.length > 0 && one.parts.length <= 2)).toBe(true);
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  test('few steps are few stretches', () => {
    expect(sizes(['clarinet'], ['swab/wash'])).toHaveLength(1);
    expect(stretchesOf([])).toEqual([]);
  });
});

test.each([
  [null, 'child', 40, 'guided'],
  [null, 'grown-up', 4, 'guided'],
  [null, 'grown-up', 5, 'stretches'],
  ['as-listed', 'child', 0, 'as-listed'],
  ['guided', 'grown-up', 99, 'guided'],
] as const)('who has chosen %s, a %s after %i runs, is shown it %s', (chosen, standing, earlier, way) =>
  expect(wayFor(chosen, standing, earlier)).toBe(way),
);
