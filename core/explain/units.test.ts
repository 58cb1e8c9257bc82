import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { createFormat } from '#core/explain/format.ts';
import { celsiusTyped, degreesShown, lengthsIn, METRIC } from '#core/explain/units.ts';

const AMERICAN = { temperature: 'fahrenheit', length: 'inch' } as const;

// Fixed points by definition: water freezes at 32 °F and boils at 212 °F; the scales meet at −40.
test.each([
  [0, 32],
  [100, 212],
  [-40, -40],
  [20, 68],
  [37, 98.6],
])('%s °C is %s °F, and typed so it is kept so', (celsius, fahrenheit) => {
  expect(degreesShown(celsius, AMERICAN)).toBeCloseTo(fahrenheit, 9);
  expect(celsiusTyped(fahrenheit, AMERICAN)).toBeCloseTo(celsius, 9);
  expect(degreesShown(celsius, METRIC)).toBe(celsius);
});

test('what is shown in whole degrees and typed again is the same within half a degree', () => {
  fc.assert(
    fc.property(fc.double({ min: -40, max: 60, noNaN: true }), (celsius) => {
      const again = celsiusTyped(Math.round(degreesShown(celsius, AMERICAN)), AMERICAN);
      expect(Math.abs(again - celsius)).toBeLessThan(0.35);
    }),
  );
});

describe('lengths in words', () => {
  test.each([
    ['The mark is about 25 mm out.', 'The mark is about 1 in out.'],
    ['Pistons run about 0.025 mm from their casing.', 'Pistons run about 0.001 in from their casing.'],
    ['leave about 1 cm of cork bare', 'leave about 0.4 in of cork bare'],
    ['in 7 minutes, 45 min', 'in 7 minutes, 45 min'],
  ])('%s', (words, american) => {
    expect(lengthsIn(words, AMERICAN)).toBe(american);
    expect(lengthsIn(words, METRIC)).toBe(words);
  });
});

test('a format names its weekdays and writes its degrees', () => {
  const american = createFormat('en-US', AMERICAN);
  expect([american.celsius(20), american.weekday(0), american.dayOrder]).toEqual(['68 °F', 'Monday', 'month-day-year']);
  const german = createFormat('de-DE');
  expect([german.celsius(20.5), german.weekday(6), german.dayOrder]).toEqual(['20,5 °C', 'Sonntag', 'day-month-year']);
});
