import type { Branded } from '#core/kernel/brand.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** A moment in time, ISO 8601 in UTC with milliseconds (`2026-11-24T19:05:00.000Z`). Sorts as text. */
export type Instant = Branded<string, 'Instant'>;

/** Accepts only the exact form the program writes; anything else is `undefined`. */
export function parseInstant(text: string): Instant | undefined {
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/.test(text)) return undefined;
  const ms = Date.parse(text);
  return !Number.isNaN(ms) && new Date(ms).toISOString() === text ? (text as Instant) : undefined;
}

/** For what the program itself has stored. Throws on what is no instant. */
export function instant(text: string): Instant {
  const parsed = parseInstant(text);
  if (parsed === undefined) throw new Error(`not an instant: ${text}`);
  return parsed;
}

/** Throws on a number that is no moment. */
export const instantOfMs = (ms: number): Instant => new Date(ms).toISOString() as Instant;

/** Milliseconds since 1970-01-01T00:00Z. */
export const msOfInstant = (instant: Instant): number => Date.parse(instant);

/**
 * The calendar day and minute of the day on which `instant` falls for someone in `timeZone` (IANA name).
 * The only function in core that reads a time zone.
 */
export function localMomentOf(instant: Instant, timeZone: string): { on: LocalDate; atMinute: number } {
  const parts = new Intl.DateTimeFormat('en', {
    timeZone,
    calendar: 'iso8601',
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  }).formatToParts(new Date(instant));
  const get = (type: string) => parts.find((part) => part.type === type)?.value ?? '';
  return {
    on: `${get('year')}-${get('month')}-${get('day')}` as LocalDate,
    atMinute: Number(get('hour')) * 60 + Number(get('minute')),
  };
}
