import { estimate, oneVoice, practice, type Marked } from '#core/explain/explained.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { HighShare, ReedFamily } from '#core/reeds/reed.ts';
import type { ReedWish } from '#core/settings/settings.ts';
import type { LifePrior } from '#core/reeds/weibull-life.ts';

/**
 * Minutes of the days of breaking in: the first two and the week are the book's, what lies between them is an estimate.
 * Over two weeks each step is held for two days.
 */
export const RAMP: readonly Marked[] = [
  oneVoice(5),
  oneVoice(10),
  estimate(15),
  estimate(20),
  estimate(30),
  estimate(40),
  estimate(50),
];
/**
 * However its days were spread, a reed is broken in once it has been played on as many days as the ramp has, and as long as
 * the whole ramp. The player's own grade ends it sooner, but not before it has been played on so many days.
 */
export const GRADED_AFTER_DAYS = estimate(4);
/** Played more than so many times the cap, a day holds the reed back; less than so much of it, it brings it no further. */
export const OVERPLAYED = estimate(1.25);
export const TOO_LITTLE = estimate(0.5);

/** The first days of a double reed that is new, minutes; then it is free. */
export const FIRST_DAYS: Readonly<Partial<Record<KindId, readonly Marked[]>>> = {
  oboe: [estimate(10), estimate(15), estimate(20)],
  'cor-anglais': [estimate(10), estimate(15), estimate(20)],
  bassoon: [estimate(10), estimate(20), estimate(30)],
};

/** Minutes a reed that is broken in plays of a day. */
export const DAILY_CAP = estimate(90);
/** Hours between two plays of a reed that is broken in. */
export const REST_HOURS = estimate(24);
/** What a minute wears by how much of the play lay high: half of "some", nearly all of "much" counts as 1.5. */
export const WEAR: Readonly<Record<HighShare, Marked>> = {
  none: practice(1),
  some: estimate(1.25),
  much: estimate(1.5),
};

/** The air has changed enough for cane to feel it, and what counts as much playing before it. */
export const WARP_BY = {
  humidityPercent: estimate(15),
  celsius: estimate(8),
  /** An older reading says nothing of the air a reed lay in. */
  oldestDays: estimate(14),
  muchPlayed: { minutes: estimate(120), days: estimate(3) },
  /** In so long the air of a room becomes that of another season. */
  lainDays: estimate(28),
} as const;

/** Reeds in hand at the least: so many are in turn. */
export const IN_HAND: Readonly<Record<ReedFamily, Marked>> = {
  single: practice(4),
  double: oneVoice(5),
  pipe: estimate(1),
};

/** Hours of regular playing in a week: what "about a month" is in hours. */
const HOURS_A_WEEK = 5;
const MONTH_MINUTES = 4 * HOURS_A_WEEK * 60;
/** A life of about a month of regular playing, believed before any reed of one's own has ended; minutes. */
export const CANE_LIFE: LifePrior = { median: MONTH_MINUTES, medianSpread: 0.5, shape: 2.5, shapeSpread: 0.35 };
/** Nobody says how long a synthetic reed lives: six times as long is a guess. */
export const SYNTHETIC_LIFE: LifePrior = { ...CANE_LIFE, median: 6 * MONTH_MINUTES, medianSpread: 0.8 };

/**
 * Of the cane reeds of a box half are good enough for a concert: counted as two that were and two that were not. Of double
 * reeds made by hand one in two or three is: counted as two that were and three that were not. Estimates.
 */
export const GOOD_PRIOR: Readonly<Record<ReedFamily, { readonly good: number; readonly bad: number }>> = {
  single: { good: 2, bad: 2 },
  double: { good: 2, bad: 3 },
  pipe: { good: 2, bad: 2 },
};
/** From opening a reed that has no ramp to trusting its grade, days: it is adjusted and played in (estimate). */
export const PLAYED_IN_DAYS: Readonly<Record<Exclude<ReedFamily, 'single'>, Marked>> = {
  double: estimate(7),
  pipe: estimate(7),
};
/**
 * With that chance there shall be enough on the day, by what the player wants. Over 200 seasons (`npm run seasons`) opening
 * for 95 % readied no more concerts than opening for 80 %, on one reed more; for 60 %, fewer, on half a reed less.
 */
export const SURE_ENOUGH: Readonly<Record<ReedWish, Marked>> = {
  fewer: estimate(0.6),
  usual: estimate(0.8),
  surer: estimate(0.95),
};
/** The share that is left of a reed last found too soft, of what its age alone would leave. */
export const SOFT_LEFT = estimate(0.5);
/** What a reed has behind it that was played nobody knows how long, of a usual life. */
export const UNKNOWN_AGE = estimate(0.25);
/** A concert reed is in the first half of its life. */
export const FIRST_HALF = estimate(0.5);
