import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { createFormat } from '#core/explain/format.ts';
import { isCurrency, minorDigits, moneyAsTyped, typedMoney } from '#core/money/money.ts';

describe('money', () => {
  // ISO 4217, table A.1: minor units.
  test.each([
    ['EUR', 2],
    ['JPY', 0],
    ['KWD', 3],
  ])('%s has %i decimals', (currency, count) => {
    expect(minorDigits(currency)).toBe(count);
  });

  test.each([
    ['28.90', 'EUR', 2890],
    ['28,9', 'EUR', 2890],
    [' 30 ', 'EUR', 3000],
    ['0', 'EUR', 0],
    ['3000', 'JPY', 3000],
    ['1.234', 'KWD', 1234],
  ])('%j in %s is %i of the smallest coin', (text, currency, minor) => {
    expect(typedMoney(text, currency)).toEqual({ minor, currency });
  });

  test.each([
    ['', 'EUR'],
    ['-5', 'EUR'],
    ['1.234', 'EUR'],
    ['12.5', 'JPY'],
    ['free', 'EUR'],
    ['1e5', 'EUR'],
    ['1,000.00', 'EUR'],
    ['9999999999', 'EUR'],
  ])('%j in %s is no amount', (text, currency) => {
    expect(typedMoney(text, currency)).toBeNull();
  });

  test('typed as it is written it is the same', () => {
    const amounts = fc.record({ minor: fc.nat(100_000_000), currency: fc.constantFrom('EUR', 'JPY', 'KWD') });
    fc.assert(
      fc.property(amounts, (money) => void expect(typedMoney(moneyAsTyped(money), money.currency)).toEqual(money)),
    );
  });

  test('is written in its currency', () => {
    const { money } = createFormat('en-GB');
    expect(money({ minor: 2890, currency: 'EUR' })).toBe('€28.90');
    expect(money({ minor: 61.7, currency: 'EUR' })).toBe('€0.62');
    expect(money({ minor: 3000, currency: 'JPY' })).toBe('JP¥3,000');
  });

  test.each([
    ['EUR', true],
    ['XYQ', false],
    ['euro', false],
    ['', false],
  ])('%j: a currency is %s', (code, is) => {
    expect(isCurrency(code)).toBe(is);
  });
});
