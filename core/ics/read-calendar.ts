import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { isFarOff, readEvent, startsAbout, type IcsEvent } from '#core/ics/ics-event.ts';
import {
  cancelledOf,
  effortOf,
  noteSeconds,
  seriesOf,
  type IcsCancelled,
  type IcsSeries,
} from '#core/ics/ics-series.ts';
import { momentOf, readerOf, type Reader, type ReadingIcs } from '#core/ics/ics-times.ts';
import { grouped } from '#core/kernel/grouped.ts';
import { LARGEST_ICS } from '#core/ics/ics-limits.ts';
import { readLines, type IcsFile, type IcsNote } from '#core/ics/read-lines.ts';

export type IcsCalendar = {
  /** What the calendar calls itself; null where it does not. */
  readonly name: string | null;
  readonly series: readonly IcsSeries[];
  /** What is said to be cancelled. */
  readonly cancelled: readonly IcsCancelled[];
  /** The file only says what is cancelled (METHOD:CANCEL): of everything else it says nothing. */
  readonly isOnlyCancelling: boolean;
  /** Why there is nothing in it to take in; null where there is something. */
  readonly empty: 'nothing' | 'tasks' | 'not-understood' | 'cancelled' | 'over' | 'later' | 'outside' | null;
  readonly notes: readonly IcsNote[];
};

/** More entries that may be of use have no calendar of somebody who plays. */
const MOST_ENTRIES = 20_000;

export type IcsRefusal = { readonly code: 'ics-too-large' | 'ics-no-calendar' };

/** What a calendar calls itself; null where it does not. */
function nameIn({ properties }: IcsFile): string | null {
  const name = (properties.get('X-WR-CALNAME') ?? properties.get('NAME') ?? '').trim();
  return name === '' ? null : name;
}

/** Where everything lies that a file has, as far as it begins: before the days that are read, after them, or else. */
function whereAll(starts: readonly number[], { window: { from, until } }: Reader): 'over' | 'later' | 'outside' {
  if (starts.every((ms) => ms < from)) return 'over';
  return starts.every((ms) => ms > until) ? 'later' : 'outside';
}

type Emptiness = { readonly file: IcsFile; readonly parsed: readonly IcsEvent[]; readonly isCancelled: boolean };
/** Why a file has nothing to take in: what is there, and where it lies. */
function whyEmpty({ file, parsed, isCancelled }: Emptiness, reader: Reader): IcsCalendar['empty'] {
  const { events, tasks } = file;
  if (events.length === 0) return tasks > 0 ? 'tasks' : 'nothing';
  const farOff = events.filter((block) => isFarOff(block, reader)).map((block) => startsAbout(block) ?? 0);
  if (parsed.length === 0 && farOff.length === 0) return 'not-understood';
  if (isCancelled) return 'cancelled';
  return whereAll([...parsed.map(({ start }) => momentOf(start)), ...farOff], reader);
}

/**
 * Reads an iCalendar file (RFC 5545): single dates and series with their exceptions, in the reader's own days, from two
 * weeks back to eighteen months ahead. What is not understood is left out and noted; the rest stands.
 */
export function readCalendar(reading: ReadingIcs): Outcome<IcsCalendar, IcsRefusal> {
  if (reading.text.length > LARGEST_ICS) return fail({ code: 'ics-too-large' });
  const file = readLines(reading.text);
  if (!file.isCalendar) return fail({ code: 'ics-no-calendar' });
  const notes = [...file.notes];
  const reader = readerOf(file, reading, (note) => void notes.push(note));
  const near = file.events.filter((block) => !isFarOff(block, reader));
  if (near.length > MOST_ENTRIES)
    notes.push({ code: 'too-many-entries', line: null, about: String(near.length - MOST_ENTRIES) });
  const parsed = near.slice(0, MOST_ENTRIES).flatMap((block) => readEvent(block, reader) ?? []);
  const byUid = grouped(parsed, ({ uid }) => uid);
  const isOnlyCancelling = file.properties.get('METHOD')?.trim().toUpperCase() === 'CANCEL';
  const cancelled = [...byUid].flatMap(([uid, all]) =>
    cancelledOf(uid, isOnlyCancelling ? all.map((one) => ({ ...one, isCancelled: true })) : all, reader),
  );
  const byEffort = [...byUid]
    .map(([uid, all]) => ({ uid, all, effort: effortOf(all, reader) }))
    .sort((a, b) => a.effort - b.effort);
  for (const { all } of byEffort) noteSeconds(all, reader);
  const series = isOnlyCancelling ? [] : byEffort.flatMap(({ uid, all }) => seriesOf(uid, all, reader) ?? []);
  return succeed({
    name: nameIn(file),
    series: series.sort((a, b) => ((a.dates[0]?.on ?? '') < (b.dates[0]?.on ?? '') ? -1 : 1)),
    cancelled,
    isOnlyCancelling,
    empty: series.length > 0 ? null : whyEmpty({ file, parsed, isCancelled: cancelled.length > 0 }, reader),
    notes: notes.sort((a, b) => (a.line ?? 0) - (b.line ?? 0)),
  });
}
