import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { readEvent, type IcsEvent } from '#core/ics/ics-event.ts';
import { effortOf, seriesOf, type IcsSeries } from '#core/ics/ics-series.ts';
import { readerOf, type ReadingIcs } from '#core/ics/ics-times.ts';
import { LARGEST_ICS } from '#core/ics/ics-limits.ts';
import { readLines, type IcsNote } from '#core/ics/read-lines.ts';

export type IcsCalendar = {
  /** What the calendar calls itself; null where it does not. */
  readonly name: string | null;
  readonly series: readonly IcsSeries[];
  readonly notes: readonly IcsNote[];
};

export type IcsRefusal = { readonly code: 'ics-too-large' | 'ics-no-calendar' };

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
  const parsed = file.events.flatMap((block) => readEvent(block, reader) ?? []);
  const byUid = new Map<string, IcsEvent[]>();
  for (const one of parsed) {
    const same = byUid.get(one.uid);
    if (same) same.push(one);
    else byUid.set(one.uid, [one]);
  }
  const isCancelled = file.properties.get('METHOD')?.toUpperCase() === 'CANCEL';
  const byEffort = [...byUid]
    .map(([uid, all]) => ({ uid, all, effort: effortOf(all, reader) }))
    .sort((a, b) => a.effort - b.effort);
  const series = isCancelled ? [] : byEffort.flatMap(({ uid, all }) => seriesOf(uid, all, reader) ?? []);
  const name = file.properties.get('X-WR-CALNAME') ?? file.properties.get('NAME') ?? null;
  return succeed({
    name: name === null || name.trim() === '' ? null : name.trim(),
    series: series.sort((a, b) => ((a.dates[0]?.on ?? '') < (b.dates[0]?.on ?? '') ? -1 : 1)),
    notes: notes.sort((a, b) => (a.line ?? 0) - (b.line ?? 0)),
  });
}
