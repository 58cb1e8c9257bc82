import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { projectDue, type DueInput } from '#core/care/project-due.ts';
import type { Forecast } from '#core/plays/forecast.ts';
import { dayNumber, localDate } from '#core/time/local-date.ts';

const TODAY = dayNumber(localDate('2026-11-27'));
/** Days ahead of today, as they will be played: a different one each day, so that no day stands for another. */
const forecast = (minutes: readonly number[], spread = 0, plays: readonly number[] = []): Forecast => ({
  week: {} as Forecast['week'],
  minutesOn: (day) => minutes[day - TODAY - 1] ?? 0,
  spreadOn: () => spread,
  playsOn: (day) => plays[day - TODAY - 1] ?? 0,
  reasonOn: () => ({}) as ReturnType<Forecast['reasonOn']>,
});
const marked = (value: number) => ({ value, mark: 'practice' }) as const;
const ahead = (over: Partial<DueInput>): (number | null)[] | null => {
  const found = projectDue({
    limbs: {},
    from: TODAY - 10,
    played: { minutes: 0, plays: 0 },
    today: TODAY,
    forecast: forecast([]),
    ...over,
  });
  return found && [found.on, found.earliest, found.latest].map((day) => dayNumber(day) - TODAY);
};

test('is the day on which the minutes of the days to come fill what is left', () => {
  const limbs = { minutes: marked(100) };
  // 30 are played: 20, 0 and 50 leave nothing of the other 70 on the third day.
  expect(ahead({ limbs, played: { minutes: 30, plays: 0 }, forecast: forecast([20, 0, 50, 10]) })).toEqual([3, 3, 3]);
  expect(ahead({ limbs, played: { minutes: 31, plays: 0 }, forecast: forecast([20, 0, 49, 10]) })).toEqual([3, 3, 3]);
  expect(ahead({ limbs, played: { minutes: 30, plays: 0 }, forecast: forecast([20, 0, 49, 10]) })).toEqual([4, 4, 4]);
  expect(ahead({ limbs, played: { minutes: 100, plays: 0 } })).toEqual([0, 0, 0]);
});

test('counts plays the same way, and days of the calendar from the day it counts from', () => {
  const limbs = { plays: marked(5) };
  const twice = forecast([10, 10, 10], 0, [2, 1, 1]);
  expect(ahead({ limbs, played: { minutes: 0, plays: 2 }, forecast: twice })).toEqual([2, 2, 2]);
  expect(ahead({ limbs, played: { minutes: 0, plays: 1 }, forecast: twice })).toEqual([3, 3, 3]);
  expect(ahead({ limbs, played: { minutes: 0, plays: 5 } })).toEqual([0, 0, 0]);
  expect(ahead({ limbs: { days: marked(14) } })).toEqual([4, 4, 4]);
  expect(ahead({ limbs: { days: marked(13.2) } })).toEqual([4, 4, 4]);
  expect(ahead({ limbs: { days: marked(3) } })).toEqual([0, 0, 0]);
});

test('the first of its limbs decides, and nothing in sight is none', () => {
  const limbs = { days: marked(30), minutes: marked(60) };
  expect(ahead({ limbs, forecast: forecast([30, 30]) })).toEqual([2, 2, 2]);
  expect(ahead({ limbs, forecast: forecast([]) })).toEqual([20, 20, 20]);
  expect(ahead({ limbs: { minutes: marked(60) }, forecast: forecast([]) })).toBeNull();
  expect(ahead({ limbs: {} })).toBeNull();
});

/** The oracle: sums with the four fifths of a normal spread, 1.2816 standard deviations either way. */
test('the range holds four fifths of the spread of the days, whatever they are', () => {
  const days = fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 3, maxLength: 12 });
  fc.assert(
    fc.property(days, fc.integer({ min: 0, max: 30 }), fc.integer({ min: 1, max: 200 }), (minutes, spread, left) => {
      const firstDay = (reaches: (sum: number, margin: number) => boolean): number => {
        for (let day = 1; day <= 550; day++) {
          const sum = minutes.slice(0, day).reduce((all, one) => all + one, 0);
          if (reaches(sum, 1.2816 * spread * Math.sqrt(day))) return day;
        }
        return Infinity;
      };
      const on = firstDay((sum) => sum >= left);
      const early = firstDay((sum, margin) => sum + margin >= left);
      const late = firstDay((sum, margin) => sum - margin >= left);
      const found = ahead({ limbs: { minutes: marked(left) }, forecast: forecast(minutes, spread) });
      // What may never be reached is told to the end of what is foreseen.
      expect(found).toEqual(on === Infinity ? null : [on, early, Math.min(550, late)]);
    }),
    { seed: 91, numRuns: 200 },
  );
});
