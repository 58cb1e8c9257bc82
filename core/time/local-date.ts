import type { Branded } from '#core/kernel/brand.ts';

/** A calendar day `YYYY-MM-DD` as the player's wall calendar shows it. Sorts as text. */
export type LocalDate = Branded<string, 'LocalDate'>;

const MS_PER_UTC_DAY = 86_400_000;
const asUtcDay = (utcMs: number): string => new Date(utcMs).toISOString().slice(0, 10);

/** Accepts only real calendar days between 1900 and 2999: `2026-02-31` is `undefined`, not 3 March. */
export function parseLocalDate(text: string): LocalDate | undefined {
  if (!/^(19|2\d)\d{2}-\d{2}-\d{2}$/.test(text)) return undefined;
  const utcMs = Date.parse(`${text}T00:00:00Z`);
  return !Number.isNaN(utcMs) && asUtcDay(utcMs) === text ? (text as LocalDate) : undefined;
}

/** For literals in tables, tests and the demo. Throws on what is no calendar day. */
export function localDate(text: string): LocalDate {
  const date = parseLocalDate(text);
  if (date === undefined) throw new Error(`not a calendar day: ${text}`);
  return date;
}

/** Days are asked for again and again while clocks are computed; a day always has the same name. */
const namesOfDays = new Map<number, LocalDate>();
const numbersOfDays = new Map<LocalDate, number>();
const NAMES_KEPT = 20_000;

/** Whole days since 1970-01-01; days are counted between UTC midnights, where every day has 24 hours. */
export function dayNumber(date: LocalDate): number {
  const known = numbersOfDays.get(date);
  if (known !== undefined) return known;
  if (numbersOfDays.size >= NAMES_KEPT) numbersOfDays.clear();
  const [year, month, day] = [date.slice(0, 4), date.slice(5, 7), date.slice(8, 10)].map(Number);
  const number = Date.UTC(year ?? NaN, (month ?? NaN) - 1, day) / MS_PER_UTC_DAY;
  numbersOfDays.set(date, number);
  return number;
}

/** Days of four figures: 1 January 1 to 31 December 9999. Others would not sort as text. */
const [FIRST_DAY, LAST_DAY] = [-719_162, 2_932_896];

/** The inverse of {@link dayNumber}. @throws RangeError for what is no day of four figures */
export function dateOfDay(day: number): LocalDate {
  const known = namesOfDays.get(day);
  if (known !== undefined) return known;
  if (!(day >= FIRST_DAY && day < LAST_DAY + 1)) throw new RangeError(`${day} is no day of the calendar`);
  if (namesOfDays.size >= NAMES_KEPT) namesOfDays.clear();
  const date = asUtcDay(day * MS_PER_UTC_DAY) as LocalDate;
  namesOfDays.set(day, date);
  return date;
}

/** Calendar days from `from` to `to`; negative when `to` lies earlier. */
export const daysBetween = (from: LocalDate, to: LocalDate): number => dayNumber(to) - dayNumber(from);

export const addDays = (date: LocalDate, days: number): LocalDate => dateOfDay(dayNumber(date) + days);

/**
 * The same day so many calendar months later; where that month has no such day, its last. 31 January + 1 month is the
 * last of February (iCalendar and ISO 8601 leave the choice open; this is the usual one of date libraries).
 */
export function addMonths(date: LocalDate, months: number): LocalDate {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  const lastOfMonth = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return dateOfDay(Date.UTC(year, month - 1 + months, Math.min(day, lastOfMonth)) / MS_PER_UTC_DAY);
}

/** 0 = Monday … 6 = Sunday, of a day number. 1970-01-01 was a Thursday. */
export const weekdayOfDay = (day: number): number => (((day + 3) % 7) + 7) % 7;
