import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { rolesOfHeaders } from '#core/data/table-columns.ts';
import { dateOrderOf, dayIn, minuteOfDayIn, minutesIn, numberIn } from '#core/data/table-values.ts';

test.each([
  ['2026-11-24', 'day-month-year', '2026-11-24'],
  ['24.11.2026', 'day-month-year', '2026-11-24'],
  ['24. 11. 2026', 'day-month-year', '2026-11-24'],
  ['11/24/2026', 'month-day-year', '2026-11-24'],
  ['4/3/26', 'month-day-year', '2026-04-03'],
  ['4/3/26', 'day-month-year', '2026-03-04'],
  ['1.2.97', 'day-month-year', '1997-02-01'],
  ['2026-11-24 19:30', 'year-month-day', '2026-11-24'],
  ['2026-11-24T19:30:00Z', 'year-month-day', '2026-11-24'],
  ['29.02.2027', 'day-month-year', undefined],
  ['29.02.2028', 'day-month-year', '2028-02-29'],
  ['31/11/2026', 'day-month-year', undefined],
  ['13/13/2026', 'day-month-year', undefined],
  ['24.11', 'day-month-year', undefined],
  ['yesterday', 'day-month-year', undefined],
  ['24.11.26', 'year-month-day', undefined],
] as const)('%s, %s first, is %s', (cell, order, day) => {
  expect(dayIn(cell, order)).toBe(day);
});

describe('the order of days', () => {
  test('is found by the day that can be no month, whatever is usual', () => {
    expect(dateOrderOf(['3/4/2026', '24/11/2026'], 'month-day-year')).toBe('day-month-year');
    expect(dateOrderOf(['3/4/2026', '11/24/2026'], 'day-month-year')).toBe('month-day-year');
    expect(dateOrderOf(['2026-11-24'], 'day-month-year')).toBe('day-month-year');
  });
  test('is the usual one where both would do, and none where they are no days', () => {
    expect(dateOrderOf(['3/4/2026'], 'month-day-year')).toBe('month-day-year');
    expect(dateOrderOf(['3/4/2026'], 'day-month-year')).toBe('day-month-year');
    expect(dateOrderOf(['a', 'b'], 'day-month-year')).toBeNull();
    expect(dateOrderOf([], 'day-month-year')).toBeNull();
  });
});

test.each([
  ['45', 45],
  ['45,5', 45.5],
  ['45.5', 45.5],
  ['1.234,5', 1234.5],
  ['1,234.5', 1234.5],
  ['1.234', 1234],
  ['0.125', 0.125],
  ['1 234', 1234],
  ['-3', -3],
  ['4e5', undefined],
  ['', undefined],
  ['=1+1', undefined],
])('“%s” is the number %s', (cell, value) => {
  expect(numberIn(cell)).toBe(value);
});

test.each([
  ['45', 45],
  ['45,5', 46],
  ['0.2', 1],
  ['0', undefined],
  ['-5', undefined],
  ['1:15', 75],
  ['1:75', undefined],
  ['1 h', 60],
  ['1 h 15', 75],
  ['1h15min', 75],
  ['0,75 h', 45],
  ['90 min', 90],
  ['2 Stunden', 120],
  ['long', undefined],
  ['', undefined],
])('“%s” is %s minutes', (cell, minutes) => {
  expect(minutesIn(cell)).toBe(minutes);
});

test.each([
  ['19:30', 1170],
  ['19.30', 1170],
  ['7:30 pm', 1170],
  ['12:05 am', 5],
  ['12:05 pm', 725],
  ['19:30:15', 1170],
  ['25:00', undefined],
  ['13:00 pm', undefined],
  ['19:61', undefined],
  ['evening', undefined],
])('“%s” is minute %s of the day', (cell, minute) => {
  expect(minuteOfDayIn(cell)).toBe(minute);
});

test('header words are found in several languages, each once', () => {
  expect(rolesOfHeaders(['Datum', 'Dauer (min)', 'Instrument', 'Bemerkung', 'Minutes'])).toEqual([
    'date',
    'minutes',
    'instrument',
    null,
    null,
  ]);
});

test('no cell makes a reader fail or say what is no number', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[\d.,:/ -]{0,14}$/)), (cell) => {
      for (const value of [numberIn(cell), minutesIn(cell), minuteOfDayIn(cell)])
        expect(value === undefined || Number.isFinite(value)).toBe(true);
      for (const order of ['day-month-year', 'month-day-year', 'year-month-day'] as const) {
        const day = dayIn(cell, order);
        expect(day === undefined || new Date(`${day}T00:00:00Z`).toISOString().startsWith(day)).toBe(true);
      }
    }),
  );
});
