import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import TheilSenRegression from 'ml-regression-theil-sen';
import prand from 'pure-rand';
import { theilSen, type Point } from '#core/inspections/theil-sen.ts';
import { LEAST_READINGS, trendOf } from '#core/inspections/trend.ts';

const points = (...read: readonly (readonly [day: number, value: number])[]): Point[] =>
  read.map(([day, value]) => ({ day, value }));
const nowhere = () => null;
const somePoints = (least: number) =>
  fc
    .array(fc.record({ day: fc.integer({ min: -4000, max: 40_000 }), value: fc.integer({ min: 0, max: 60 }) }), {
      minLength: least,
      maxLength: 14,
    })
    .filter((all) => new Set(all.map(({ day }) => day)).size > 1);

/** Numbers about 0 with a spread of 1 (Box and Muller 1958). */
function bell(seed: number): () => number {
  const dice = prand.xoroshiro128plus(seed);
  const uniform = () => (prand.unsafeUniformIntDistribution(1, 1_000_000, dice) - 0.5) / 1_000_000;
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

describe('the line of Theil and Sen', () => {
  test('has the slope the package ml-regression-theil-sen finds', () => {
    fc.assert(
      fc.property(somePoints(2), (all) => {
        const once = [...new Map(all.map((one) => [one.day, one])).values()];
        // Of an even count the package takes the lower of the two in the middle: here the count of pairs is odd.
        fc.pre(((once.length * (once.length - 1)) / 2) % 2 === 1);
        const days = once.map(({ day }) => day);
        const values = once.map(({ value }) => value);
        expect(theilSen(once)?.slope).toBeCloseTo(new TheilSenRegression(days, values).slope, 9);
      }),
      { seed: 30, numRuns: 300 },
    );
  });

  test('of an even count of pairs the slope is the mean of the two in the middle', () => {
    // Slopes 0, 0, 0, 1/3, 1/2 and 1, worked out by hand.
    expect(theilSen(points([-2, 0], [-1, 0], [0, 0], [1, 1]))?.slope).toBeCloseTo(1 / 6, 12);
  });

  test('is not moved by one wild reading, as the line of least squares would be', () => {
    // By hand: ten pairs; six of the straight part have the slope 1, the wild one gives −3, −2.67, −2 and 18 more.
    const straight = points([0, 0], [1, 1], [2, 2], [3, 3], [4, 22]);
    expect(theilSen(straight)).toMatchObject({ slope: 1 });
    // The middle day and the middle value: 2 and 2.
    expect(theilSen(straight)?.atZero).toBe(0);
  });

  test('of one day, or of one reading, there is none', () => {
    expect(theilSen([])).toBeNull();
    expect(theilSen(points([4, 1]))).toBeNull();
    expect(theilSen(points([4, 1], [4, 2], [4, 3]))).toBeNull();
  });

  test('a century of days comes to its end, what is no number is refused', () => {
    expect(theilSen(points([0, 0], [36_525, 365.25]))?.slope).toBeCloseTo(0.01, 12);
    for (const wrong of [NaN, Infinity, -Infinity]) {
      expect(() => theilSen(points([0, wrong], [1, 1]))).toThrow(RangeError);
      expect(() => theilSen(points([wrong, 0], [1, 1]))).toThrow(RangeError);
      expect(() => trendOf(points([0, 0]), nowhere, wrong)).toThrow(RangeError);
    }
  });
});

/** The readings drawn again with the same dice, each line by the package, its shares by counting. */
function slopesByPackage(all: readonly Point[], seed: number): number[] {
  const dice = prand.xoroshiro128plus(seed);
  const draws = Array.from({ length: 300 }, () =>
    all.map(() => all[prand.unsafeUniformIntDistribution(0, all.length - 1, dice)] ?? { day: 0, value: 0 }),
  );
  return draws
    .flatMap((drawn): number[] => {
      const between = drawn
        .flatMap((one, at) => drawn.slice(0, at).map((other) => [other, one] as const))
        .filter(([a, b]) => a.day !== b.day)
        .map(([a, b]) => new TheilSenRegression([a.day, b.day], [a.value, b.value]).slope)
        .sort((a, b) => a - b);
      if (between.length === 0) return [];
      const half = between.length / 2;
      const [low = 0, high = 0] = [between[Math.ceil(half) - 1], between[Math.floor(half)]];
      return [(low + high) / 2];
    })
    .sort((a, b) => a - b);
}

describe('where readings go', () => {
  test('the ends of the slope are those of readings drawn again one by one', () => {
    fc.assert(
      fc.property(somePoints(LEAST_READINGS), fc.integer({ min: 1, max: 1000 }), (all, seed) => {
        const sorted = all.toSorted((a, b) => a.day - b.day);
        const slopes = slopesByPackage(sorted, seed);
        const trend = trendOf(all, nowhere, 0, seed);
        // Of 300 the 15th and the 285th, where none was of one day alone.
        expect(trend?.slope.least).toBeCloseTo(slopes[Math.ceil(0.05 * slopes.length) - 1] ?? NaN, 9);
        expect(trend?.slope.most).toBeCloseTo(slopes[Math.ceil(0.95 * slopes.length) - 1] ?? NaN, 9);
      }),
      { seed: 31, numRuns: 12 },
    );
  });

  test.each([5, 6, 8, 12])('of %d readings the ends hold the true slope about nine times in ten', (count) => {
    const noise = bell(77 + count);
    const TRIALS = 400;
    let held = 0;
    for (let trial = 0; trial < TRIALS; trial++) {
      const all = Array.from({ length: count }, (_, at) => ({
        day: 30 * at + Math.abs(Math.round(4 * noise())),
        value: 0.3 * at + noise(),
      }));
      const trend = trendOf(all, nowhere, 0, trial + 1);
      if (trend && trend.slope.least <= 0.01 && 0.01 <= trend.slope.most) held += 1;
    }
    expect(held / TRIALS).toBeGreaterThanOrEqual(0.8);
    expect(held / TRIALS).toBeLessThanOrEqual(0.97);
  });

  test('a line without noise reaches its limit on its day, and never before today', () => {
    const straight = points([0, 0], [100, 1], [200, 2], [300, 3], [400, 4]);
    const limit = (rises: boolean) => (rises ? 5 : null);
    expect(trendOf(straight, limit, 410)?.reaches).toEqual({ from: 500, to: 500 });
    expect(trendOf(straight, limit, 520)?.reaches).toEqual({ from: 520, to: 520 });
    expect(trendOf(straight, nowhere, 410)).toMatchObject({ limit: null, reaches: null });
    const falling = straight.map(({ day, value }) => ({ day, value: 9 - value }));
    expect(trendOf(falling, (rises) => (rises ? 99 : 2), 410)?.reaches).toEqual({ from: 700, to: 700 });
  });

  test('where it may stay as it is, the later end is open; where it hardly ever gets there, there is no date', () => {
    const uncertain = points([0, 2], [30, 1], [60, 3], [90, 2], [120, 2.5]);
    expect(trendOf(uncertain, () => 5, 120)?.reaches).toMatchObject({ to: null });
    expect(trendOf(uncertain, () => 5, 120)?.reaches?.from).toBeGreaterThan(120);
    const flat = points([0, 3], [30, 3], [60, 3], [90, 3], [120, 3]);
    expect(trendOf(flat, () => 5, 120)).toMatchObject({ line: { slope: 0 }, limit: null, reaches: null });
    const slow = points([0, 0], [1000, 0.001], [2000, 0.002], [3000, 0.003], [4000, 0.004]);
    expect(trendOf(slow, () => 5, 4000)?.reaches).toBeNull();
  });

  test('under five readings no date is said', () => {
    expect(trendOf(points([0, 0], [1, 1], [2, 2], [3, 3]), () => 5, 3)).toBeNull();
    expect(trendOf(points([0, 0], [0, 1], [0, 2], [0, 3], [0, 4]), () => 5, 3)).toBeNull();
  });

  test('the same readings in any order, asked again, have the same answer', () => {
    const read = points([0, 1], [31, 2], [59, 1], [92, 3], [121, 3], [150, 4]);
    expect(trendOf(read.toReversed(), () => 5, 160)).toEqual(trendOf(read, () => 5, 160));
  });
});
