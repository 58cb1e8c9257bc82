import ICAL from 'ical.js';
import type { IcsEvent } from '#core/ics/ics-event.ts';
import { given, momentOf, MS_PER_DAY, valuesOf, type Given, type Reader } from '#core/ics/ics-times.ts';
import { recurred } from '#core/ics/recur.ts';
import { addDays, dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { wallText } from '#core/time/wall-time.ts';

const MS_PER_MINUTE = 60_000;

/** A date of a calendar: a whole day or several, or a time of one day with its length. */
export type IcsDate = {
  /** Which of a series, by when it was to begin; null where it is not one of a series. */
  readonly instance: string | null;
  readonly on: LocalDate;
  readonly until: LocalDate;
  /** Null for whole days. */
  readonly minutes: number | null;
  readonly summary: string;
};
/** Everything under one name: one date, or a series. */
export type IcsSeries = { readonly uid: string; readonly summary: string; readonly dates: readonly IcsDate[] };
/** The name of one of a series: by when it was to begin. */
const instanceOf = (start: Given): string => {
  const text = wallText(momentOf(start));
  return start.isDay ? text.slice(0, 10) : `${text}Z`;
};

/** A date for the reader: the days of their own calendar on which it lies. */
function dateOf(one: IcsEvent, start: Given, instance: string | null, { local }: Reader): IcsDate {
  const dayOf = (ms: number): LocalDate => dateOfDay(Math.floor(ms / MS_PER_DAY));
  if (start.isDay) {
    const on = dayOf(start.wall);
    const days = Math.max(1, Math.round(one.length / MS_PER_DAY));
    return { instance, on, until: addDays(on, days - 1), minutes: null, summary: one.summary };
  }
  const begins = start.zone.toMs(start.wall);
  const on = dayOf(local.fromMs(begins));
  // What ends past midnight belongs to the evening it began on.
  const isLong = one.length > MS_PER_DAY;
  const until = isLong ? dayOf(local.fromMs(begins + one.length - 1)) : on;
  return { instance, on, until, minutes: isLong ? null : Math.round(one.length / MS_PER_MINUTE), summary: one.summary };
}

/** Times in properties that may come often and hold several each: dates left out, dates added. */
function timesIn({ component, block }: IcsEvent, name: string, reader: Reader): Given[] {
  return component.getAllProperties(name).flatMap((property) =>
    valuesOf(property).flatMap((value) => {
      const time = value instanceof ICAL.Period ? value.start : value;
      return time instanceof ICAL.Time ? [given(property, time, reader, block.line)] : [];
    }),
  );
}

/** The starts of a series: by its rules, with what is added and without what is left out. */
function startsOf(one: IcsEvent, reader: Reader): Given[] {
  const { start, rules, block, summary } = one;
  const { from, until } = reader.window;
  const starts = new Map<number, Given>();
  const add = (wall: number): void => {
    const at = { ...start, wall };
    starts.set(momentOf(at), at);
  };
  add(start.wall);
  for (const rule of rules) {
    // A day of room on both sides: the window is the reader's, the wall time the series'.
    const found = recurred({
      start: start.wall,
      rule,
      from: from - MS_PER_DAY,
      until: until + MS_PER_DAY,
      fromMs: start.zone.fromMs,
    });
    if (found.kind === 'dates') {
      found.walls.forEach(add);
      if (found.isCut) reader.note({ code: 'series-cut', line: block.line, about: summary });
    } else
      reader.note({
        code: found.kind === 'too-fine' ? 'series-too-fine' : 'series-not-understood',
        line: block.line,
        about: summary,
      });
  }
  for (const more of timesIn(one, 'rdate', reader)) starts.set(momentOf(more), more);
  for (const none of timesIn(one, 'exdate', reader)) {
    starts.delete(momentOf(none));
    // A day left out of a series of times: that day's.
    if (none.isDay && !start.isDay)
      for (const [moment, at] of starts)
        if (Math.floor(at.wall / MS_PER_DAY) * MS_PER_DAY === none.wall) starts.delete(moment);
  }
  return [...starts.values()];
}

/** The newest of those that say the same thing. */
const newest = (some: readonly IcsEvent[]): IcsEvent | undefined => some.toSorted((a, b) => b.sequence - a.sequence)[0];

/** What was moved or cancelled of a series, by when it was to begin. */
function movedOf(all: readonly IcsEvent[]): ReadonlyMap<number, IcsEvent> {
  const moved = new Map<number, IcsEvent>();
  for (const one of all) {
    if (one.recurrenceId === null) continue;
    const at = momentOf(one.recurrenceId);
    const known = moved.get(at);
    if (known === undefined || known.sequence <= one.sequence) moved.set(at, one);
  }
  return moved;
}

const isWithin = ({ on, until }: IcsDate, { window: { from, until: last } }: Reader): boolean =>
  dayNumber(until) * MS_PER_DAY >= from && dayNumber(on) * MS_PER_DAY <= last;

/** The dates of what stands in the file itself, without those that were moved. */
function plainDates(main: IcsEvent | undefined, moved: ReadonlyMap<number, IcsEvent>, reader: Reader): IcsDate[] {
  if (main === undefined || main.isCancelled) return [];
  const isSeries = moved.size > 0 || main.rules.length > 0 || main.component.getFirstProperty('rdate') !== null;
  return startsOf(main, reader)
    .filter((start) => !moved.has(momentOf(start)))
    .map((start) => dateOf(main, start, isSeries ? instanceOf(start) : null, reader));
}

/** The dates under one name: the series, with what was moved or cancelled of it; null where none is left. */
export function seriesOf(uid: string, all: readonly IcsEvent[], reader: Reader): IcsSeries | null {
  const main = newest(all.filter(({ recurrenceId }) => recurrenceId === null));
  const moved = movedOf(all);
  const others = main?.isCancelled === true ? [] : [...moved.values()].filter(({ isCancelled }) => !isCancelled);
  const dates = [
    ...plainDates(main, moved, reader),
    ...others.map((one) => dateOf(one, one.start, instanceOf(one.recurrenceId ?? one.start), reader)),
  ]
    .filter((date) => isWithin(date, reader))
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  const summary = main?.summary ?? others[0]?.summary ?? '';
  return dates.length === 0 ? null : { uid, summary, dates };
}
