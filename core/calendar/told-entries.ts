import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** Something that stands in a calendar: whole days, for nobody knows the hour. */
export type CalendarEntry = {
  /** By which calendar programs know it again. */
  readonly uid: string;
  readonly on: LocalDate;
  readonly until: LocalDate;
  readonly summary: string;
  readonly description: string;
  /** Is one reminded of it on its day? */
  readonly reminds: boolean;
};

/** An entry as it has been told: `sequence` counts its changes (RFC 5545, 3.8.7.4). */
export type ToldEntry = CalendarEntry & { readonly sequence: number; readonly state: 'standing' | 'cancelled' };

/** Days for which it is told that something was cancelled. */
const CANCELLED_FOR = 60;

const sameEntry = (one: CalendarEntry, other: CalendarEntry): boolean =>
  one.on === other.on &&
  one.until === other.until &&
  one.summary === other.summary &&
  one.description === other.description &&
  one.reminds === other.reminds;

/**
 * What is told of a calendar: each entry with the number of its changes, and what has gone as cancelled for a while. An
 * entry that comes back goes on counting.
 */
export function tellEntries(
  told: readonly ToldEntry[],
  entries: readonly CalendarEntry[],
  today: LocalDate,
): ToldEntry[] {
  const before = new Map(told.map((one) => [one.uid, one]));
  const standing = entries.map((entry): ToldEntry => {
    const old = before.get(entry.uid);
    if (old === undefined) return { ...entry, sequence: 0, state: 'standing' };
    const isSame = old.state === 'standing' && sameEntry(old, entry);
    return { ...entry, sequence: old.sequence + (isSame ? 0 : 1), state: 'standing' };
  });
  const uids = new Set(entries.map(({ uid }) => uid));
  const gone = told
    .filter(({ uid }) => !uids.has(uid))
    .flatMap((one): ToldEntry[] => {
      const over = daysBetween(one.until, today);
      if (one.state === 'cancelled') return over > CANCELLED_FOR ? [] : [one];
      // What is over has slid out of the calendar: nobody has cancelled it.
      return over > 0 ? [] : [{ ...one, sequence: one.sequence + 1, state: 'cancelled' }];
    });
  return [...standing, ...gone];
}
