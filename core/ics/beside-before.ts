import type { ImportedEvent } from '#core/calendar/imported-event.ts';
import type { IcsDate, IcsSeries } from '#core/ics/ics-series.ts';
import type { IcsCalendar } from '#core/ics/read-calendar.ts';
import { grouped } from '#core/kernel/grouped.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** By how many days a date may have been moved, the likeliest first; one that was moved further is another one. */
const MOVED = [0, 1, -1, 2, -2, 3, -3] as const;

/** What was taken of a calendar before, by the name of its entries. */
export type Before = ReadonlyMap<string, readonly ImportedEvent[]>;

export const byName = (before: readonly ImportedEvent[]): Before => grouped(before, ({ uid }) => uid);

/**
 * Which date taken in before each date of a series is: the one of its own name in the series; else the one of its day, for
 * a series whose hour was changed is the same series, and so is a single date that became one; else the nearest within
 * three days. Each is found once. O(dates of both).
 */
export function datesBefore({ uid, dates }: IcsSeries, before: Before): ReadonlyMap<IcsDate, ImportedEvent> {
  const left = new Set(before.get(uid) ?? []);
  const found = new Map<IcsDate, ImportedEvent>();
  const pair = (wanted: (date: IcsDate) => readonly ImportedEvent[]): void => {
    for (const date of dates) {
      const one = found.has(date) ? undefined : wanted(date).find((other) => left.has(other));
      if (one === undefined) continue;
      found.set(date, one);
      left.delete(one);
    }
  };
  const named = grouped([...left], ({ instance }) => instance);
  pair(({ instance }) => named.get(instance) ?? []);
  const onDays = grouped([...left], ({ on }) => on);
  for (const moved of MOVED) if (left.size > 0) pair(({ on }) => onDays.get(addDays(on, moved)) ?? []);
  return found;
}

/** A date taken in before that is not in the file any more, and whether its calendar says that it is cancelled. */
export type Vanished = ImportedEvent & { readonly isCancelled: boolean };

/**
 * What was taken from this calendar before, is still to come, and is not in the file any more. What a series that is
 * still there has no longer, its organiser has left out of it; of what the file does not name at all nothing is known.
 * A file that only cancels says nothing of what it does not name.
 */
export function vanishedFrom(
  { series, cancelled, isOnlyCancelling }: Pick<IcsCalendar, 'series' | 'cancelled' | 'isOnlyCancelling'>,
  before: readonly ImportedEvent[],
  today: LocalDate,
): Vanished[] {
  const known = byName(before);
  const there = new Set(series.flatMap((one) => [...datesBefore(one, known).values()]));
  const named = new Set(series.map(({ uid }) => uid));
  const isCancelled = ({ uid, instance, on }: ImportedEvent): boolean =>
    named.has(uid) ||
    cancelled.some((one) => one.uid === uid && (one.instance === null || one.instance === instance || one.on === on));
  return before
    .filter((one) => one.on >= today && !there.has(one))
    .map((one) => ({ ...one, isCancelled: isCancelled(one) }))
    .filter((one) => one.isCancelled || !isOnlyCancelling);
}

/**
 * The calendar a file is: the one of its name, else the one it has most names of entries in common with, where that is
 * at least half of what the smaller of the two has. Null where there is none.
 */
export function sameCalendar<Known extends { readonly calendar: string; readonly events: readonly ImportedEvent[] }>(
  name: string,
  uids: ReadonlySet<string>,
  known: readonly Known[],
): Known | null {
  const called = known.findLast(({ calendar }) => calendar === name);
  if (called !== undefined) return called;
  let [best, most]: [Known | null, number] = [null, 0];
  for (const one of known) {
    const its = new Set(one.events.map(({ uid }) => uid));
    const common = [...its].filter((uid) => uids.has(uid)).length;
    if (common > most && 2 * common >= Math.min(its.size, uids.size)) [best, most] = [one, common];
  }
  return best;
}
