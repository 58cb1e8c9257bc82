import { expect, test } from '@jest/globals';
import { checkNumber } from '#core/kernel/check-number.ts';

const isTaken = (...args: [value: number, limits?: Parameters<typeof checkNumber>[2]]): boolean => {
  try {
    checkNumber('it', ...args);
    return true;
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
};

test('a number within its limits is taken, and nothing else', () => {
  expect([0, 0.5, 1e9].map((value) => isTaken(value))).toEqual([true, true, true]);
  expect([-0.1, NaN, Infinity, -Infinity, 1e300].map((value) => isTaken(value))).toEqual(Array(5).fill(false));
  expect([2, 4, 1.9, 4.1].map((value) => isTaken(value, { least: 2, most: 4 }))).toEqual([true, true, false, false]);
  expect(isTaken(Infinity, { most: Infinity })).toBe(false);
  expect([3, 3.5].map((value) => isTaken(value, { whole: true }))).toEqual([true, false]);
  expect([10, 12].map((value) => isTaken(value, { step: 5 }))).toEqual([true, false]);
  expect(isTaken(-3, { least: -5 })).toBe(true);
  expect(() => checkNumber('the life of a reed', 0, { least: 1, whole: true })).toThrow(
    'the life of a reed is 0, not a whole number from 1',
  );
});
