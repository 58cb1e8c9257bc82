import ICAL from 'ical.js';
import { localDate } from '#core/time/local-date.ts';
import type { ToldEvent } from '#tools/lives/life.ts';

const textOf = (event: ICAL.Component, name: string): string => String(event.getFirstPropertyValue(name));

/** The events of a calendar in their order, as another program reads them. */
export const readByAnother = (text: string): ToldEvent[] =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((event) => ({
    uid: textOf(event, 'uid').replace(/@ulu$/, ''),
    sequence: Number(textOf(event, 'sequence')),
    isCancelled: textOf(event, 'status') === 'CANCELLED',
    on: localDate(textOf(event, 'dtstart').slice(0, 10)),
    summary: textOf(event, 'summary'),
    when: ['dtstart', 'dtend', 'summary'].map((name) => textOf(event, name)).join(' '),
    content: ['dtstart', 'dtend', 'summary', 'description', 'status'].map((name) => textOf(event, name)).join(' '),
  }));

/** What stands in it: what was cancelled is told once more, so that other programs take it out. */
export const standingIn = (events: readonly ToldEvent[]): ReadonlyMap<string, string> =>
  new Map(events.flatMap(({ uid, isCancelled, when }) => (isCancelled ? [] : [[uid, when] as const])));
