import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { instantOfMs, localMomentOf, parseInstant } from '#core/time/instant.ts';
import {
  addDays,
  dateOfDay,
  dayNumber,
  daysBetween,
  localDate,
  parseLocalDate,
  weekdayOfDay,
} from '#core/time/local-date.ts';

const day = fc.integer({ min: -20_000, max: 300_000 });

describe('a local date', () => {
  test('is a real calendar day or nothing', () => {
    expect(parseLocalDate('2026-02-28')).toBe('2026-02-28');
    for (const text of ['2026-02-31', '2026-2-3', '2026-02-28T00:00', '', '0001-01-01', '２０26-01-01', '2025-02-29'])
      expect(parseLocalDate(text)).toBeUndefined();
    expect(() => localDate('2026-13-01')).toThrow('not a calendar day');
  });

  test('counts days across clock changes and leap days', () => {
    expect(daysBetween(localDate('2026-03-28'), localDate('2026-03-30'))).toBe(2);
    expect(daysBetween(localDate('2024-02-28'), localDate('2024-03-01'))).toBe(2);
    expect(addDays(localDate('2026-10-24'), 7)).toBe('2026-10-31');
  });

  test('knows its weekday: 24 November 2026 is a Tuesday', () => {
    expect(weekdayOfDay(dayNumber(localDate('2026-11-24')))).toBe(1);
  });

  test('day numbers and dates are two names of one thing, and text order is day order', () => {
    fc.assert(
      fc.property(day, day, (a, b) => {
        expect(dayNumber(dateOfDay(a))).toBe(a);
        expect(Math.sign(a - b)).toBe(dateOfDay(a) < dateOfDay(b) ? -1 : dateOfDay(a) > dateOfDay(b) ? 1 : 0);
      }),
      { seed: 11 },
    );
  });
});

describe('an instant', () => {
  test('is accepted only in the form the program writes', () => {
    expect(parseInstant('2026-11-24T19:05:00.000Z')).toBe('2026-11-24T19:05:00.000Z');
    for (const text of [
      '2026-11-24',
      '2026-11-24T19:05:00Z',
      '2026-02-31T00:00:00.000Z',
      '2026-11-24T19:05:00.000+01:00',
      // JavaScript writes such years so itself.
      '+012026-11-24T19:05:00.000Z',
    ])
      expect(parseInstant(text)).toBeUndefined();
  });

  test('falls on the day of the place where it is read', () => {
    const late = instantOfMs(Date.UTC(2026, 10, 24, 23, 30));
    expect(localMomentOf(late, 'Europe/Berlin')).toEqual({ on: '2026-11-25', atMinute: 30 });
    expect(localMomentOf(late, 'America/Los_Angeles')).toEqual({ on: '2026-11-24', atMinute: 930 });
  });
});
