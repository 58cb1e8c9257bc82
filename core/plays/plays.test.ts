import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { forecastDays } from '#core/plays/forecast.ts';
import { alphaOfHalfLife, shrunk, smoothed, usualWeek, weeklyMinutes } from '#core/plays/usual-week.ts';
import { dayReasonWords } from '#core/plays/forecast-words.ts';
import { ALONE_IDS } from '#core/instruments/alone.ts';
import {
  lastPlayedOn,
  playColumns,
  playedSince,
  playsTouching,
  withAlone,
  withPlay,
  type PlayColumns,
  type PlayMore,
} from '#core/plays/play-columns.ts';
import { checkPlay, playsOverlap, wallMinute, type PlaySpan } from '#core/plays/play.ts';
import { dateOfDay, dayNumber, localDate } from '#core/time/local-date.ts';

const now = { on: localDate('2026-11-24'), atMinute: 20 * 60 };
const shelf = { acquiredOn: localDate('2024-01-10'), leftOn: null };
const play = (endedOn: string, endedAtMinute: number | null, minutes: number): PlaySpan => ({
  endedOn: localDate(endedOn),
  endedAtMinute,
  minutes,
});
const check = (one: PlaySpan, near: PlaySpan[] = []) => {
  const outcome = checkPlay(one, now, shelf, near);
  return outcome.ok ? 'ok' : outcome.failure.code;
};

describe('a play', () => {
  test('lies in the past and within the time on the shelf', () => {
    expect(check(play('2026-11-24', 20 * 60, 45))).toBe('ok');
    expect(check(play('2026-11-24', 20 * 60 + 1, 45))).toBe('in-the-future');
    expect(check(play('2026-11-25', null, 45))).toBe('in-the-future');
    expect(check(play('2024-01-09', 600, 45))).toBe('before-it-came');
    expect(check(play('2024-01-10', 600, 45))).toBe('ok');
    expect(
      checkPlay(play('2026-11-02', 600, 30), now, { ...shelf, leftOn: localDate('2026-11-01') }, []),
    ).toMatchObject({
      failure: { code: 'after-it-left' },
    });
  });

  test('overlaps no other play of the instrument; touching ends are no overlap', () => {
    const first = play('2026-11-23', 600, 60);
    expect(check(play('2026-11-23', 630, 31), [first])).toBe('overlaps');
    expect(check(play('2026-11-23', 630, 30), [first])).toBe('ok');
    expect(check(play('2026-11-24', 30, 60), [play('2026-11-23', 1430, 10)])).toBe('overlaps');
    expect(check(play('2026-11-23', null, 60), [first])).toBe('ok');
  });

  test('a day holds no more than 24 hours of it', () => {
    expect(check(play('2026-11-23', null, 1), [play('2026-11-23', null, 1440)])).toBe('day-is-full');
  });

  test('a day holds 24 hours to the minute, and says how much of it is taken', () => {
    expect(check(play('2026-11-23', null, 1440))).toBe('ok');
    expect(check(play('2026-11-23', null, 440), [play('2026-11-23', null, 1000)])).toBe('ok');
    expect(checkPlay(play('2026-11-23', null, 441), now, shelf, [play('2026-11-23', null, 1000)])).toMatchObject({
      failure: { code: 'day-is-full', alreadyMinutes: 1000 },
    });
  });

  test('overlap is symmetric', () => {
    const span = fc.record({
      endedOn: fc.integer({ min: 20_000, max: 20_003 }).map(dateOfDay),
      endedAtMinute: fc.option(fc.integer({ min: 0, max: 1439 })),
      minutes: fc.integer({ min: 1, max: 1440 }),
    });
    fc.assert(
      fc.property(span, span, (a, b) => playsOverlap(a, b) === playsOverlap(b, a)),
      { seed: 3 },
    );
  });
});

/** Plays close together, of the whole and of parts, so that minutes and lengths coincide. */
const anyPlays = fc.array(
  fc.record({
    at: fc.integer({ min: 0, max: 6 }),
    minutes: fc.integer({ min: 1, max: 3 }),
    alone: fc.constantFrom<PlayMore['alone']>(null, null, 'mouthpiece', 'head-joint'),
  }),
  { minLength: 1, maxLength: 12 },
);
const sorted = (all: readonly PlayMore[]): PlayColumns => {
  const rows = all.toSorted((a, b) => a.at - b.at || a.minutes - b.minutes);
  const columns = playColumns(
    Int32Array.from(rows, ({ at }) => at),
    Int32Array.from(rows, ({ minutes }) => minutes),
  );
  return withAlone(
    columns,
    all.filter(({ alone }) => alone !== null),
  );
};
/** The plays columns tell of, in an order that does not tell plays of one minute and length apart. */
const told = ({ endedAt, minutes, alone }: PlayColumns): string[] =>
  Array.from(endedAt, (at, row) => `${at} ${minutes[row]} ${alone.get(row) ?? 'whole'}`).toSorted();

describe('play columns', () => {
  test('with a play more are those of all of them sorted', () => {
    fc.assert(
      fc.property(anyPlays, (all) => {
        const [one, ...others] = all;
        if (one) expect(told(withPlay(sorted(others), one))).toEqual(told(sorted(all)));
      }),
    );
  });

  test('of a part are those of the whole and of the parts it belongs to, and no others', () => {
    fc.assert(
      fc.property(anyPlays, fc.subarray([...ALONE_IDS]), (all, mine) => {
        const isMine = ({ alone }: PlayMore) => alone === null || mine.includes(alone);
        const touching = playsTouching(sorted(all), (alone) => mine.includes(alone));
        expect(told(touching)).toEqual(told(sorted(all.filter(isMine))));
      }),
    );
  });

  test('in which nothing stayed in the case are answered as they are', () => {
    const whole = sorted([{ at: 5, minutes: 20, alone: null }]);
    expect(playsTouching(whole, () => false)).toBe(whole);
  });

  const columns = playColumns(Int32Array.of(100, 200, 200, 300), Int32Array.of(10, 20, 30, 40));

  test('answer what was played after a moment', () => {
    expect(playedSince(columns, -Infinity)).toEqual({ plays: 4, minutes: 100 });
    expect(playedSince(columns, 199)).toEqual({ plays: 3, minutes: 90 });
    expect(playedSince(columns, 200)).toEqual({ plays: 1, minutes: 40 });
    expect(playedSince(columns, 300)).toEqual({ plays: 0, minutes: 0 });
  });

  test('agree with a plain filter', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 1, max: 90 }))),
        fc.integer({ min: -1, max: 51 }),
        (rows, from) => {
          const sorted = rows.toSorted(([a], [b]) => a - b);
          const built = playColumns(
            Int32Array.from(sorted, ([at]) => at),
            Int32Array.from(sorted, ([, minutes]) => minutes),
          );
          const later = sorted.filter(([at]) => at > from);
          expect(playedSince(built, from)).toEqual({
            plays: later.length,
            minutes: later.reduce((sum, [, minutes]) => sum + minutes, 0),
          });
        },
      ),
      { seed: 5 },
    );
  });

  test('refuse rows that are not sorted', () => {
    expect(() => playColumns(Int32Array.of(2, 1), Int32Array.of(1, 1))).toThrow(RangeError);
  });
});

describe('the forecast of an ordinary week', () => {
  // NIST/SEMATECH e-Handbook §6.3.2.4, EWMA chart, λ = 0.3, started at 50 (figures recalled from memory, recomputed).
  test('smooths like the published EWMA example', () => {
    const data = [
      52.0, 47.0, 53.0, 49.3, 50.1, 47.0, 51.0, 50.1, 51.2, 50.5, 49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6,
      52.1,
    ];
    const printed: Record<number, number> = {
      1: 50.6,
      3: 50.56,
      4: 50.18,
      6: 49.21,
      7: 49.75,
      9: 50.26,
      13: 49.52,
      16: 49.92,
      19: 51.94,
    };
    for (const [after, value] of Object.entries(printed)) {
      const values = Float64Array.from([50, ...data.slice(0, Number(after))]);
      expect(smoothed(values, { from: 0, step: 1 }, 0.3).mean).toBeCloseTo(value, 1);
    }
  });

  test('keeps a mean per weekday, zero days counted', () => {
    // Four weeks Mon–Sun; after week 4 at α = 0.3: Mon 41.92, Tue 4.2, Wed 48.765, Sat 98.37, Sun 3 (worked by hand).
    const weeks = [
      40, 0, 45, 0, 30, 90, 0, 50, 0, 40, 0, 0, 100, 0, 35, 20, 45, 0, 40, 80, 0, 45, 0, 60, 0, 30, 120, 10,
    ];
    const monday = dayNumber(localDate('2026-10-26'));
    const rows = weeks.flatMap((minutes, index) =>
      minutes > 0 ? [{ at: (monday + index) * 1440 + 600, minutes }] : [],
    );
    const columns = playColumns(
      Int32Array.from(rows, ({ at }) => at),
      Int32Array.from(rows, ({ minutes }) => minutes),
    );
    const halfLife = -1 / Math.log2(1 - 0.3);
    expect(alphaOfHalfLife(halfLife)).toBeCloseTo(0.3, 12);
    const { meanMinutes, daysSeen } = usualWeek(columns, monday + 28, halfLife);
    // Reference §14d, week 4 (computed there), then each shrunk to the mean of that week as §14e does to its guess.
    const anyDay = 223.945 / 7;
    [41.92, 4.2, 48.765, 0, 27.69, 98.37, 3].forEach((mean, weekday) =>
      expect(meanMinutes[weekday]).toBeCloseTo((4 * mean + 2 * anyDay) / 6, 3),
    );
    expect(daysSeen).toBe(28);
  });

  test('what is played today is not yet part of what is usual', () => {
    const today = dayNumber(localDate('2026-11-24'));
    const of = (...ago: readonly number[]) =>
      usualWeek(
        playColumns(
          Int32Array.from(ago, (days) => wallMinute(dateOfDay(today - days), 600)),
          Int32Array.from(ago, () => 60),
        ),
        today,
      );
    expect(of(28, 21, 14, 7, 0)).toEqual(of(28, 21, 14, 7));
    expect(of(28, 21, 14, 7, 1)).not.toEqual(of(28, 21, 14, 7));
  });

  test('the last day of playing is that of the last play', () => {
    const days = ['2026-11-01', '2026-11-03', '2026-11-09'].map((day) => wallMinute(localDate(day), 600));
    const of = (rows: readonly number[]) =>
      lastPlayedOn(
        playColumns(
          Int32Array.from(rows),
          Int32Array.from(rows, () => 5),
        ),
      );
    expect([of(days), of(days.slice(0, 1)), of([])]).toEqual(['2026-11-09', '2026-11-01', null]);
  });

  test('an empty record foresees nothing', () => {
    const empty = playColumns(new Int32Array(), new Int32Array());
    expect(weeklyMinutes(usualWeek(empty, 20_000))).toBe(0);
  });

  test('after the half-life an old habit weighs half', () => {
    const today = dayNumber(localDate('2026-11-24'));
    const rows = Array.from({ length: 200 }, (_, index) => today - 228 + index); // 200 days of 60 min, then 28 days of nothing
    const columns = playColumns(
      Int32Array.from(rows, (day) => wallMinute(dateOfDay(day), 600)),
      Int32Array.from(rows, () => 60),
    );
    expect(weeklyMinutes(usualWeek(columns, today))).toBeCloseTo(7 * 30, 5);
  });

  test('shrinks to a guess as the worked figures do', () => {
    // Reference §14e: (n·m + 2·30) / (n + 2), n = 4.
    for (const [own, value] of [
      [41.92, 37.94667],
      [48.765, 42.51],
      [0, 10],
      [98.37, 75.58],
      [3, 12],
    ] as const)
      expect(shrunk(own, 4, 30)).toBeCloseTo(value, 5);
  });

  test('days a newcomer has not played yet count as an average day, not as nothing', () => {
    const monday = dayNumber(localDate('2026-11-23'));
    const columns = playColumns(
      Int32Array.from([0, 1, 2], (day) => (monday + day) * 1440 + 600),
      Int32Array.of(60, 30, 30),
    );
    const { meanMinutes, seen, meanPlays } = usualWeek(columns, monday + 3);
    expect(seen).toEqual([1, 1, 1, 0, 0, 0, 0]);
    expect(meanMinutes.slice(3)).toEqual([40, 40, 40, 40]);
    expect(meanMinutes[0]).toBeCloseTo((60 + 2 * 40) / 3, 10);
    expect(meanPlays[6]).toBe(1);
  });

  test('a day of which more is known is foreseen as planned, and says so', () => {
    const monday = dayNumber(localDate('2026-11-23'));
    const columns = playColumns(Int32Array.of(monday * 1440), Int32Array.of(60));
    const concert = { minutes: 120, spreadMinutes: 10, plays: 1, words: 'Concert' };
    const forecast = forecastDays(usualWeek(columns, monday + 1), new Map([[monday + 5, concert]]));
    expect([forecast.minutesOn(monday + 5), forecast.spreadOn(monday + 5), forecast.playsOn(monday + 5)]).toEqual([
      120, 10, 1,
    ]);
    expect(dayReasonWords(forecast.reasonOn(monday + 5)).text).toBe('Concert: about 2 h.');
    expect(forecast.minutesOn(monday + 12)).toBe(60);
    expect(dayReasonWords(forecast.reasonOn(monday + 12)).text).toMatch(/^Saturdays: none in the record yet/);
  });
});
