import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { localDate } from '#core/time/local-date.ts';
import type { ToldEntry } from '#core/calendar/told-entries.ts';
import { calendarFileOf } from '#server/features/calendar/calendar-file.ts';

const CHANGED = Date.UTC(2026, 10, 27, 12);
const USUAL = { imported: false, alarms: true };
const entry = (over: Partial<ToldEntry> & Pick<ToldEntry, 'uid' | 'on'>): ToldEntry => ({
  until: over.on,
  summary: 'Care of instruments, about 15 min',
  description: '',
  reminds: false,
  hour: null,
  isImported: false,
  sequence: 0,
  state: 'standing',
  changedMs: CHANGED,
  ...over,
});
const STEPS = 'Clarinet; the old one, in A — with a name that is long: wash the swab\nAlto, \\: oil';
const FILE = calendarFileOf(
  [
    entry({
      uid: 'k1@ulu',
      on: localDate('2026-12-24'),
      until: localDate('2027-01-02'),
      summary: 'Winter break, at last; really',
    }),
    entry({ uid: 'k2@ulu', on: localDate('2028-02-29'), summary: 'Gala', sequence: 3 }),
    entry({ uid: 's1@ulu', on: localDate('2026-11-28'), description: STEPS, reminds: true }),
    entry({ uid: 's2@ulu', on: localDate('2026-11-30'), state: 'cancelled', sequence: 2, reminds: true }),
  ],
  USUAL,
);

// ical.js is no part of what wrote the file: another reading of RFC 5545.
describe('the calendar file, read by an independent parser', () => {
  const calendar = new ICAL.Component(ICAL.parse(FILE) as never);
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));

  test('holds every event and sitting as whole days, the end exclusive, across a year and a leap day', () => {
    expect(
      events.map(({ uid, startDate, endDate }) => [uid, startDate.isDate, startDate.toString(), endDate.toString()]),
    ).toEqual([
      ['k1@ulu', true, '2026-12-24', '2027-01-03'],
      ['k2@ulu', true, '2028-02-29', '2028-03-01'],
      ['s1@ulu', true, '2026-11-28', '2026-11-29'],
      ['s2@ulu', true, '2026-11-30', '2026-12-01'],
    ]);
  });

  test('gives text back as it was, whatever stands in it', () => {
    expect(events[0]?.summary).toBe('Winter break, at last; really');
    expect(events[2]?.description).toBe(STEPS);
  });

  test('says what the standard asks for: version, product, stamps, and an alarm with its words', () => {
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
    expect(calendar.getFirstPropertyValue('prodid')).toBeTruthy();
    for (const event of events)
      expect(String(event.component.getFirstPropertyValue('dtstamp'))).toBe('2026-11-27T12:00:00Z');
    const alarm = events[2]?.component.getFirstSubcomponent('valarm');
    expect(alarm?.getFirstPropertyValue('action')).toBe('DISPLAY');
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('PT17H');
    // From the beginning of its day: from the end it would be the day after.
    expect(alarm?.getFirstProperty('trigger')?.getParameter('related') ?? 'START').toBe('START');
    expect(alarm?.getFirstPropertyValue('description')).toContain('about 15 min');
  });

  test('counts changes, and tells what has gone as cancelled and without an alarm', () => {
    const told = events.map(({ sequence, component }) => [sequence, component.getFirstPropertyValue('status')]);
    expect(told).toEqual([
      [0, 'CONFIRMED'],
      [3, 'CONFIRMED'],
      [0, 'CONFIRMED'],
      [2, 'CANCELLED'],
    ]);
    expect(events.map(({ component }) => component.getAllSubcomponents('valarm').length)).toEqual([0, 0, 1, 0]);
  });

  test('folds at 75 octets, never within a character, and ends lines with CRLF', () => {
    const lines = FILE.split('\r\n');
    // The last line ends, too.
    expect(lines.at(-1)).toBe('');
    expect(FILE.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(lines.join('')).not.toContain('\uFFFD');
  });

  test('whole days take no time from anybody; a time is that of the clock where it is read, and is one’s own', () => {
    const hour = { atMinute: 18 * 60 + 45, minutes: 20 };
    const text = calendarFileOf(
      [
        entry({ uid: 's', on: localDate('2026-03-29'), hour, reminds: true }),
        entry({ uid: 'd', on: localDate('2026-03-29') }),
      ],
      USUAL,
    );
    const [timed, whole] = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent');
    expect(String(timed?.getFirstPropertyValue('dtstart'))).toBe('2026-03-29T18:45:00');
    expect(String(timed?.getFirstPropertyValue('dtend'))).toBe('2026-03-29T19:05:00');
    expect(timed?.getFirstProperty('dtstart')?.getParameter('tzid')).toBeUndefined();
    expect(String(timed?.getFirstSubcomponent('valarm')?.getFirstPropertyValue('trigger'))).toMatch(/^P?T?0?/);
    expect([timed, whole].map((one) => one?.getFirstPropertyValue('transp'))).toEqual(['OPAQUE', 'TRANSPARENT']);
  });

  test('says how often to ask again, and holds what is wanted', () => {
    const all = [
      entry({ uid: 'own', on: localDate('2026-12-01'), reminds: true }),
      entry({ uid: 'from-elsewhere', on: localDate('2026-12-01'), isImported: true }),
    ];
    const of = (wanted: Parameters<typeof calendarFileOf>[1]) => {
      const component = new ICAL.Component(ICAL.parse(calendarFileOf(all, wanted)) as never);
      const its = component.getAllSubcomponents('vevent');
      return {
        again: String(component.getFirstPropertyValue('refresh-interval')),
        uids: its.map((one) => one.getFirstPropertyValue('uid')),
        alarms: its.flatMap((one) => one.getAllSubcomponents('valarm')).length,
      };
    };
    expect(of(USUAL)).toEqual({ again: 'PT6H', uids: ['own'], alarms: 1 });
    expect(of({ imported: true, alarms: false })).toEqual({
      again: 'PT6H',
      uids: ['own', 'from-elsewhere'],
      alarms: 0,
    });
  });
});
