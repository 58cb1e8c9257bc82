import ICAL from 'ical.js';
import { MS_PER_DAY, momentOf, timeIn, valuesOf, type Given, type Reader } from '#core/ics/ics-times.ts';
import type { IcsBlock, IcsNote } from '#core/ics/read-lines.ts';
import { realWall } from '#core/time/wall-time.ts';

/** One event of the file. */
export type IcsEvent = {
  readonly block: IcsBlock;
  readonly uid: string;
  readonly summary: string;
  readonly sequence: number;
  readonly isCancelled: boolean;
  readonly start: Given;
  /** Length, ms; for whole days a multiple of a day. */
  readonly length: number;
  readonly recurrenceId: Given | null;
  /** The rules of a series as they stand, and those of what is left out of it. */
  readonly rules: readonly string[];
  readonly exceptRules: readonly string[];
  readonly component: ICAL.Component;
};

function lengthOf(component: ICAL.Component, start: Given, reader: Reader, line: number): number | null {
  const end = timeIn(component, 'dtend', reader, line);
  if (end === null) return null;
  // A day that ends a time, or a time that ends a day: both as clocks show them.
  if (end !== undefined) return end.isDay === start.isDay ? momentOf(end) - momentOf(start) : end.wall - start.wall;
  const [duration] = component.getAllProperties('duration').flatMap(valuesOf);
  if (duration instanceof ICAL.Duration) return duration.toSeconds() * 1000;
  return start.isDay ? MS_PER_DAY : 0;
}

const textIn = (component: ICAL.Component, name: string): string => {
  const [value] = component.getAllProperties(name).flatMap(valuesOf);
  return typeof value === 'string' ? value.trim() : typeof value === 'number' ? String(value) : '';
};

/** A day that does not say it is one: many programs write it so. */
const DAYS_ONLY = /^(DTSTART|DTEND|RECURRENCE-ID|EXDATE|RDATE)((?:;[^:]*)?):((?:\d{8})(?:,\d{8})*)\s*$/i;
const withItsKind = (line: string): string => {
  const [, name, parameters = '', days] = DAYS_ONLY.exec(line) ?? [];
  if (name === undefined || days === undefined || /;VALUE=/i.test(parameters)) return line;
  return `${name};VALUE=DATE:${days}`;
};

const RULE = /^(RRULE|EXRULE)(?:;[^:]*)?:(.*)$/is;

/** What stands after the name of each rule of one sort. */
const rulesOf = ({ lines }: IcsBlock, sort: 'RRULE' | 'EXRULE'): string[] =>
  lines.flatMap(({ text }) => {
    const [, name, rule = ''] = RULE.exec(text) ?? [];
    return name?.toUpperCase() === sort ? [rule.trim()] : [];
  });

/** Nothing that lasts longer is a date of somebody who plays. */
const LONGEST = 366 * MS_PER_DAY;

type When = Pick<IcsEvent, 'start' | 'length' | 'recurrenceId'>;

/** When an entry is, or why it cannot be said. */
function whenIn(component: ICAL.Component, reader: Reader, line: number): When | IcsNote['code'] {
  const start = timeIn(component, 'dtstart', reader, line);
  if (start === undefined) return 'event-without-day';
  const recurrenceId = timeIn(component, 'recurrence-id', reader, line);
  const length = start === null ? null : lengthOf(component, start, reader, line);
  if (start === null || length === null || recurrenceId === null) return 'no-such-time';
  if (length < 0) return 'event-ends-before-it-starts';
  return length <= LONGEST ? { start, length, recurrenceId: recurrenceId ?? null } : 'event-too-long';
}

/** What may come again, or names one of a series. */
const COMES_AGAIN = /^(RRULE|RDATE|RECURRENCE-ID)[;:]/i;
const STARTS_ON = /^DTSTART(?:;[^:]*)?:(\d{8})/i;
/** A date is told in a zone somewhere, and may last: within so many days of the window it is read. */
const ROOM_DAYS = 368;

/**
 * Is it plain at a glance that an entry lies far outside the days that are read? Ten years of a calendar are mostly over;
 * taking each entry apart would take most of the time.
 */
export function isFarOff(block: IcsBlock, { window: { from, until } }: Reader): boolean {
  if (block.lines.some(({ text }) => COMES_AGAIN.test(text))) return false;
  const wall = startsAbout(block);
  return wall !== null && (wall < from - ROOM_DAYS * MS_PER_DAY || wall > until + ROOM_DAYS * MS_PER_DAY);
}

/** The day on which an entry begins as it is written, in whatever zone, ms; null where it says none. */
export function startsAbout({ lines }: IcsBlock): number | null {
  for (const { text } of lines) {
    const day = STARTS_ON.exec(text)?.[1];
    if (day !== undefined) return realWall(`${day}000000`);
  }
  return null;
}

/** One event of the file; null where it says nothing that can be used, which is noted. */
export function readEvent(block: IcsBlock, reader: Reader): IcsEvent | null {
  const { line } = block;
  const left = (code: IcsNote['code'], about = ''): null => {
    reader.note({ code, line, about });
    return null;
  };
  let component: ICAL.Component;
  try {
    const mine = block.lines.flatMap(({ text }) => (RULE.test(text) ? [] : [withItsKind(text)]));
    const lines = ['BEGIN:VEVENT', ...mine, 'END:VEVENT'];
    component = new ICAL.Component(ICAL.parse(lines.join('\r\n')) as never);
  } catch {
    return left('event-not-understood');
  }
  const summary = textIn(component, 'summary');
  const when = whenIn(component, reader, line);
  if (typeof when === 'string') return left(when, summary);
  const { start, length, recurrenceId } = when;
  if (recurrenceId !== null && component.getFirstProperty('recurrence-id')?.getParameter('range') !== undefined)
    reader.note({ code: 'only-this-one-moved', line, about: summary });
  return {
    block,
    uid: textIn(component, 'uid') || `${summary} ${start.wall}`,
    summary,
    sequence: Number(textIn(component, 'sequence')) || 0,
    isCancelled: textIn(component, 'status').toUpperCase() === 'CANCELLED',
    start,
    length,
    recurrenceId,
    rules: rulesOf(block, 'RRULE'),
    exceptRules: rulesOf(block, 'EXRULE'),
    component,
  };
}
