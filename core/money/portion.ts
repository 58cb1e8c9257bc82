import { checkNumber } from '#core/kernel/check-number.ts';

export type Rounding = 'down' | 'up' | 'nearest';

/**
 * An amount times one whole number by another, in whole coins: no coin goes through a floating point. A half is rounded up.
 *
 * @param minor in the smallest coins, none negative
 * @throws RangeError for what is no whole number, or where `by` is none at all
 */
export function portion(minor: number, times: number, by: number, rounding: Rounding): number {
  for (const [name, value] of [
    ['an amount', minor],
    ['a multiple', times],
  ] as const)
    checkNumber(name, value, { whole: true });
  checkNumber('a divisor', by, { whole: true, least: 1 });
  const [whole, divisor] = [BigInt(minor) * BigInt(times), BigInt(by)];
  const added = { down: 0n, up: divisor - 1n, nearest: divisor / 2n }[rounding];
  return Number((whole + added) / divisor);
}
