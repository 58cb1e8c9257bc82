import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { columnsFromRows, type PlayedAt } from '#server/features/plays/plays.mapper.ts';

const gathered = (rows: readonly PlayedAt[]) => ({
  at: JSON.stringify(rows.map(([at]) => at)),
  minutes: JSON.stringify(rows.map(([, minutes]) => minutes)),
});
const rowsOf = (rows: readonly PlayedAt[], takenBack: readonly PlayedAt[]): number[][] => {
  const { endedAt, minutes } = columnsFromRows(gathered(rows), takenBack);
  return Array.from(endedAt, (at, row) => [at, minutes[row] ?? NaN]);
};

describe('the plays of an instrument as columns', () => {
  test('one row goes for each that was taken back, and no more of its like', () => {
    const rows: PlayedAt[] = [
      [100, 30],
      [200, 30],
      [200, 30],
      [200, 45],
    ];
    expect(rowsOf(rows, [])).toEqual(rows);
    expect(rowsOf(rows, [[200, 30]])).toEqual([
      [100, 30],
      [200, 30],
      [200, 45],
    ]);
    expect(
      rowsOf(rows, [
        [200, 30],
        [200, 30],
      ]),
    ).toEqual([
      [100, 30],
      [200, 45],
    ]);
    expect(rowsOf([], [])).toEqual([]);
  });

  test('what is kept and what was taken back are all there was, in order', () => {
    const row = fc.tuple(fc.integer({ min: 0, max: 6 }), fc.constantFrom(30, 45));
    fc.assert(
      fc.property(fc.array(row, { maxLength: 12 }), fc.nat(12), (given, drop) => {
        const rows = given.toSorted((a, b) => a[0] - b[0]);
        const takenBack = given.slice(0, drop);
        const kept = rowsOf(rows, takenBack);
        const sorted = (all: readonly (readonly number[])[]) => all.map((one) => one.join()).toSorted();
        expect(sorted([...kept, ...takenBack])).toEqual(sorted(rows));
        expect(kept.map(([at]) => at)).toEqual(kept.map(([at]) => at).toSorted((a, b) => (a ?? 0) - (b ?? 0)));
      }),
      { seed: 4, numRuns: 200 },
    );
  });

  test('rows out of order are refused, never counted wrongly', () => {
    expect(() =>
      rowsOf(
        [
          [200, 30],
          [100, 30],
        ],
        [],
      ),
    ).toThrow('not sorted');
  });
});
