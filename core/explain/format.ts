import type { LocalDate } from '#core/time/local-date.ts';

/** How words functions print what depends on the reader: handed in, so that core needs no locale of its own. */
export type Format = { readonly date: (date: LocalDate) => string };

/** "1 day", "12 days", "4 passes"; the noun is given in the singular. */
export const counted = (count: number, noun: string): string =>
  count === 1 ? `${count} ${noun}` : `${count} ${noun}${noun.endsWith('s') ? 'es' : 's'}`;

/** "45 min", "1 h", "2 h 20 min". */
export function duration(minutes: number): string {
  const rounded = Math.round(minutes);
  if (rounded < 60) return `${rounded} min`;
  const hours = Math.floor(rounded / 60);
  const rest = rounded % 60;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** A stretch nobody knows to the minute: 0.4 min, 25 min, 2 h 30 min, 41 h. */
export function roughly(minutes: number): string {
  if (minutes < 10) return `${minutes.toFixed(1)} min`;
  if (minutes < 60) return duration(minutes);
  return minutes < 600 ? duration(Math.round(minutes / 10) * 10) : `${Math.round(minutes / 60)} h`;
}

/** At most one decimal, no trailing zero: 0.6, 3, 12. */
export const figure = (value: number): string => String(Math.round(value * 10) / 10);

/** "cork grease, a cloth and paper". */
export function listed(words: readonly string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
