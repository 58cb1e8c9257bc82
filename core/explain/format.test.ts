import { describe, expect, test } from '@jest/globals';
import { createFormat, PLAIN_FORMAT } from '#core/explain/format.ts';
import { localDate } from '#core/time/local-date.ts';

const day = localDate('2026-11-24');

describe('a format', () => {
  // Unicode CLDR, as Intl has it: the day before the month in Britain, after it in the States, a comma in Germany.
  test.each([
    ['en-GB', '24 November 2026', '0.6', '1,234'],
    ['en-US', 'November 24, 2026', '0.6', '1,234'],
    ['de', '24. November 2026', '0,6', '1.234'],
  ])('of %s writes days and numbers as people there do', (language, date, tenths, thousands) => {
    const format = createFormat(language);
    expect([format.date(day), format.number(0.6), format.number(1234)]).toEqual([date, tenths, thousands]);
  });

  test('shows at most one decimal and no zero behind it; a little water is not nothing', () => {
    const { number, celsius, grams } = createFormat('en-GB');
    expect([number(3), number(2.96), number(-0.04)]).toEqual(['3', '3', '0']);
    expect([celsius(20), celsius(-3.5)]).toEqual(['20 °C', '-3.5 °C']);
    expect([grams(3.14), grams(0.4), grams(0.034), grams(0)]).toEqual(['3.1 g', '0.4 g', '0.03 g', '0 g']);
  });

  test('of a language nobody knows is English; for nobody in particular days stay as they are stored', () => {
    expect(createFormat('no such language!').date(day)).toBe('24 November 2026');
    expect(PLAIN_FORMAT.date(day)).toBe('2026-11-24');
    expect(createFormat().number(1)).toBe('1');
  });
});
