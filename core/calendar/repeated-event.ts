import type { CalendarEvent, EventOrigin, EventRepeats } from '#core/calendar/event.ts';
import { isPlayed } from '#core/calendar/event.ts';
import type { Format } from '#core/explain/format.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** The calendar whose series a player has typed: it has no name, as no imported one. */
export const OWN_SERIES = '';

const DAYS_A_WEEK = 7;

/** The days of an event that comes again and again, the first among them; of any other its first day. */
export function datesOf({ on, repeats }: Pick<CalendarEvent, 'on' | 'repeats'>): LocalDate[] {
  if (repeats === null) return [on];
  const days: LocalDate[] = [];
  for (let day = on; day <= repeats.until; day = addDays(day, repeats.weeks * DAYS_A_WEEK)) days.push(day);
  return days;
}

/** Where one of a series comes from: what was said of it by itself stands, whatever is said of all of them. */
const originIn = (series: string, on: LocalDate): EventOrigin => ({
  calendar: OWN_SERIES,
  uid: series,
  instance: on,
  said: on,
  dropped: false,
});

/**
 * A typed series as the single events it is; what does not repeat as it is.
 *
 * @param keyOf a key for one of a series, the same whenever it is asked for
 */
export function apart(event: CalendarEvent, keyOf: (series: string, on: LocalDate) => string): CalendarEvent[] {
  if (event.repeats === null) return [event];
  return datesOf(event).map((on) => ({
    ...event,
    key: keyOf(event.key, on),
    on,
    repeats: null,
    origin: originIn(event.key, on),
  }));
}

/** "every 2 weeks" */
export const everyWords = (weeks: number): string => (weeks === 1 ? 'every week' : `every ${weeks} weeks`);
/** "every 2 weeks until 28 March 2027" */
export const repeatsWords = ({ weeks, until }: EventRepeats, format: Format): string =>
  `${everyWords(weeks)} until ${format.date(until)}`;

/** May this kind of event come again and again? What takes days is entered each time. */
export const mayRepeat = (what: CalendarEvent['what']): boolean => isPlayed(what);
