import { describe, expect, test } from '@jest/globals';
import { tellEntries, type CalendarEntry } from '#core/calendar/told-entries.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const entry = (uid: string, days: number, over: Partial<CalendarEntry> = {}): CalendarEntry => ({
  uid,
  on: addDays(today, days),
  until: addDays(today, days),
  summary: 'Care',
  description: '',
  reminds: true,
  ...over,
});
const numbers = (told: ReturnType<typeof tellEntries>) =>
  told.map(({ uid, sequence, state }) => [uid, sequence, state]);

describe('what is told of a calendar', () => {
  test('counts up where something changes, and nowhere else', () => {
    const first = tellEntries([], [entry('a', 1), entry('b', 2)], today);
    expect(numbers(first)).toEqual([
      ['a', 0, 'standing'],
      ['b', 0, 'standing'],
    ]);
    expect(tellEntries(first, [entry('a', 1), entry('b', 2)], today)).toEqual(first);
    const moved = tellEntries(first, [entry('a', 1), entry('b', 3)], today);
    expect(numbers(moved)).toEqual([
      ['a', 0, 'standing'],
      ['b', 1, 'standing'],
    ]);
    const renamed = tellEntries(moved, [entry('a', 1, { description: 'Oil' }), entry('b', 3)], today);
    expect(numbers(renamed)).toEqual([
      ['a', 1, 'standing'],
      ['b', 1, 'standing'],
    ]);
  });

  test('what has gone is cancelled under its name, once, and counts on if it comes back', () => {
    const first = tellEntries([], [entry('a', 1)], today);
    const gone = tellEntries(first, [], today);
    expect(numbers(gone)).toEqual([['a', 1, 'cancelled']]);
    expect(tellEntries(gone, [], today)).toEqual(gone);
    expect(numbers(tellEntries(gone, [entry('a', 1)], today))).toEqual([['a', 2, 'standing']]);
    expect(tellEntries(gone, [], addDays(today, 62))).toEqual([]);
  });

  test('what is over is no longer told, and was not cancelled; today’s still can be', () => {
    const first = tellEntries([], [entry('a', 0)], today);
    expect(tellEntries(first, [], addDays(today, 1))).toEqual([]);
    expect(numbers(tellEntries(first, [], today))).toEqual([['a', 1, 'cancelled']]);
  });
});
