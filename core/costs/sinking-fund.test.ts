import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fundMonths, sinkingFund, type DueAfter, type MonthlyRate } from '#core/costs/sinking-fund.ts';

const rate = (of: bigint, among: bigint): MonthlyRate => ({ of, among });
const once = (deposits: number, minor: number): DueAfter[] => [{ deposits, minor }];
/** So fine that the rounding to coins does not show: a unit is 10⁻¹⁰ of the sum. */
const FINE = 10_000_000_000;

describe('a sinking fund', () => {
  // Newnan, Engineering Economic Analysis, compound-interest tables: A/F = i/((1+i)^n − 1), to the digits computed.
  test.each([
    [rate(5n, 1000n), 12, 0.08106643],
    [rate(1n, 100n), 12, 0.07884879],
    [rate(5n, 100n), 5, 0.1809748],
    [rate(6n, 100n), 10, 0.07586796],
    [rate(8n, 100n), 10, 0.06902949],
    [rate(10n, 100n), 10, 0.06274539],
    [rate(12n, 100n), 20, 0.01387878],
  ])('has the factor of the tables', (i, n, factor) => {
    expect(sinkingFund(0, once(n, FINE), i).deposit / FINE).toBeCloseTo(factor, 7);
  });

  test('the parcel of land: 1000 in a year at half a per cent a month takes 81.07 a month, and leaves four cents', () => {
    // Newnan, Example 4-2: 81.10 with the factor of four digits; 81.0664 computed. In hundredths of a cent:
    const fine = sinkingFund(0, once(12, 10_000_000), rate(5n, 1000n)).deposit;
    expect(fine / 10_000).toBeCloseTo(81.0664, 3);
    const months = fundMonths({ saved: 0, deposit: 810_700n, rate: rate(5n, 1000n) }, [{ deposits: 12, minor: 0 }]);
    const at = (month: number) => Number(months[month]?.left ?? 0n) / 10_000;
    // Interest is rounded down to the coin each month.
    for (const [month, left] of [
      [1, 81.07],
      [3, 244.4281],
      [6, 492.5409],
      [9, 744.3941],
      [12, 1000.044],
    ] as const)
      expect(at(month)).toBeCloseTo(left, 2);
  });

  test.each([
    ['900 in 18 months, nothing saved, no interest', 0, 90_000, 18, undefined, 5000],
    ['the same at 3 % a year nominal', 0, 90_000, 18, rate(25n, 10_000n), 4895],
    ['the same with 200 saved', 20_000, 90_000, 18, rate(25n, 10_000n), 3757],
    ['over-saved', 100_000, 90_000, 18, undefined, 0],
    ['900 in 7 months, rounded up to a cent', 0, 90_000, 7, undefined, 12_858],
  ] as const)('%s', (_, saved, minor, deposits, i, wanted) => {
    const { deposit, short } = sinkingFund(saved, once(deposits, minor), i);
    // Interest is counted in whole cents, rounded down: it may take a cent or two more than the formula.
    expect(deposit).toBeGreaterThanOrEqual(wanted);
    expect(deposit).toBeLessThanOrEqual(wanted + (i === undefined ? 0 : 2));
    expect(short).toBe(0);
  });

  test('what is due before the first deposit is short, and not saved for', () => {
    expect(
      sinkingFund(3000, [
        { deposits: 0, minor: 5000 },
        { deposits: 10, minor: 10_000 },
      ]),
    ).toEqual({
      deposit: 1000,
      short: 2000,
      decidedBy: 10,
    });
    expect(
      sinkingFund(6000, [
        { deposits: 0, minor: 5000 },
        { deposits: 9, minor: 10_000 },
      ]),
    ).toMatchObject({
      deposit: 1000,
      short: 0,
    });
    expect(sinkingFund(0, [])).toEqual({ deposit: 0, short: 0, decidedBy: null });
  });

  test('the cost that decides is the one with nothing to spare', () => {
    expect(
      sinkingFund(0, [
        { deposits: 2, minor: 4000 },
        { deposits: 20, minor: 10_000 },
      ]).decidedBy,
    ).toBe(2);
    expect(
      sinkingFund(0, [
        { deposits: 2, minor: 400 },
        { deposits: 20, minor: 10_000 },
      ]).decidedBy,
    ).toBe(20);
  });

  test('is never short in ten thousand years of costs, and a coin less would be', () => {
    const cost = fc.record({ deposits: fc.integer({ min: 1, max: 24 }), minor: fc.integer({ min: 0, max: 500_000 }) });
    const years = fc.record({
      saved: fc.integer({ min: 0, max: 300_000 }),
      due: fc.array(cost, { minLength: 1, maxLength: 9 }),
    });
    let wrong = 0;
    fc.assert(
      fc.property(years, ({ saved, due }) => {
        const { deposit } = sinkingFund(saved, due);
        /** Paid month by month with a purse of whole coins; written apart from what it tests. */
        const lowest = (amount: number): number => {
          let [purse, least] = [saved, Infinity];
          for (let month = 1; month <= 24; month++) {
            purse += amount;
            for (const one of due) if (one.deposits === month) purse -= one.minor;
            least = Math.min(least, purse);
          }
          return least;
        };
        const byHand = Math.max(
          0,
          ...due.map(({ deposits }) => {
            const until = due.filter((one) => one.deposits <= deposits).reduce((sum, { minor }) => sum + minor, 0);
            return Math.ceil((until - saved) / deposits);
          }),
        );
        if (lowest(deposit) < 0 || deposit !== byHand || (deposit > 0 && lowest(deposit - 1) >= 0)) wrong += 1;
      }),
      { seed: 13, numRuns: 10_000 },
    );
    expect(wrong).toBe(0);
  });

  test('amounts that are none are refused', () => {
    for (const wrong of [NaN, -1, 0.5, Infinity]) {
      expect(() => sinkingFund(wrong, [])).toThrow(RangeError);
      expect(() => sinkingFund(0, once(3, wrong))).toThrow(RangeError);
      expect(() => sinkingFund(0, once(wrong, 3))).toThrow(RangeError);
    }
  });
});
