import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** Something that stands in a calendar: whole days, or a time of one day where its hour is known. */
export type CalendarEntry = {
  /** By which calendar programs know it again. */
  readonly uid: string;
  readonly on: LocalDate;
  readonly until: LocalDate;
  /** When it begins and how long it is, by the clock of whoever reads it; null for whole days. */
  readonly hour: { readonly atMinute: number; readonly minutes: number } | null;
  readonly summary: string;
  readonly description: string;
  /** Is one reminded of it on its day? */
  readonly reminds: boolean;
  /** It came in from another calendar: it does not go out again unless that is wanted. */
  readonly isImported: boolean;
};

/** An entry as it has been told: `sequence` counts its changes (RFC 5545, 3.8.7.4), the last of which was at `changedMs`. */
export type ToldEntry = CalendarEntry & {
  readonly sequence: number;
  readonly state: 'standing' | 'cancelled';
  readonly changedMs: number;
};

/** Days for which it is told that something was cancelled. */
const CANCELLED_FOR = 60;

const sameEntry = (one: CalendarEntry, other: CalendarEntry): boolean =>
  one.on === other.on &&
  one.until === other.until &&
  one.summary === other.summary &&
  one.description === other.description &&
  one.hour?.atMinute === other.hour?.atMinute &&
  one.hour?.minutes === other.hour?.minutes &&
  one.reminds === other.reminds;

/**
 * What is told of a calendar: each entry with the number of its changes, and what has gone as cancelled for a while. An
 * entry that comes back goes on counting.
 *
 * @param nowMs when it is told
 */
export function tellEntries(
  told: readonly ToldEntry[],
  entries: readonly CalendarEntry[],
  { today, nowMs }: { readonly today: LocalDate; readonly nowMs: number },
): ToldEntry[] {
  // Of what was told before it was written down when it changed, that is now.
  const known = told.map((one) => (one.changedMs > 0 ? one : { ...one, changedMs: nowMs }));
  const before = new Map(known.map((one) => [one.uid, one]));
  const standing = entries.map((entry): ToldEntry => {
    const old = before.get(entry.uid);
    if (old === undefined) return { ...entry, sequence: 0, state: 'standing', changedMs: nowMs };
    const isSame = old.state === 'standing' && sameEntry(old, entry);
    if (isSame) return { ...entry, sequence: old.sequence, state: 'standing', changedMs: old.changedMs };
    return { ...entry, sequence: old.sequence + 1, state: 'standing', changedMs: nowMs };
  });
  const uids = new Set(entries.map(({ uid }) => uid));
  const gone = known
    .filter(({ uid }) => !uids.has(uid))
    .flatMap((one): ToldEntry[] => {
      const over = daysBetween(one.until, today);
      if (one.state === 'cancelled') return over > CANCELLED_FOR ? [] : [one];
      // What is over has slid out of the calendar: nobody has cancelled it.
      return over > 0 ? [] : [{ ...one, sequence: one.sequence + 1, state: 'cancelled', changedMs: nowMs }];
    });
  return [...standing, ...gone];
}
