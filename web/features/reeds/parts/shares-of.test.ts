import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { ReedId } from '#core/reeds/reed.ts';
import { sharesOf } from '#web/features/reeds/parts/shares-of.ts';

const [a, b, c] = ['x/1', 'x/2', 'x/3'] as [ReedId, ReedId, ReedId];
const minutes = (...args: Parameters<typeof sharesOf>) => sharesOf(...args).map((share) => share.minutes);

describe('several reeds in one play', () => {
  test('share it evenly, the last has what is left over', () => {
    expect(minutes([a], {}, 45)).toEqual([45]);
    expect(minutes([a, b], {}, 45)).toEqual([22, 23]);
    expect(minutes([a, b, c], {}, 45)).toEqual([15, 15, 15]);
  });

  test('have what was said, and no more than there is', () => {
    expect(minutes([a, b], { [a]: 10 }, 45)).toEqual([10, 35]);
    expect(minutes([a, b], { [a]: 90 }, 45)).toEqual([44, 1]);
    expect(minutes([], {}, 45)).toEqual([]);
  });

  test('always come to the whole play, a minute each at the least', () => {
    const said = fc.dictionary(fc.constantFrom(a, b, c), fc.integer({ min: -5, max: 200 }));
    fc.assert(
      fc.property(
        fc.subarray([a, b, c], { minLength: 1 }),
        said,
        fc.integer({ min: 3, max: 240 }),
        (chosen, of, all) => {
          const shares = minutes(chosen, of, all);
          expect(shares.reduce((sum, one) => sum + one, 0)).toBe(all);
          expect(Math.min(...shares)).toBeGreaterThanOrEqual(1);
        },
      ),
    );
  });
});
