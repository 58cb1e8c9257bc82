import { expect, test } from '@jest/globals';
import { copiesLetGo } from '#core/record/kept-copies.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';

/** A copy a day, each day the rule applied: what is left after so many days. */
function after(days: number, isUsed: (day: number) => boolean = () => true): LocalDate[] {
  let kept: LocalDate[] = [];
  for (let day = 0; day < days; day++) {
    if (!isUsed(day)) continue;
    kept.push(addDays(localDate('2024-01-01'), day));
    const gone = new Set(copiesLetGo(kept));
    kept = kept.filter((one) => !gone.has(one));
  }
  return kept;
}

test('of two years of days the last seven, five weeks and twelve months are left', () => {
  const kept = after(731);
  // 2024-01-01 was a Monday; day 730 is Wednesday, 31 December 2025.
  expect(kept.slice(-7)).toEqual([25, 26, 27, 28, 29, 30, 31].map((day) => `2025-12-${day}`));
  // Sundays, the last day of each of four weeks before this one.
  for (const sunday of ['2025-12-28', '2025-12-21', '2025-12-14', '2025-12-07']) expect(kept).toContain(sunday);
  expect(new Set(kept.map((one) => one.slice(0, 7))).size).toBe(12);
  expect(kept.length).toBeLessThanOrEqual(7 + 5 + 12);
});

test('what was kept once is let go only for something newer of its kind: a record that rests keeps what it has', () => {
  const kept = after(60);
  expect(copiesLetGo(kept)).toEqual([]);
  expect(copiesLetGo([...kept, localDate('2031-05-05')]).length).toBeLessThanOrEqual(3);
});

test('used once a week, a year of it is left', () => {
  const kept = after(730, (day) => day % 7 === 2);
  expect(kept.length).toBeGreaterThanOrEqual(12);
  expect(kept.length).toBeLessThanOrEqual(24);
});

test('none, one, and one day twice', () => {
  expect(copiesLetGo([])).toEqual([]);
  const day = localDate('2026-02-28');
  expect(copiesLetGo([day])).toEqual([]);
  expect(copiesLetGo([day, day])).toEqual([]);
});
