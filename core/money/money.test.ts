import { describe, expect, test } from '@jest/globals';
import list from 'currency-codes';
import fc from 'fast-check';
import { createFormat } from '#core/explain/format.ts';
import { isCurrency, minorDigits, moneyAsTyped, typedMoney } from '#core/money/money.ts';

const coded = (codes: string): string[] => codes.split(' ');

describe('money', () => {
  // ISO 4217 list one as the package `currency-codes` carries it.
  test('every currency of the list has its decimals, whatever the runtime thinks of it', () => {
    const nobodyPaysIn = new Set(coded('BOV CHE CHW CLF COU MXV USN UYI UYW XAG XAU XBA XBB XBC XBD XDR XPD XPT XSU'));
    for (const code of coded('XTS XUA XXX')) nobodyPaysIn.add(code);
    const wrong = list.data.filter(({ code, digits }) =>
      nobodyPaysIn.has(code) ? isCurrency(code) : !isCurrency(code) || minorDigits(code) !== digits,
    );
    expect(wrong).toEqual([]);
    const known = list.data.filter(({ code }) => isCurrency(code)).length;
    expect(known).toBe(list.data.length - nobodyPaysIn.size);
    // Two on the list, none in what browsers write: the difference that made 100 of 1.
    expect([minorDigits('HUF'), minorDigits('IQD'), minorDigits('JPY')]).toEqual([2, 3, 0]);
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
    expect(money({ minor: 1_250_000, currency: 'HUF' })).toBe('HUF\u00a012,500.00');
    expect(money({ minor: 1250, currency: 'HRK' })).toBe('HRK\u00a012.50');
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
