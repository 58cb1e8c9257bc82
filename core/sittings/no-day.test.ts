import { expect, test } from '@jest/globals';
import type { DueThing } from '#core/sittings/due-things.ts';
import { whyNoDay } from '#core/sittings/no-day.ts';
import { aThing } from '#core/testing/sittings.ts';

const WEEKS = 42;
const all = new Set(Array.from({ length: WEEKS }, (_, day) => day));
const flat = (minutes: number, last = minutes) => [...Array.from({ length: WEEKS - 1 }, () => minutes), last];
function why(time: readonly number[], over: Partial<Pick<DueThing, 'away' | 'settling'>> = {}, from = 0): string {
  const away = over.away ?? new Set<number>();
  const settling = over.settling ?? new Set<number>();
  return whyNoDay(
    { away, settling, thing: aThing({ minutes: 45, from, barred: new Set([...away, ...settling]) }) },
    time,
  );
}

test('what finds no day says what keeps it off', () => {
  expect(why(flat(30))).toBe('It takes about 45 min. The longest day has 30 min. Give one day more time.');
  expect(why(flat(60))).toMatch(/full of what is more pressing/);
  expect(why(flat(60), { away: all })).toMatch(/the instrument is at the bench\.$/);
  expect(why(flat(60), { settling: all })).toMatch(/an audience is too near\.$/);
  expect(why(flat(60), {}, WEEKS)).toMatch(/put it off/);
  expect(why(flat(0))).toMatch(/No day has any time/);
});

test('a short day is not to blame where the only long one is taken by something else', () => {
  const last = new Set([WEEKS - 1]);
  expect(why(flat(15, 60), { away: last })).toMatch(/each day that is long enough, the instrument is at the bench/);
  expect(why(flat(15, 60), { settling: last })).toMatch(/each day that is long enough, an audience is too near/);
  expect(why(flat(15, 60))).toMatch(/full of what is more pressing/);
});
