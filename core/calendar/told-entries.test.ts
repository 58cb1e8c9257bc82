import { describe, expect, test } from '@jest/globals';
import { tellEntries, type CalendarEntry, type ToldEntry } from '#core/calendar/told-entries.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const entry = (uid: string, days: number, over: Partial<CalendarEntry> = {}): CalendarEntry => ({
  uid,
  on: addDays(today, days),
  until: addDays(today, days),
  summary: 'Care',
  description: '',
  reminds: true,
  hour: null,
  isImported: false,
  ...over,
});
/** Told at so many hundred ms since the first. */
const tell = (told: readonly ToldEntry[], entries: readonly CalendarEntry[], on: LocalDate, nowMs = 100): ToldEntry[] =>
  tellEntries(told, entries, { today: on, nowMs });
const numbers = (told: ReturnType<typeof tellEntries>) =>
  told.map(({ uid, sequence, state }) => [uid, sequence, state]);

describe('what is told of a calendar', () => {
  test('counts up where something changes, and nowhere else', () => {
    const first = tell([], [entry('a', 1), entry('b', 2)], today);
    expect(numbers(first)).toEqual([
      ['a', 0, 'standing'],
      ['b', 0, 'standing'],
    ]);
    expect(tell(first, [entry('a', 1), entry('b', 2)], today)).toEqual(first);
    const moved = tell(first, [entry('a', 1), entry('b', 3)], today);
    expect(numbers(moved)).toEqual([
      ['a', 0, 'standing'],
      ['b', 1, 'standing'],
    ]);
    const renamed = tell(moved, [entry('a', 1, { description: 'Oil' }), entry('b', 3)], today);
    expect(numbers(renamed)).toEqual([
      ['a', 1, 'standing'],
      ['b', 1, 'standing'],
    ]);
  });

  test('what has gone is cancelled under its name, once, and counts on if it comes back', () => {
    const first = tell([], [entry('a', 1)], today);
    const gone = tell(first, [], today);
    expect(numbers(gone)).toEqual([['a', 1, 'cancelled']]);
    expect(tell(gone, [], today)).toEqual(gone);
    expect(numbers(tell(gone, [entry('a', 1)], today))).toEqual([['a', 2, 'standing']]);
    expect(tell(gone, [], addDays(today, 62))).toEqual([]);
  });

  test('what is over is no longer told, and was not cancelled; today’s still can be', () => {
    const first = tell([], [entry('a', 0)], today);
    expect(tell(first, [], addDays(today, 1))).toEqual([]);
    expect(numbers(tell(first, [], today))).toEqual([['a', 1, 'cancelled']]);
  });

  test('remembers when it changed, so that the same calendar is the same file', () => {
    const stamps = (told: readonly ToldEntry[]) => told.map(({ changedMs }) => changedMs);
    const first = tell([], [entry('a', 1), entry('b', 2)], today, 100);
    const same = tell(first, [entry('a', 1), entry('b', 2)], today, 200);
    expect(stamps(same)).toEqual([100, 100]);
    const at = { atMinute: 1140, minutes: 20 };
    const timed = tell(same, [entry('a', 1, { hour: at }), entry('b', 2)], today, 300);
    expect([stamps(timed), numbers(timed).map(([, sequence]) => sequence)]).toEqual([
      [300, 100],
      [1, 0],
    ]);
    const longer = tell(timed, [entry('a', 1, { hour: { ...at, minutes: 25 } })], today, 400);
    expect([stamps(longer), numbers(longer)[0]]).toEqual([
      [400, 400],
      ['a', 2, 'standing'],
    ]);
    // Told before it was written down: now, and from then on the same.
    const old = first.map((one) => ({ ...one, changedMs: 0 }));
    expect(stamps(tell(old, [entry('a', 1), entry('b', 2)], today, 500))).toEqual([500, 500]);
  });
});
