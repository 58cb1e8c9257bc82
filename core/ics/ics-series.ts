import type { IcsEvent } from '#core/ics/ics-event.ts';
import { momentOf, MS_PER_DAY, timesIn, type Given, type Reader } from '#core/ics/ics-times.ts';
import { daysLookedAt, recurred } from '#core/ics/recur.ts';
import { addDays, dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { wallText } from '#core/time/wall-time.ts';

const MS_PER_MINUTE = 60_000;

/** A date of a calendar: a whole day or several, or a time of one day with its length. */
export type IcsDate = {
  /** Which of a series, by when it was to begin; null where it is not one of a series. */
  readonly instance: string | null;
  readonly on: LocalDate;
  readonly until: LocalDate;
  /** The minute of the day at which it begins; null for whole days. */
  readonly atMinute: number | null;
  /** Null for whole days. */
  readonly minutes: number | null;
  readonly summary: string;
};
/** Everything under one name: one date, or a series. */
export type IcsSeries = { readonly uid: string; readonly summary: string; readonly dates: readonly IcsDate[] };
/** A date that somebody has cancelled: of a series by its name and day there; all under its name where there is none. */
export type IcsCancelled = { readonly uid: string; readonly instance: string | null; readonly on: LocalDate | null };
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
    return { instance, on, until: addDays(on, days - 1), atMinute: null, minutes: null, summary: one.summary };
  }
  const begins = start.zone.toMs(start.wall);
  const wall = local.fromMs(begins);
  const on = dayOf(wall);
  // What ends past midnight belongs to the evening it began on.
  const isLong = one.length > MS_PER_DAY;
  const until = isLong ? dayOf(local.fromMs(begins + one.length - 1)) : on;
  const atMinute = isLong ? null : Math.floor((wall - dayNumber(on) * MS_PER_DAY) / MS_PER_MINUTE);
  const minutes = isLong ? null : Math.round(one.length / MS_PER_MINUTE);
  return { instance, on, until, atMinute, minutes, summary: one.summary };
}

const NOTE_OF = {
  'too-fine': 'series-too-fine',
  'not-understood': 'series-not-understood',
  'too-far': 'series-too-far',
} as const;

/** The walls of a series by one rule within the window; null where that cannot be said, which is noted. */
function wallsOf(rule: string, { start, block, summary }: IcsEvent, reader: Reader): readonly number[] | null {
  const { window, budget, note } = reader;
  // A day of room on both sides: the window is the reader's, the wall time the series'.
  const [from, until] = [window.from - MS_PER_DAY, window.until + MS_PER_DAY];
  const found = recurred({ start: start.wall, rule, from, until, fromMs: start.zone.fromMs, budget });
  if (found.kind !== 'dates') {
    note({ code: NOTE_OF[found.kind], line: block.line, about: summary });
    return null;
  }
  if (found.isCut) note({ code: 'series-cut', line: block.line, about: summary });
  return found.walls;
}

/** The walls of all these rules; null as soon as one cannot be said. */
function allWalls(rules: readonly string[], one: IcsEvent, reader: Reader): ReadonlySet<number> | null {
  const all = new Set<number>();
  // The same rule said again adds nothing.
  for (const rule of new Set(rules)) {
    const walls = wallsOf(rule, one, reader);
    if (walls === null) return null;
    for (const wall of walls) all.add(wall);
  }
  return all;
}

/** Added dates or dates left out; one that is none is noted. */
const saidTimes = ({ component, block, summary }: IcsEvent, name: 'rdate' | 'exdate', reader: Reader): Given[] =>
  timesIn(component, name, reader, block.line).flatMap((time) => {
    if (time === null) reader.note({ code: 'date-of-series-not-there', line: block.line, about: summary });
    return time ?? [];
  });

/**
 * The starts of a series: by its rules, with what is added and without what is left out. A series one rule of which is
 * not understood has its first date alone: any other might be wrong.
 */
function startsOf(one: IcsEvent, reader: Reader): Given[] {
  const { start, rules, exceptRules } = one;
  const starts = new Map<number, Given>([[momentOf(start), start]]);
  const at = (wall: number): Given => ({ ...start, wall });
  const [named, excepted] = [allWalls(rules, one, reader), allWalls(exceptRules, one, reader)];
  if (named === null || excepted === null) return [start];
  for (const wall of named) starts.set(momentOf(at(wall)), at(wall));
  for (const more of saidTimes(one, 'rdate', reader)) starts.set(momentOf(more), more);
  for (const wall of excepted) starts.delete(momentOf(at(wall)));
  const days = new Set<number>();
  for (const excluded of saidTimes(one, 'exdate', reader)) {
    starts.delete(momentOf(excluded));
    // A day left out of a series of times: that day's.
    if (excluded.isDay && !start.isDay) days.add(excluded.wall);
  }
  return [...starts.values()].filter(({ wall }) => days.size === 0 || !days.has(dayOfWall(wall)));
}
const dayOfWall = (wall: number): number => Math.floor(wall / MS_PER_DAY) * MS_PER_DAY;

/** The newest of those that say the same thing. */
const newest = (some: readonly IcsEvent[]): IcsEvent | undefined => some.toSorted((a, b) => b.sequence - a.sequence)[0];

/**
 * What was moved or cancelled of a series, by when it was to begin. Named by its day in a series of times, it is that
 * day's; named by a time in a series of whole days, the day of that time.
 */
function movedOf(all: readonly IcsEvent[], starts: readonly Given[]): ReadonlyMap<number, IcsEvent> {
  const moved = new Map<number, IcsEvent>();
  const byDay = new Map(starts.map((start) => [dayOfWall(start.wall), momentOf(start)]));
  for (const one of all) {
    const named = one.recurrenceId;
    if (named === null) continue;
    const isOfAnotherSort = starts.some(({ isDay }) => isDay !== named.isDay);
    const at = (isOfAnotherSort ? byDay.get(dayOfWall(named.wall)) : undefined) ?? momentOf(named);
    const known = moved.get(at);
    if (known === undefined || known.sequence <= one.sequence) moved.set(at, one);
  }
  return moved;
}

const isWithin = ({ on, until }: IcsDate, { window: { from, until: last } }: Reader): boolean =>
  dayNumber(until) * MS_PER_DAY >= from && dayNumber(on) * MS_PER_DAY <= last;

/** The dates of what stands in the file itself, without those that were moved. */
function plainDates(
  main: IcsEvent,
  starts: readonly Given[],
  moved: ReadonlyMap<number, IcsEvent>,
  reader: Reader,
): IcsDate[] {
  const isSeries = moved.size > 0 || main.rules.length > 0 || main.component.getFirstProperty('rdate') !== null;
  return starts
    .filter((start) => !moved.has(momentOf(start)))
    .map((start) => dateOf(main, start, isSeries ? instanceOf(start) : null, reader));
}

const newestMain = (all: readonly IcsEvent[]): IcsEvent | undefined =>
  newest(all.filter(({ recurrenceId }) => recurrenceId === null));

/** The dates under one name that are said to be cancelled. */
export function cancelledOf(uid: string, all: readonly IcsEvent[], reader: Reader): IcsCancelled[] {
  if (newestMain(all)?.isCancelled === true) return [{ uid, instance: null, on: null }];
  return all.flatMap((one) => {
    if (!one.isCancelled || one.recurrenceId === null) return [];
    const instance = instanceOf(one.recurrenceId);
    return [{ uid, instance, on: dateOf(one, one.recurrenceId, instance, reader).on }];
  });
}

/** Entries that say other things under the same name and in the same version: one of them alone can stand. */
export function noteSeconds(all: readonly IcsEvent[], reader: Reader): void {
  const standing = newestMain(all);
  for (const one of all)
    if (one !== standing && one.recurrenceId === null && one.sequence === standing?.sequence)
      if (momentOf(one.start) !== momentOf(standing.start) || one.summary !== standing.summary)
        reader.note({ code: 'second-of-its-name', line: one.block.line, about: one.summary });
}

/** About how many days are looked at for a series: those that ask little are read first, and stand whatever the others do. */
export function effortOf(all: readonly IcsEvent[], { window: { from, until } }: Reader): number {
  const main = newestMain(all);
  if (main === undefined) return 0;
  return [...main.rules, ...main.exceptRules].reduce(
    (sum, rule) => sum + daysLookedAt({ start: main.start.wall, rule, from, until }),
    0,
  );
}

/** The dates of a series as it stands, and of those of it that were moved. */
function datesOf(main: IcsEvent | undefined, all: readonly IcsEvent[], reader: Reader): IcsDate[] {
  const starts = main === undefined ? [] : startsOf(main, reader);
  const moved = movedOf(all, starts);
  const others = [...moved.values()].filter(({ isCancelled }) => !isCancelled);
  return [
    ...(main === undefined ? [] : plainDates(main, starts, moved, reader)),
    ...others.map((one) => dateOf(one, one.start, instanceOf(one.recurrenceId ?? one.start), reader)),
  ]
    .filter((date) => isWithin(date, reader))
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

/** The dates under one name: the series, with what was moved or cancelled of it; null where none is left. */
export function seriesOf(uid: string, all: readonly IcsEvent[], reader: Reader): IcsSeries | null {
  const main = newestMain(all);
  if (main?.isCancelled === true) return null;
  const named = main ?? all.find(({ isCancelled }) => !isCancelled);
  const summary = named?.summary ?? '';
  // Once there are too many, those of the series that ask most are not even worked out.
  if (reader.budget.dates > 0) {
    const dates = datesOf(main, all, reader);
    if (dates.length === 0) return null;
    reader.budget.dates -= dates.length;
    if (reader.budget.dates >= 0) return { uid, summary, dates };
  }
  reader.note({ code: 'too-many-dates', line: named?.block.line ?? null, about: summary });
  return null;
}
