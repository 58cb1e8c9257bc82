/** What a clock on the wall shows, as the milliseconds it would be in UTC: exact whatever the clocks of a zone do. */
export type WallParts = {
  readonly year: number;
  /** 1 to 12. */
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
  readonly second: number;
};

/** @returns NaN where a part is none */
export const wallOfParts = ({ year, month, day, hour, minute, second }: WallParts): number =>
  Date.UTC(year, month - 1, day, hour, minute, second);

/** A leap year has 29 February: every fourth, but of the full hundreds only every fourth (ISO 8601, 4.2.1). */
const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

/** @param month 1 to 12 @returns 0 where there is no such month */
export const daysInMonth = (year: number, month: number): number =>
  month === 2 && isLeap(year) ? 29 : (DAYS[month - 1] ?? 0);
export const daysInYear = (year: number): number => (isLeap(year) ? 366 : 365);
/** 1 = 1 January. */
export function dayOfYear(year: number, month: number, day: number): number {
  let before = 0;
  for (let one = 1; one < month; one++) before += daysInMonth(year, one);
  return before + day;
}

/** Years outside are no player's, and not written as a calendar day either. */
const [FIRST_YEAR, LAST_YEAR] = [1900, 9999];

/**
 * A wall time from its digits, `20261127183000`; null where there is none: 31 November, 25 o'clock. The 60th second, which
 * clocks have once in years, is the 59th.
 */
export function realWall(digits: string): number | null {
  if (!/^\d{14}$/.test(digits)) return null;
  const at = (from: number, length = 2): number => Number(digits.slice(from, from + length));
  const [year, month, day] = [at(0, 4), at(4), at(6)];
  const [hour, minute, second] = [at(8), at(10), at(12)];
  const isDay = year >= FIRST_YEAR && year <= LAST_YEAR && day >= 1 && day <= daysInMonth(year, month);
  if (!isDay || hour > 23 || minute > 59 || second > 60) return null;
  return wallOfParts({ year, month, day, hour, minute, second: Math.min(second, 59) });
}

export function partsOfWall(wall: number): WallParts {
  const at = new Date(wall);
  return {
    year: at.getUTCFullYear(),
    month: at.getUTCMonth() + 1,
    day: at.getUTCDate(),
    hour: at.getUTCHours(),
    minute: at.getUTCMinutes(),
    second: at.getUTCSeconds(),
  };
}

/** `2026-11-27T18:30:00` */
export const wallText = (wall: number): string => new Date(wall).toISOString().slice(0, 19);
