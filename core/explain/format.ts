import { minorDigits, type Money } from '#core/money/money.ts';
import { degreesShown, METRIC, temperatureUnit, type Units } from '#core/explain/units.ts';
import { dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';

/**
 * How numbers, days, temperatures and weights are written for one reader: handed to every function that makes words, so
 * that the core has no locale of its own. Values come in SI units and °C; the unit they are shown in is the reader's.
 */
export type Format = {
  /** In which order a day is written in figures. */
  readonly dayOrder: DayOrder;
  /** "24 November 2026". */
  readonly date: (date: LocalDate) => string;
  /** "24 Nov". */
  readonly shortDate: (date: LocalDate) => string;
  /** "Tue, 24 Nov". */
  readonly weekdayDate: (date: LocalDate) => string;
  /** "Nov". */
  readonly month: (date: LocalDate) => string;
  /** At most one decimal, no trailing zero: 0.6, 3, 12. */
  readonly number: (value: number) => string;
  readonly units: Units;
  /** A room: "20 °C", "68 °F". */
  readonly celsius: (value: number) => string;
  /** "Monday", by its number, Monday 0. */
  readonly weekday: (weekday: number) => string;
  /** Water: "3 g", "0.4 g", "0.03 g". */
  readonly grams: (value: number) => string;
  /** "€28.90". */
  readonly money: (money: Money) => string;
};

export const DAY_ORDERS = ['year-month-day', 'day-month-year', 'month-day-year'] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];

/** In which order a language writes a day in figures; where it is another than those known, the day first. */
function dayOrderOf(locale: string | undefined): DayOrder {
  const parts = new Intl.DateTimeFormat(locale, {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    calendar: 'gregory',
  })
    .formatToParts(0)
    .flatMap(({ type }) => (type === 'year' || type === 'month' || type === 'day' ? [type] : []))
    .join('-');
  return DAY_ORDERS.find((order) => order === parts) ?? 'day-month-year';
}

const UTC = { timeZone: 'UTC' } as const;
const MS_PER_DAY = 86_400_000;
/** 5 January 1970, in days since the first. */
const A_MONDAY = 4;
const FALLBACK = 'en-GB';
/** Less water than this needs a second decimal to be more than nothing, g. */
const LITTLE_GRAMS = 0.1;

/** The format of a language (BCP 47) and of units; without a language that of the machine. A language nobody knows is written as English. */
export function createFormat(language?: string, units: Units = METRIC): Format {
  const known = (): string | undefined => {
    try {
      return language === undefined ? undefined : Intl.getCanonicalLocales(language)[0];
    } catch {
      return FALLBACK;
    }
  };
  const locale = known();
  const days = (options: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat(locale, { ...UTC, ...options });
    return (date: LocalDate): string => format.format(dayNumber(date) * MS_PER_DAY);
  };
  const numbers = (maximumFractionDigits: number) => {
    const format = new Intl.NumberFormat(locale, { maximumFractionDigits, signDisplay: 'negative' });
    return (value: number): string => format.format(value);
  };
  const weekdays = days({ weekday: 'long' });
  const [coarse, fine] = [numbers(1), numbers(2)];
  return {
    dayOrder: dayOrderOf(locale),
    date: days({ day: 'numeric', month: 'long', year: 'numeric' }),
    shortDate: days({ day: 'numeric', month: 'short' }),
    weekdayDate: days({ weekday: 'short', day: 'numeric', month: 'short' }),
    month: days({ month: 'short' }),
    number: coarse,
    units,
    celsius: (value) => `${coarse(degreesShown(value, units))} ${temperatureUnit(units)}`,
    weekday: (weekday) => weekdays(dateOfDay(A_MONDAY + weekday)),
    money: ({ minor, currency }) => {
      const digits = minorDigits(currency);
      const written = { minimumFractionDigits: digits, maximumFractionDigits: digits };
      const format = new Intl.NumberFormat(locale, { style: 'currency', currency, ...written });
      return format.format(minor / 10 ** digits);
    },
    grams: (value) => `${Math.abs(value) < LITTLE_GRAMS ? fine(value) : coarse(value)} g`,
  };
}

/** As the program writes for nobody in particular: days as they are stored. */
export const PLAIN_FORMAT: Format = { ...createFormat(FALLBACK), date: (date) => date };

/** "1 day", "12 days", "4 passes"; the noun is given in the singular. */
export const counted = (count: number, noun: string): string =>
  count === 1 ? `${count} ${noun}` : `${count} ${noun}${/(s|x)$/.test(noun) ? 'es' : 's'}`;

/** "45 min", "1 h", "2 h 20 min". */
export function duration(minutes: number): string {
  const rounded = Math.round(minutes);
  if (rounded < 60) return `${rounded} min`;
  const hours = Math.floor(rounded / 60);
  const rest = rounded % 60;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** What is known to the minute at best: "under 1 min", "about 7 min". */
export const aboutDuration = (minutes: number): string =>
  minutes < 0.75 ? 'under 1 min' : `about ${duration(Math.max(1, minutes))}`;

/** A stretch nobody knows to the minute: 0.4 min, 25 min, 2 h 30 min, 41 h. */
export function roughly(minutes: number): string {
  if (minutes < 10) return `${minutes.toFixed(1)} min`;
  if (minutes < 60) return duration(minutes);
  return minutes < 600 ? duration(Math.round(minutes / 10) * 10) : `${Math.round(minutes / 60)} h`;
}

/** As a sentence begins. */
export const asSentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** "cork grease, a cloth and paper". */
export function listed(words: readonly string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
