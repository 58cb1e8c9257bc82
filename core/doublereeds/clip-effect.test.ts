import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import prand from 'pure-rand';
import { afterClip, clipEffect, CLIP_NOISE, clipsToPitch, NO_CLIPS, sumsWith } from '#core/doublereeds/clip-effect.ts';
import { cutNormal, logErfc } from '#core/doublereeds/cut-normal.ts';
import type { ClipSeen } from '#core/doublereeds/examination.ts';
import type { ReedSort } from '#core/doublereeds/reed-sort.ts';

/** Priors of the practice book, cents per tenth of a millimetre: mean and one standard deviation. */
const PRIOR: Readonly<Record<string, readonly [number, number]>> = {
  'oboe-long': [4, 3],
  'cor-anglais': [3, 2.5],
  bassoon: [2, 2],
};
const SORTS = ['oboe-long', 'cor-anglais', 'bassoon'] as const satisfies readonly ReedSort[];

/**
 * Prior times likelihood, clip by clip, summed over a fine grid by Simpson's rule: nothing of it is a formula of the code.
 * Answers mean and the share below `at`.
 */
function byGrid([mean, spread]: readonly [number, number], clips: readonly ClipSeen[], at: number) {
  const steps = 40_000;
  const most = 80;
  const logAt = (slope: number): number => {
    let log = -((slope - mean) ** 2) / (2 * spread ** 2);
    for (const { tenths, before, after, from } of clips) {
      const x = from === 'crow' ? tenths : tenths / 2;
      log -= (after - before - slope * x) ** 2 / 50;
    }
    return log;
  };
  const integral = (upTo: number, of: (slope: number) => number): number => {
    const width = upTo / steps;
    let sum = 0;
    for (let step = 0; step <= steps; step++)
      sum += (step === 0 || step === steps ? 1 : step % 2 === 1 ? 4 : 2) * of(step * width);
    return (sum * width) / 3;
  };
  let top = -Infinity;
  for (let step = 0; step <= 4000; step++) top = Math.max(top, logAt((most * step) / 4000));
  const weight = (slope: number): number => Math.exp(logAt(slope) - top);
  const all = integral(most, weight);
  return { mean: integral(most, (slope) => slope * weight(slope)) / all, below: integral(at, weight) / all };
}

const clip = fc.record({
  tenths: fc.integer({ min: 1, max: 5 }),
  before: fc.integer({ min: -60, max: 20 }),
  rise: fc.integer({ min: -20, max: 40 }),
  from: fc.constantFrom('crow' as const, 'instrument' as const),
});
const seen = ({ before, rise, ...one }: { tenths: number; before: number; rise: number; from: ClipSeen['from'] }) => ({
  ...one,
  before,
  after: before + rise,
});

describe('the complementary error function', () => {
  test('is that of the tables', () => {
    // Abramowitz and Stegun, Handbook of Mathematical Functions, table 7.1 (values from memory); erfc(5) and erfc(10), NIST Handbook.
    expect(1 - Math.exp(logErfc(0.5))).toBeCloseTo(0.5204998778, 10);
    expect(1 - Math.exp(logErfc(1))).toBeCloseTo(0.8427007929, 10);
    expect(1 - Math.exp(logErfc(2))).toBeCloseTo(0.995322265, 10);
    expect(Math.exp(logErfc(5)) / 1.5374597944280349e-12).toBeCloseTo(1, 10);
    expect(Math.exp(logErfc(10)) / 2.088487583762545e-45).toBeCloseTo(1, 10);
    expect(Math.exp(logErfc(-1))).toBeCloseTo(1.8427007929, 10);
  });
  test('has no seam where one way of summing meets the other', () => {
    for (const seam of [2.5, -2.5]) expect(logErfc(seam - 1e-12)).toBeCloseTo(logErfc(seam + 1e-12), 9);
  });
});

describe('what a clip does', () => {
  test('is what prior and clips say, summed over a grid, to its digits', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SORTS), fc.array(clip, { maxLength: 12 }), (sort, given) => {
        const clips = given.map(seen);
        const effect = clipEffect(sort, sumsWith(NO_CLIPS, clips));
        const median = effect.quantile(0.5);
        const oracle = byGrid(PRIOR[sort] ?? [0, 1], clips, median);
        expect(effect.mean).toBeCloseTo(oracle.mean, 6);
        expect(oracle.below).toBeCloseTo(0.5, 6);
      }),
      { numRuns: 60 },
    );
  });

  test('never falls below 0, even where every clip lowered the crow', () => {
    const worse = Array.from({ length: 30 }, () => ({ tenths: 3, before: 0, after: -40, from: 'crow' as const }));
    const effect = clipEffect('oboe-long', sumsWith(NO_CLIPS, worse));
    expect(effect.mean).toBeGreaterThan(0);
    expect(effect.quantile(0.05)).toBeGreaterThan(0);
    expect(effect.quantile(0.05)).toBeLessThan(effect.quantile(0.95));
    expect(effect.quantile(0.95)).toBeLessThan(0.5);
  });

  test('each clip counts as one, and one read from the instrument as half as long', () => {
    const one: ClipSeen = { tenths: 2, before: -20, after: -10, from: 'crow' };
    expect(sumsWith(NO_CLIPS, [one, { ...one, from: 'instrument' }])).toEqual({ clips: 2, squares: 5, products: 30 });
  });

  test('the three kinds begin apart, and learn each from its own', () => {
    const means = SORTS.map((sort) => clipEffect(sort, NO_CLIPS).mean);
    expect(new Set(means.map((mean) => mean.toFixed(3))).size).toBe(3);
    expect(means[0]).toBeGreaterThan(means[1] ?? 0);
    expect(means[1]).toBeGreaterThan(means[2] ?? 0);
  });

  test('covers the truth nine times in ten, with none, one, two and five clips', () => {
    const draws = 4000;
    const dice = prand.xoroshiro128plus(20261201);
    const uniform = (): number => prand.unsafeUniformIntDistribution(1, 2 ** 30 - 1, dice) / 2 ** 30;
    const normal = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    for (const sort of SORTS)
      for (const count of [0, 1, 2, 5]) {
        const [mean, spread] = PRIOR[sort] ?? [0, 1];
        let covered = 0;
        for (let draw = 0; draw < draws; draw++) {
          let truth = -1;
          while (truth < 0) truth = mean + spread * normal();
          const clips = Array.from({ length: count }, () => ({
            tenths: sort === 'bassoon' ? 2 : 1,
            before: -40,
            after: -40 + truth * (sort === 'bassoon' ? 2 : 1) + CLIP_NOISE.value * normal(),
            from: 'crow' as const,
          }));
          const effect = clipEffect(sort, sumsWith(NO_CLIPS, clips));
          if (effect.quantile(0.05) <= truth && truth <= effect.quantile(0.95)) covered++;
        }
        expect(covered / draws).toBeGreaterThan(0.85);
        expect(covered / draws).toBeLessThan(0.95);
      }
  });

  test('how many clips to pitch: whole ones, fewer where more is known', () => {
    const unknown = clipEffect('oboe-long', NO_CLIPS);
    const asked = { cents: -20, tenths: 1, from: 'crow' as const };
    const guess = clipsToPitch(unknown, asked);
    expect(guess.fewest).toBeLessThanOrEqual(guess.likely);
    const known = clipEffect('oboe-long', { clips: 50, squares: 50, products: 250 });
    expect(clipsToPitch(known, asked)).toEqual({ fewest: 4, likely: 5, most: 6 });
    expect(clipsToPitch(known, { ...asked, from: 'instrument' }).likely).toBe(9);
    expect(clipsToPitch(known, { ...asked, cents: 10 })).toEqual({ fewest: 0, likely: 0, most: 0 });
    expect(clipsToPitch(clipEffect('bassoon', { clips: 9, squares: 300, products: -900 }), asked).most).toBeNull();
    expect(afterClip(known, asked)).toBeCloseTo(-15, 0);
  });

  test('numbers nobody can have are refused, never answered with NaN', () => {
    const one: ClipSeen = { tenths: 1, before: -20, after: -15, from: 'crow' };
    for (const wrong of [
      { tenths: 50 },
      { tenths: 0 },
      { tenths: NaN },
      { before: 900 },
      { after: -900 },
      { after: NaN },
    ])
      expect(() => sumsWith(NO_CLIPS, [{ ...one, ...wrong }])).toThrow(RangeError);
    for (const [centre, spread] of [
      [NaN, 1],
      [1, 0],
      [1, -1],
      [Infinity, 1],
    ] as const)
      expect(() => cutNormal(centre, spread)).toThrow(RangeError);
    expect(() => cutNormal(1, 1).quantile(1.2)).toThrow(RangeError);
  });
});
