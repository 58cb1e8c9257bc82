import { describe, expect, test } from '@jest/globals';
import { playColumns } from '#core/plays/play-columns.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { usualEvening } from '#core/plays/usual-evening.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';

const TODAY = '2026-11-26' as LocalDate; // a Thursday
const LATE = 22 * 60;
/** Plays so many days ago, each with its minutes. */
const plays = (...days: readonly (readonly [ago: number, minutes: number])[]) => {
  const sorted = days.toSorted(([one], [other]) => other - one);
  return playColumns(
    Int32Array.from(sorted, ([ago]) => (dayNumber(TODAY) - ago) * MINUTES_PER_DAY + LATE),
    Int32Array.from(sorted, ([, minutes]) => minutes),
  );
};
const thursdays = (minutes: number) => [7, 14, 21, 28].map((ago) => [ago, minutes] as const);
const among = (...candidates: readonly ReturnType<typeof plays>[]) =>
  usualEvening(
    candidates.map((columns, id) => ({ id, plays: columns, usualMinutes: 45 })),
    TODAY,
  );

describe('the usual evening', () => {
  test('is what was played on half of such weekdays, with the minutes of such a day', () => {
    const [clarinet, alto, piccolo] = among(
      plays(...thursdays(62), [1, 20], [2, 20]),
      plays([7, 30], [21, 40]),
      plays([14, 10], [1, 90], [2, 90], [3, 90]),
    );
    expect(clarinet).toEqual({ id: 0, minutes: 60, usual: true });
    expect(alto).toEqual({ id: 1, minutes: 45, usual: true });
    expect(piccolo).toMatchObject({ usual: false });
  });

  test('where such weekdays are few, every day counts', () => {
    const [daily, seldom] = among(plays([1, 30], [2, 30], [3, 32], [5, 30]), plays([4, 10]));
    expect(daily).toEqual({ id: 0, minutes: 30, usual: true });
    expect(seldom).toMatchObject({ usual: false, minutes: 45 });
  });

  test('does not offer again what was logged today, nor what nobody played in the last weeks', () => {
    const [today, longAgo, never] = among(plays(...thursdays(30), [0, 30]), plays([70, 30], [77, 30]), plays());
    expect([today, longAgo, never].map((one) => one?.usual)).toEqual([false, false, false]);
  });

  test('two plays of a day are one evening', () =>
    expect(among(plays(...thursdays(30), ...thursdays(15)))[0]).toEqual({ id: 0, minutes: 45, usual: true }));

  test('nobody plays nothing', () => expect(among()).toEqual([]));
});
