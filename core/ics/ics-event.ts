import ICAL from 'ical.js';
import { MS_PER_DAY, momentOf, timeIn, valuesOf, type Given, type Reader } from '#core/ics/ics-times.ts';
import type { IcsBlock, IcsNote } from '#core/ics/read-lines.ts';

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
  /** The rules of a series as they stand: another library reads them. */
  readonly rules: readonly string[];
  readonly component: ICAL.Component;
};

function lengthOf(component: ICAL.Component, start: Given, reader: Reader, line: number): number | null {
  const end = timeIn(component, 'dtend', reader, line);
  if (end !== null) return momentOf(end) - momentOf(start);
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

const RULE = /^RRULE(;[^:]*)?:/i;

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
  const start = timeIn(component, 'dtstart', reader, line);
  if (start === null) return left('event-without-day', summary);
  const length = lengthOf(component, start, reader, line);
  if (length === null || length < 0) return left('event-ends-before-it-starts', summary);
  const recurrenceId = timeIn(component, 'recurrence-id', reader, line);
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
    rules: block.lines.flatMap(({ text }) => (RULE.test(text) ? [text.replace(RULE, '').trim()] : [])),
    component,
  };
}
