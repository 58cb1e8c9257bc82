import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shareRange } from '#core/reeds/beta-share.ts';
import { makesOf } from '#core/reeds/makes.ts';
import { reedStates } from '#core/reeds/reed-state.ts';
import { aBox, REED_TODAY, said, used } from '#core/testing/reeds.ts';
import { addDays } from '#core/time/local-date.ts';

describe('the range of a share', () => {
  test('Beta(1, 1) and Beta(2, 2) by hand, Beta(1, n) by its closed form', () => {
    expect(shareRange(1, 1, 0.9)).toMatchObject({
      mean: 0.5,
      low: expect.closeTo(0.05, 4),
      high: expect.closeTo(0.95, 4),
    });
    // 3x² − 2x³ = 0.05 at 0.13535 (solved by hand).
    expect(shareRange(2, 2, 0.9).low).toBeCloseTo(0.13535, 4);
    expect(shareRange(2, 2, 0.9).high).toBeCloseTo(0.86465, 4);
    // 1 − (1 − x)ⁿ = p.
    for (const n of [3, 8, 20]) expect(shareRange(1, n, 0.8).low).toBeCloseTo(1 - 0.9 ** (1 / n), 4);
  });

  test('holds its mean, is narrower the more was seen, and mirrors', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }), (good, bad) => {
        const { mean, low, high } = shareRange(good, bad, 0.9);
        expect(low).toBeLessThan(mean);
        expect(high).toBeGreaterThan(mean);
        const more = shareRange(good * 4, bad * 4, 0.9);
        expect(more.high - more.low).toBeLessThan(high - low);
        expect(shareRange(bad, good, 0.9).low).toBeCloseTo(1 - high, 6);
      }),
    );
    for (const wrong of [0, -1, NaN, Infinity]) expect(() => shareRange(wrong, 2, 0.9)).toThrow(RangeError);
  });
});

test('which make again: share, life and the cost of a good hour; nothing is said of fewer than three', () => {
  const graded = (number: number, goodFor: 'concert' | 'rehearsal') =>
    said(number, addDays(REED_TODAY, -9), { what: 'graded', feel: 'right', goodFor, signs: [] });
  const ended = (number: number) => said(number, REED_TODAY, { what: 'ended', cause: 'soft' });
  const numbers = [1, 2, 3, 4];
  const reeds = reedStates(
    {
      box: aBox({ breakIn: 'none', before: [0, 0, 0, 0], cost: { minor: 2000, currency: 'EUR' } }),
      boxName: 'Fennel 2½',
      uses: numbers.map((number) => used(number, 3, 900)),
      said: [
        ...numbers.map((number) => graded(number, number < 4 ? 'concert' : 'rehearsal')),
        ...numbers.slice(0, 3).map(ended),
      ],
    },
    { today: REED_TODAY, family: 'single' },
  );
  const others = reedStates(
    { box: aBox({ key: 'dock', name: 'Dock', strength: null, before: [0, 0] }), boxName: 'Dock', uses: [], said: [] },
    { today: REED_TODAY, family: 'single' },
  );
  const [fennel, dock] = makesOf([...others, ...reeds], 'single');
  expect(fennel).toMatchObject({ name: 'Fennel 2½', reeds: 4, graded: 4 });
  // Three of four, beside two of four believed before.
  expect(fennel?.concert?.mean).toBeCloseTo(5 / 8, 12);
  const life = fennel?.lifeMinutes ?? NaN;
  expect(life).toBeGreaterThan(700);
  expect(life).toBeLessThan(1200);
  expect(fennel?.goodHour?.minor).toBeCloseTo(500 / ((5 / 8) * (life / 60)), 9);
  const nothing = { graded: 0, asCame: null, concert: null, lifeMinutes: null, goodHour: null };
  expect(dock).toEqual({ name: 'Dock', reeds: 2, ...nothing });
  const asCame = new Map(others.map(({ id }, at) => [id, at === 0]));
  expect(makesOf(others, 'single', asCame)[0]?.asCame).toEqual({ looked: others.length, back: 1 });
});
