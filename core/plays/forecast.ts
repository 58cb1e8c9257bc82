import type { PlayColumns } from '#core/plays/play-columns.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { weekdayOfDay } from '#core/time/local-date.ts';

/** Half of the weight lies in the last four weeks (estimate). */
export const HALF_LIFE_WEEKS = 4;
/** Older weeks weigh less than 2⁻¹⁵ and are left out. */
const WEEKS_READ = 60;

/** What an ordinary week looks like, Monday first. Minutes and plays per day, zero days counted. */
export type WeekForecast = {
  readonly meanMinutes: readonly number[];
  /** Exponentially weighted standard deviation of the day's minutes. */
  readonly spreadMinutes: readonly number[];
  readonly meanPlays: readonly number[];
  /** Days the forecast stands on. */
  readonly daysSeen: number;
};

/** Weekly smoothing factor for a half-life: after that many weeks an observation weighs half. */
export const alphaOfHalfLife = (halfLifeWeeks: number): number => 1 - 2 ** (-1 / halfLifeWeeks);

/** An exponentially weighted mean and variance on its way; `seen` is false until the first value starts it. */
export type Smoothed = { seen: boolean; mean: number; variance: number };

export const unseen = (): Smoothed => ({ seen: false, mean: 0, variance: 0 });

/**
 * Takes one more value in; the first starts the mean: m ← m + α (x − m), v ← (1 − α)(v + α (x − m)²).
 *
 * Source: NIST/SEMATECH e-Handbook §6.3.2.4 for the mean; the variance is the recursion belonging to it
 * (Finch 2009, "Incremental calculation of weighted mean and variance", from memory).
 */
export function smooth(state: Smoothed, value: number, alpha: number): void {
  if (!state.seen) {
    state.seen = true;
    state.mean = value;
    return;
  }
  const difference = value - state.mean;
  state.mean += alpha * difference;
  state.variance = (1 - alpha) * (state.variance + alpha * difference * difference);
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

/**
 * The player's ordinary week from the record: per weekday an exponentially weighted mean of the day's minutes, once
 * per calendar day, zero days included. Today is left out, for it is not over.
 *
 * @param today day number of the player's today
 */
export function forecastWeek(columns: PlayColumns, today: number, halfLifeWeeks = HALF_LIFE_WEEKS): WeekForecast {
  const { firstDay, minutes, plays } = daily(columns, today);
  const alpha = alphaOfHalfLife(halfLifeWeeks);
  const minutesOf = Array.from({ length: 7 }, unseen);
  const playsOf = Array.from({ length: 7 }, unseen);
  // One pass over the days: this runs for every instrument whenever the shelf is drawn.
  let weekday = weekdayOfDay(firstDay);
  for (let day = 0; day < minutes.length; day++) {
    const [ofMinutes, ofPlays] = [minutesOf[weekday], playsOf[weekday]];
    if (ofMinutes) smooth(ofMinutes, minutes[day] ?? 0, alpha);
    if (ofPlays) smooth(ofPlays, plays[day] ?? 0, alpha);
    weekday = (weekday + 1) % 7;
  }
  return {
    meanMinutes: minutesOf.map(({ mean }) => mean),
    spreadMinutes: minutesOf.map(({ variance }) => Math.sqrt(variance)),
    meanPlays: playsOf.map(({ mean }) => mean),
    daysSeen: minutes.length,
  };
}

/** Minutes an ordinary week holds. */
export const weeklyMinutes = (forecast: WeekForecast): number =>
  forecast.meanMinutes.reduce((sum, mean) => sum + mean, 0);
