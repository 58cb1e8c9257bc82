import type { PlayColumns } from '#core/plays/play-columns.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { weekdayOfDay } from '#core/time/local-date.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** Half of the weight lies in the last four weeks (estimate). */
const HALF_LIFE_WEEKS = 4;
/** Older weeks weigh less than 2⁻¹⁵ and are left out. */
const WEEKS_READ = 60;

/** What an ordinary week looks like, Monday first. Minutes and plays per day, zero days counted. */
export type UsualWeek = {
  readonly meanMinutes: readonly number[];
  /** Exponentially weighted standard deviation of the day's minutes. */
  readonly spreadMinutes: readonly number[];
  readonly meanPlays: readonly number[];
  /** Days the week stands on, and how often each weekday was among them. */
  readonly daysSeen: number;
  readonly seen: readonly number[];
  /** The mean over the week: what a weekday is taken for that has hardly been seen yet. */
  readonly anyDay: { readonly minutes: number; readonly plays: number };
};

/** Weekly smoothing factor for a half-life: after that many weeks an observation weighs half. @throws RangeError for none */
export function alphaOfHalfLife(halfLifeWeeks: number): number {
  checkNumber('a half-life', halfLifeWeeks, { least: Number.MIN_VALUE });
  return 1 - 2 ** (-1 / halfLifeWeeks);
}

/** An exponentially weighted mean and variance; 0 of no values. */
export type Smoothed = { readonly mean: number; readonly variance: number };

/**
 * Every `step`-th value from `from` on, smoothed; the first starts the mean: m ← m + α (x − m),
 * v ← (1 − α)(v + α (x − m)²).
 *
 * Source: NIST/SEMATECH e-Handbook §6.3.2.4 for the mean; the variance is the recursion belonging to it
 * (Finch 2009, "Incremental calculation of weighted mean and variance", from memory).
 */
export function smoothed(
  values: Float64Array,
  { from, step }: { from: number; step: number },
  alpha: number,
): Smoothed {
  let mean = values[from] ?? 0;
  let variance = 0;
  for (let at = from + step; at < values.length; at += step) {
    const difference = (values[at] ?? 0) - mean;
    mean += alpha * difference;
    variance = (1 - alpha) * (variance + alpha * difference * difference);
  }
  return { mean, variance };
}

/** Minutes and plays of each day from the first day read up to yesterday. */
function daily(columns: PlayColumns, today: number): { firstDay: number; minutes: Float64Array; plays: Float64Array } {
  const rows = columns.endedAt.length;
  const dayOfRow = (row: number) => Math.floor((columns.endedAt[row] ?? 0) / MINUTES_PER_DAY);
  const firstDay = rows === 0 ? today : Math.max(dayOfRow(0), today - WEEKS_READ * 7);
  const days = Math.max(0, today - firstDay);
  const minutes = new Float64Array(days);
  const plays = new Float64Array(days);
  for (let row = rows - 1; row >= 0; row--) {
    const day = dayOfRow(row);
    if (day < firstDay) break;
    if (day >= today) continue;
    minutes[day - firstDay] = (minutes[day - firstDay] ?? 0) + (columns.minutes[row] ?? 0);
    plays[day - firstDay] = (plays[day - firstDay] ?? 0) + 1;
  }
  return { firstDay, minutes, plays };
}

/** How many weeks of its own a weekday needs to weigh as much as the mean of all days (estimate). */
const SHRINK_WEEKS = 2;

/** `(n·own + k·guess) / (n + k)`: n observations of its own beside a guess that weighs k. Source: reference §14e. */
export function shrunk(own: number, seen: number, guess: number, weight = SHRINK_WEEKS): number {
  checkNumber('what was seen', seen);
  checkNumber('the weight of a guess', weight, { least: Number.MIN_VALUE });
  return (seen * own + weight * guess) / (seen + weight);
}

/** The mean over the weekdays seen, each of them once: the mean of the usual week. */
const overWeek = (seen: readonly number[], valueOf: (weekday: number) => number): number => {
  const weekdays = seen.flatMap((times, weekday) => (times > 0 ? [valueOf(weekday)] : []));
  return weekdays.reduce((sum, one) => sum + one, 0) / Math.max(1, weekdays.length);
};

/**
 * The player's ordinary week from the record: per weekday an exponentially weighted mean of the day's minutes, once
 * per calendar day, zero days included. Today is left out, for it is not over. A weekday that has hardly been seen yet
 * is shrunk towards the mean of the week, and its spread towards that of the week: a newcomer who has played three days
 * will play on the other four as well.
 *
 * @param today day number of the player's today
 */
export function usualWeek(columns: PlayColumns, today: number, halfLifeWeeks = HALF_LIFE_WEEKS): UsualWeek {
  checkNumber('today', today, { whole: true, least: -1e7, most: 1e7 });
  const { firstDay, minutes, plays } = daily(columns, today);
  const alpha = alphaOfHalfLife(halfLifeWeeks);
  const first = weekdayOfDay(firstDay);
  const ofWeekday = (values: Float64Array): Smoothed[] =>
    Array.from({ length: 7 }, (_, weekday) => smoothed(values, { from: (weekday - first + 7) % 7, step: 7 }, alpha));
  const seen = Array.from({ length: 7 }, (_, weekday) =>
    Math.max(0, Math.ceil((minutes.length - ((weekday - first + 7) % 7)) / 7)),
  );
  const [ofMinutes, ofPlays] = [ofWeekday(minutes), ofWeekday(plays)];
  const meanOf = (smooth: readonly Smoothed[]) => overWeek(seen, (weekday) => smooth[weekday]?.mean ?? 0);
  const anyDay = { minutes: meanOf(ofMinutes), plays: meanOf(ofPlays) };
  // Within the weekdays and between them: the law of total variance.
  const variance = overWeek(seen, (weekday) => {
    const { mean, variance: within } = ofMinutes[weekday] ?? { mean: 0, variance: 0 };
    return within + (mean - anyDay.minutes) ** 2;
  });
  return {
    meanMinutes: ofMinutes.map(({ mean }, weekday) => shrunk(mean, seen[weekday] ?? 0, anyDay.minutes)),
    spreadMinutes: ofMinutes.map((one, weekday) => Math.sqrt(shrunk(one.variance, seen[weekday] ?? 0, variance))),
    meanPlays: ofPlays.map(({ mean }, weekday) => shrunk(mean, seen[weekday] ?? 0, anyDay.plays)),
    daysSeen: minutes.length,
    seen,
    anyDay,
  };
}

/** From so many weeks on a weekday speaks for itself. */
export const WELL_KNOWN_WEEKS = 4 * SHRINK_WEEKS;

/** Is something played, and yet a weekday not seen often enough to speak for itself? */
export const isNewWeek = ({ seen, daysSeen }: UsualWeek): boolean =>
  daysSeen > 0 && Math.min(...seen) < WELL_KNOWN_WEEKS;

/** Minutes an ordinary week holds. */
export const weeklyMinutes = (week: UsualWeek): number => week.meanMinutes.reduce((sum, mean) => sum + mean, 0);
