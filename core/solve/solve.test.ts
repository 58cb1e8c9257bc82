import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import highs, { type Highs } from 'highs';
import { answerBreaches, checkedSolver, gapOf, watchingTime, type Answer, type Found } from '#core/solve/answer.ts';
import { lpText } from '#core/solve/lp-text.ts';
import { costOf, draftProgram, sumOf, type Program } from '#core/solve/program.ts';
import { marketSplit } from '#core/testing/market-split.ts';
import { solveWithHighs } from '#core/solve/with-highs.ts';

let runtime: Highs;
beforeAll(async () => {
  runtime = await highs();
});
const EXACT = { gap: 0, iterations: 1_000_000, nodes: 1_000_000, seconds: 20 };
const never = () => false;
const solved = (program: Program): Answer => solveWithHighs(runtime, program, EXACT, never);
function found(program: Program): Found {
  const answer = solved(program);
  if (answer.kind !== 'found') throw new Error(answer.why);
  return answer;
}

/** Small programs of whole numbers 0 to 3: few enough to try every choice. */
const small = fc
  .record({
    costs: fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 1, maxLength: 4 }),
    rows: fc.array(
      fc.record({
        times: fc.array(fc.integer({ min: -4, max: 6 }), { minLength: 4, maxLength: 4 }),
        least: fc.option(fc.integer({ min: -6, max: 8 }), { nil: -Infinity }),
        room: fc.option(fc.nat(12), { nil: Infinity }),
      }),
      { maxLength: 3 },
    ),
  })
  .map(({ costs, rows }): Program => {
    const { column, row, program } = draftProgram();
    costs.forEach((cost, index) => column({ name: `c${index}`, cost, most: 3, whole: true }));
    rows.forEach(({ times, least, room }, index) =>
      row({
        name: `r${index}`,
        terms: costs.map((_, at) => [at, times[at] ?? 0] as const),
        least,
        most: (least === -Infinity ? 0 : least) + room,
      }),
    );
    return program();
  });

/** The oracle: every choice there is. */
function byTrying(program: Program): number | null {
  let best: number | null = null;
  const go = (values: number[]): void => {
    if (values.length < program.columns.length) {
      for (let value = 0; value <= 3; value++) go([...values, value]);
      return;
    }
    if (program.rows.some((row) => sumOf(row, values) < row.least || sumOf(row, values) > row.most)) return;
    const cost = costOf(program, values);
    if (best === null || cost < best) best = cost;
  };
  go([]);
  return best;
}

describe('a program', () => {
  test('is solved to what trying every choice finds, and to what its text says', () => {
    fc.assert(
      fc.property(small, (program) => {
        const best = byTrying(program);
        const answer = solved(program);
        if (best === null) {
          expect(answer).toEqual({ kind: 'none', why: 'impossible' });
          return;
        }
        if (answer.kind !== 'found') throw new Error(answer.why);
        expect(answer.cost).toBeCloseTo(best, 6);
        expect([answerBreaches(program, answer), gapOf(answer)]).toEqual([[], 0]);
        expect(runtime.solve(lpText(program), { output_flag: false }).ObjectiveValue).toBeCloseTo(best, 6);
      }),
      { numRuns: 150 },
    );
  });

  test('the product mix of the textbook: 36 from 2 doors and 6 windows, shadow prices 0, 1.5 and 1', () => {
    // Hillier & Lieberman, Introduction to Operations Research, the glass company's example; from memory.
    const { column, row, program } = draftProgram();
    const doors = column({ name: 'doors', cost: -3 });
    const windows = column({ name: 'windows', cost: -5 });
    row({ name: 'plant 1', terms: [[doors, 1]], most: 4 });
    row({ name: 'plant 2', terms: [[windows, 2]], most: 12 });
    row({
      name: 'plant 3',
      terms: [
        [doors, 3],
        [windows, 2],
      ],
      most: 18,
    });
    const { cost, values, prices } = found(program());
    expect([cost, ...values]).toEqual([-36, 2, 6]);
    expect(prices?.map((price) => -price)).toEqual([expect.closeTo(0), expect.closeTo(1.5), expect.closeTo(1)]);
  });

  test('that has no best says which way, and an empty one costs nothing', () => {
    const { column, row, program } = draftProgram();
    const all = column({ name: 'all', cost: -1 });
    expect(solved(program())).toEqual({ kind: 'none', why: 'without-limit' });
    row({ name: 'less than nothing', terms: [[all, 1]], most: -1 });
    expect(solved(program())).toEqual({ kind: 'none', why: 'impossible' });
    expect(found({ columns: [], rows: [] })).toMatchObject({ cost: 0, bound: 0 });
  });

  test('that cannot be finished within its nodes is answered with its bound, each time the same', () => {
    const hard = marketSplit(6);
    const [one, other] = [1, 2].map(() => solveWithHighs(runtime, hard, { ...EXACT, nodes: 300 }, never));
    if (one?.kind !== 'found') throw new Error('nothing found');
    expect(other).toEqual(one);
    expect(answerBreaches(hard, one)).toEqual([]);
    expect([one.endedBy, one.bound < one.cost, gapOf(one) > 0]).toEqual(['work', true, true]);
  });

  test('that runs into the last stop says so, and one that is stopped stops', async () => {
    const hard = marketSplit(6);
    const late = solveWithHighs(runtime, hard, { ...EXACT, seconds: 0.5 }, never);
    expect(late.kind === 'found' ? late.endedBy : late.why).toMatch(/^(out-of-)?time$/);
    const watched = watchingTime(() => Promise.resolve(late));
    expect(watched.ranOut()).toBe(false);
    await watched.solve(hard, EXACT);
    expect(watched.ranOut()).toBe(true);
    const stopped = solveWithHighs(runtime, hard, { ...EXACT, seconds: 60 }, () => true);
    expect(stopped.kind === 'found' ? stopped.endedBy : stopped.why).toBe('stopped');
  });

  test('without whole columns that needs more iterations than it may has no answer, each time', () => {
    const plain = { ...marketSplit(6), columns: marketSplit(6).columns.map((one) => ({ ...one, whole: false })) };
    expect(solveWithHighs(runtime, plain, { ...EXACT, iterations: 1 }, never)).toEqual({
      kind: 'none',
      why: 'out-of-work',
    });
    expect(solveWithHighs(runtime, plain, EXACT, never)).toMatchObject({ kind: 'found', endedBy: 'finished' });
  });
});

describe('an answer', () => {
  const { column, row, program } = draftProgram();
  column({ name: 'a', cost: 2, most: 5, whole: true });
  column({ name: 'b', cost: 1 });
  row({
    name: 'enough',
    terms: [
      [0, 1],
      [1, 1],
    ],
    least: 3,
  });
  const right: Found = { kind: 'found', values: [1, 2], cost: 4, bound: 3, prices: null, endedBy: 'finished' };

  test.each<[string, Partial<Found>]>([
    ['misses a row', { values: [0, 2], cost: 2, bound: 0 }],
    ['is not whole', { values: [0.5, 2.5], cost: 3.5 }],
    ['leaves its limits', { values: [6, 0], cost: 12 }],
    ['costs something else', { cost: 3.9 }],
    ['is better than its bound', { bound: 4.1 }],
    ['is too short', { values: [3] }],
    ['is no number', { values: [NaN, 3] }],
  ])('that %s is found out', async (_, over) => {
    expect(answerBreaches(program(), right)).toEqual([]);
    const wrong = { ...right, ...over };
    expect(answerBreaches(program(), wrong)).not.toEqual([]);
    await expect(checkedSolver(() => Promise.resolve(wrong))(program(), EXACT)).rejects.toThrow(/breaks its program/);
  });

  test('is so far from the best as its bound says, a share of its cost; a trifle is nothing', () => {
    const gaps = [
      [10, 9],
      [-10, -12],
      [0.5, 0.4],
      [5, 5 - 1e-7],
      [5, 5],
      [4, 5],
    ].map(([cost = 0, bound = 0]) => gapOf({ cost, bound }));
    expect(gaps).toEqual([0.1, 0.2, expect.closeTo(0.2, 9), 0, 0, 0]);
  });

  test('has its whole numbers made whole', async () => {
    const nearly = { ...right, values: [0.9999999, 2.0000001], cost: 4 - 1e-7 };
    const answer = await checkedSolver(() => Promise.resolve(nearly))(program(), EXACT);
    expect(answer.kind === 'found' && answer.values[0]).toBe(1);
  });
});
