import { checkNumber } from '#core/kernel/check-number.ts';

/** One reading on a day; days are counted from any one day. */
export type Point = { readonly day: number; readonly value: number };
/** A straight line: a day's value is `atZero + slope × day`. */
export type Line = { readonly slope: number; readonly atZero: number };

/** The middle of numbers; of an even count the mean of the two in the middle. */
function middleOf(numbers: readonly number[]): number {
  const sorted = Float64Array.from(numbers).sort();
  const half = sorted.length >> 1;
  const upper = sorted[half] ?? NaN;
  return sorted.length % 2 === 1 ? upper : ((sorted[half - 1] ?? NaN) + upper) / 2;
}

/**
 * The line of Theil and Sen: its slope is the middle of the slopes of all pairs of different days, so that up to 29 % of
 * the readings may be wild without moving it far; it goes through the middle day and the middle value.
 *
 * Sources: Theil 1950; Sen 1968 (JASA 63), where ties in the day are left out; the intercept after Conover 1980.
 *
 * @returns null where all readings are of one day, or there are fewer than two
 * @throws RangeError for what is no number
 */
export function theilSen(points: readonly Point[]): Line | null {
  for (const { day, value } of points) {
    checkNumber('a day', day, { least: -Number.MAX_SAFE_INTEGER });
    checkNumber('a reading', value, { least: -Number.MAX_SAFE_INTEGER });
  }
  const slopes = points.flatMap((later, at) =>
    points
      .slice(0, at)
      .filter(({ day }) => day !== later.day)
      .map((earlier) => (later.value - earlier.value) / (later.day - earlier.day)),
  );
  if (slopes.length === 0) return null;
  const slope = middleOf(slopes);
  return { slope, atZero: middleOf(points.map(({ value }) => value)) - slope * middleOf(points.map(({ day }) => day)) };
}
