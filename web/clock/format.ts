import type { LocalDate } from '#core/time/local-date.ts';

const utc = { timeZone: 'UTC' } as const;
const short = new Intl.DateTimeFormat(undefined, { ...utc, day: 'numeric', month: 'short' });
const weekday = new Intl.DateTimeFormat(undefined, { ...utc, weekday: 'short', day: 'numeric', month: 'short' });
const full = new Intl.DateTimeFormat(undefined, { ...utc, day: 'numeric', month: 'long', year: 'numeric' });

const at = (date: LocalDate | string): number => Date.parse(`${date}T00:00:00Z`);

/** "24 Nov", in the reader's locale. */
export const shortDate = (date: string): string => short.format(at(date));
/** "Tue, 24 Nov". */
export const weekdayDate = (date: string): string => weekday.format(at(date));
/** "24 November 2026". */
export const fullDate = (date: string): string => full.format(at(date));
