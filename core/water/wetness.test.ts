import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimate, practice } from '#core/explain/explained.ts';
import { condensate, dryThreshold } from '#core/water/condensation.ts';
import { passesFor } from '#core/water/passes.ts';
import { simulateTaps } from '#core/water/simulate-taps.ts';
import {
  afterTap,
  chanceDry,
  dryingPerPass,
  learnWetness,
  usualWetness,
  WETNESS_GRID,
  wetnessMoments,
  type PassTap,
  type Wetness,
} from '#core/water/wetness.ts';

const { water } = BOOK.kinds['clarinet'];
const lambda = dryingPerPass(water.pickedUpPerPass);
const mu = (minutes: number) => Math.log(condensate(water, minutes, 20) / dryThreshold(water));
const tap = (minutes: number, passes: number, found: PassTap['found']): PassTap => ({
  logWaterOverDry: mu(minutes),
  passes,
  lambda,
  found,
});
const advice = (wetness: Wetness, minutes = 40, confidence = 0.5) =>
  passesFor({ water, minutes, roomCelsius: 20, least: practice(1), most: estimate(15), wetness, confidence }).value;

describe('how wet somebody blows', () => {
  // Worked example of the exact rule, computed beforehand on the same grid in numpy and checked with scipy.
  test.each([
    [0, -0.0, 0.59763, 0.71537, 5, 6],
    [1, 0.51297, 0.47459, 0.4772, 6, 7],
    [2, 0.88676, 0.40493, 0.27396, 6, 7],
    [3, 0.80891, 0.37544, 0.30681, 6, 7],
    [4, 1.03164, 0.32888, 0.19466, 7, 8],
    [5, 0.96563, 0.30935, 0.21913, 6, 8],
    [6, 0.90659, 0.29412, 0.24384, 6, 7],
  ])('the belief after %i taps', (taps, mean, spread, dryAfterFive, usual, cautious) => {
    const events = [
      tap(40, 5, 'wet'),
      tap(40, 6, 'wet'),
      tap(40, 7, 'dry'),
      tap(60, 7, 'wet'),
      tap(40, 7, 'dry'),
      tap(120, 9, 'dry'),
    ];
    const belief = learnWetness(events.slice(0, taps));
    const moments = wetnessMoments(belief);
    expect(moments.mean).toBeCloseTo(mean, 4);
    expect(moments.spread).toBeCloseTo(spread, 4);
    expect(chanceDry(belief, 5, lambda, mu(40))).toBeCloseTo(dryAfterFive, 4);
    expect([advice(belief), advice(belief, 40, 0.8)]).toEqual([usual, cautious]);
  });

  test('the first dry pass says more than a dry one', () => {
    const moments = wetnessMoments(learnWetness([tap(40, 7, 'first-dry')]));
    expect(moments.mean).toBeCloseTo(0.61976, 4);
    expect(moments.spread).toBeCloseTo(0.45097, 4);
  });

  test('ten times still wet after five: the worked saturation, 1.23603 and 7 passes', () => {
    const belief = learnWetness(Array.from({ length: 10 }, () => tap(40, 5, 'wet')));
    expect(wetnessMoments(belief).mean).toBeCloseTo(1.23603, 4);
    expect(advice(belief)).toBe(7);
  });

  test('a dry cloth says less of the player the thirstier it is, and each tap is read with its own', () => {
    const dryWith = (thirst: number) => ({ ...tap(40, 5, 'dry'), lambda: lambda * thirst });
    const mean = (...taps: PassTap[]) => wetnessMoments(learnWetness(taps)).mean;
    expect(mean(dryWith(1.3))).toBeGreaterThan(mean(dryWith(1)));
    expect(mean(dryWith(1), dryWith(1.3))).toBeCloseTo(mean(dryWith(1.3), dryWith(1)), 9);
    expect(mean(dryWith(1), dryWith(1.3))).not.toBeCloseTo(mean(dryWith(1.3), dryWith(1.3)), 3);
  });

  test('however many passes were counted, the belief stays a distribution and agrees with the plain formula', () => {
    // The plain formula, as long as the chances can be told from 0 and 1 (to some 15 passes here).
    const plain = (found: 'wet' | 'first-dry', n: number, w: number) => {
      const dry = (passes: number) => 1 / (1 + Math.exp(-3 * (passes * 0.4 - 1.5 - w)));
      return found === 'wet' ? 1 - dry(n) : dry(n) - dry(n - 1);
    };
    for (const found of ['wet', 'first-dry'] as const)
      for (const passes of [2, 5, 9, 15, 24, 25, 32, 60, 99]) {
        const tap = { logWaterOverDry: 1.5, passes, lambda: 0.4, found };
        const belief = afterTap(usualWetness, tap);
        expect(belief.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
        if (passes > 15) {
          // Still wet after so many: ever wetter, up to what the grid holds.
          expect(wetnessMoments(belief).mean).toBeGreaterThanOrEqual(
            wetnessMoments(afterTap(usualWetness, { ...tap, passes: 9 })).mean,
          );
          continue;
        }
        const direct = WETNESS_GRID.map((w, index) => (usualWetness.weights[index] ?? 0) * plain(found, passes, w));
        const total = direct.reduce((sum, weight) => sum + weight, 0);
        belief.weights.forEach((weight, index) => expect(weight).toBeCloseTo((direct[index] ?? 0) / total, 9));
      }
  });

  test('somebody nobody has asked gets the rule of thumb', () => {
    for (const minutes of [15, 40, 60, 120, 180]) {
      const real = mu(minutes) / lambda;
      expect(advice(usualWetness, minutes)).toBe(Math.max(1, Math.ceil(real)));
    }
  });

  test('a wetter belief never advises fewer passes, and the weights stay a distribution', () => {
    const found = fc.constantFrom('dry' as const, 'wet' as const, 'first-dry' as const);
    const taps = fc.array(
      fc.record({ minutes: fc.integer({ min: 5, max: 180 }), passes: fc.integer({ min: 1, max: 12 }), found }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(taps, fc.integer({ min: 5, max: 180 }), (given, minutes) => {
        const before = learnWetness(given.map((one) => tap(one.minutes, one.passes, one.found)));
        expect(before.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 9);
        const wetter = learnWetness([
          ...given.map((one) => tap(one.minutes, one.passes, one.found)),
          tap(minutes, 6, 'wet'),
        ]);
        expect(wetnessMoments(wetter).mean).toBeGreaterThanOrEqual(wetnessMoments(before).mean - 1e-9);
        expect(advice(wetter, minutes)).toBeGreaterThanOrEqual(advice(before, minutes));
      }),
      { seed: 12, numRuns: 150 },
    );
  });

  // A player who always stops where the program says and taps what their cloth shows.
  test.each([
    ['a wet blower', 0.9],
    ['a dry blower', -0.9],
    ['the usual one', 0],
  ])('%s comes to their own count within ten taps', (_who, w) => {
    const { own, advised, taps } = simulateTaps(water, { w, minutes: 40, roomCelsius: 20, evenings: 10 });
    // Reckoned pass by pass, apart from the model's own formula.
    let left = condensate(water, 40, 20) * Math.exp(w);
    let reckoned = 0;
    for (; left > dryThreshold(water); reckoned++) left *= 1 - water.pickedUpPerPass;
    expect(own).toBe(reckoned);
    expect(taps).toHaveLength(10);
    expect(Math.abs(advised - own)).toBeLessThanOrEqual(1);
  });
});
