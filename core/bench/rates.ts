import { estimate, type Marked } from '#core/explain/explained.ts';

/**
 * What every reason for or against a day is worth in minutes of playing, so that they can be added up (practice book,
 * estimates). Money is shown beside and counts for nothing here.
 */
export const RATES = {
  /** A minute of playing that is lost; where one of its kind stays at home. */
  lost: estimate(1),
  lostWithSpare: estimate(0.3),
  /** A week after its date, times what neglect of it costs. */
  overdueWeek: estimate(20),
  /** A minute of a rehearsal that falls into the days of settling. */
  settling: estimate(0.5),
  /** A day on the way. */
  shippingDay: estimate(10),
  /** A week before three quarters of its interval have run. */
  earlyWeek: estimate(10),
} as const satisfies Record<string, Marked>;

/** The share of an interval that has to have run until work is not early any more (practice book, estimate). */
export const EARLY_SHARE: Marked = estimate(0.75);
