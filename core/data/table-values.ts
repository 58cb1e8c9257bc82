import { DAY_ORDERS, type DayOrder } from '#core/explain/format.ts';
import { parseLocalDate, type LocalDate } from '#core/time/local-date.ts';

const PARTS = /^(\d{1,4})\s*[./\-\s]\s*(\d{1,2})\s*[./\-\s]\s*(\d{1,4})\.?$/;
/** What follows a day in a cell that says its hour as well. */
const HOUR_BEHIND = /(?:T|\s+)\d{1,2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|\s*[ap]m)?$/i;
/** Two digits of a year: up to fifty they are of this century. */
const [PIVOT, THIS_CENTURY, LAST_CENTURY] = [50, 2000, 1900];

const partsOf = (cell: string): [string, string, string] | undefined => {
  const [, one, two, three] = PARTS.exec(cell.trim().replace(HOUR_BEHIND, '')) ?? [];
  return one === undefined || two === undefined || three === undefined ? undefined : [one, two, three];
};

function yearOf(text: string): number {
  const year = Number(text);
  if (text.length > 2) return year;
  return year + (year <= PIVOT ? THIS_CENTURY : LAST_CENTURY);
}

const PLACES: Readonly<Record<DayOrder, readonly [year: 0 | 2, month: 0 | 1, day: 0 | 1 | 2]>> = {
  'year-month-day': [0, 1, 2],
  'day-month-year': [2, 1, 0],
  'month-day-year': [2, 0, 1],
};
const two = (number: number): string => String(number).padStart(2, '0');

/** The day a cell says, written in an order; undefined where there is no such day (29 February 2027). */
export function dayIn(cell: string, order: DayOrder): LocalDate | undefined {
  const parts = partsOf(cell);
  if (parts === undefined) return undefined;
  // A year of four digits is a year wherever it stands.
  const stands: DayOrder = parts[0].length === 4 ? 'year-month-day' : order;
  if (stands === 'year-month-day' && parts[0].length !== 4) return undefined;
  const [year, month, day] = PLACES[stands];
  return parseLocalDate(
    `${String(yearOf(parts[year])).padStart(4, '0')}-${two(Number(parts[month]))}-${two(Number(parts[day]))}`,
  );
}

/**
 * The order in which all cells of a column are days.
 *
 * @param usual the one meant where both would do
 * @returns null where no order makes days of most of them
 */
export function dateOrderOf(cells: readonly string[], usual: DayOrder): DayOrder | null {
  const said = cells.filter((cell) => cell.trim() !== '');
  if (said.length === 0) return null;
  const count = (order: DayOrder) => said.filter((cell) => dayIn(cell, order) !== undefined).length;
  const orders = [usual, ...DAY_ORDERS.filter((order) => order !== usual)];
  const best = orders.reduce((one, other) => (count(other) > count(one) ? other : one));
  return 2 * count(best) > said.length ? best : null;
}

/** "1.234,5", "1,234.5", "1 234": the last of the signs that stands once parts the decimals. */
export function numberIn(cell: string): number | undefined {
  const text = cell.trim().replace(/[\s\u00a0\u202f']/g, '');
  if (!/^[-+]?\d[\d.,]*$/.test(text)) return undefined;
  const last = Math.max(text.lastIndexOf(','), text.lastIndexOf('.'));
  const sign = text.charAt(last);
  const isDecimal = last >= 0 && text.indexOf(sign) === last && (text.length - last - 1 !== 3 || /^[-+]?0/.test(text));
  const whole = isDecimal ? text.slice(0, last) : text;
  const value = Number(whole.replace(/[.,]/g, '') + (isDecimal ? `.${text.slice(last + 1)}` : ''));
  return Number.isFinite(value) ? value : undefined;
}

const MINUTES_AN_HOUR = 60;
const CLOCK = /^(\d{1,2}):(\d{2})(?::\d{2})?$/;
const IN_WORDS =
  /^(?:(\d+(?:[.,]\d+)?)\s*(?:h|hrs?|hours?|std\.?|stunden?))?\s*(?:(\d+(?:[.,]\d+)?)\s*(?:m|min|mins|minutes?|minuten)\.?)?$/i;

const fromClock = (hours: string, minutes: string): number | undefined =>
  Number(minutes) < MINUTES_AN_HOUR ? Number(hours) * MINUTES_AN_HOUR + Number(minutes) : undefined;

function fromWords(text: string): number | undefined {
  const [, hours, minutes] = IN_WORDS.exec(text.replace(/(\d)\s*$/, '$1 min')) ?? [];
  if (hours === undefined && minutes === undefined) return undefined;
  return (numberIn(hours ?? '0') ?? 0) * MINUTES_AN_HOUR + (numberIn(minutes ?? '0') ?? 0);
}

/** Minutes a cell says: "45", "45,5", "1:15", "1 h 15 min", "0,75 h"; rounded. Undefined where it says none. */
export function minutesIn(cell: string): number | undefined {
  const text = cell.trim();
  const [, hours, minutes] = CLOCK.exec(text) ?? [];
  const said =
    hours !== undefined && minutes !== undefined ? fromClock(hours, minutes) : (numberIn(text) ?? fromWords(text));
  return said !== undefined && said > 0 ? Math.max(1, Math.round(said)) : undefined;
}

const HOURS_A_HALF_DAY = 12;
const OF_DAY = /^(\d{1,2})[:.h](\d{2})(?::\d{2})?\s*(am|pm|uhr)?$/i;

/** The minute of the day a cell says: "19:30", "19.30", "7:30 pm". Undefined where there is none. */
export function minuteOfDayIn(cell: string): number | undefined {
  const [, hours, minutes, half = ''] = OF_DAY.exec(cell.trim()) ?? [];
  if (hours === undefined) return undefined;
  const [hour, minute] = [Number(hours), Number(minutes)];
  const halves = /^[ap]m$/i.test(half);
  if (minute >= MINUTES_AN_HOUR || hour > (halves ? HOURS_A_HALF_DAY : 23)) return undefined;
  const ofDay = halves ? (hour % HOURS_A_HALF_DAY) + (half.toLowerCase() === 'pm' ? HOURS_A_HALF_DAY : 0) : hour;
  return ofDay * MINUTES_AN_HOUR + minute;
}
