import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { localDate } from '#core/time/local-date.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { calendarFileOf } from '#server/features/calendar/calendar-file.ts';

const item = (instrumentName: string, name: string): SittingsView['sittings'][number]['items'][number] => ({
  instrumentId: 'clarinet' as never,
  instrumentName,
  itemId: 'swab/wash' as never,
  name,
  words: '',
  dueOn: null,
  earliest: null,
  latest: null,
});
const VIEW = {
  playerId: 'ada',
  sittings: [
    {
      on: localDate('2026-11-28'),
      minutes: 15,
      words: 'about 15 min',
      items: [item('Clarinet; the old one, in A — with a name that is long', 'Wash the swab'), item('Alto', 'Oil')],
    },
  ],
  events: [
    {
      key: 'k1',
      what: 'holiday',
      on: localDate('2026-12-24'),
      until: localDate('2027-01-02'),
      words: 'Winter break, at last; really',
    },
    { key: 'k2', what: 'concert', on: localDate('2028-02-29'), until: localDate('2028-02-29'), words: 'Gala' },
  ],
} as unknown as SittingsView;
const FILE = calendarFileOf(VIEW, Date.UTC(2026, 10, 27, 12));

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
      ['sitting-ada-2026-11-28@ulu', true, '2026-11-28', '2026-11-29'],
    ]);
  });

  test('gives text back as it was, whatever stands in it', () => {
    expect(events[0]?.summary).toBe('Winter break, at last; really');
    expect(events[2]?.description).toBe(
      'Clarinet; the old one, in A — with a name that is long: wash the swab\nAlto: oil',
    );
  });

  test('says what the standard asks for: version, product, stamps, and an alarm with its words', () => {
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
    expect(calendar.getFirstPropertyValue('prodid')).toBeTruthy();
    for (const event of events)
      expect(String(event.component.getFirstPropertyValue('dtstamp'))).toBe('2026-11-27T12:00:00Z');
    const alarm = events[2]?.component.getFirstSubcomponent('valarm');
    expect(alarm?.getFirstPropertyValue('action')).toBe('DISPLAY');
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('PT17H');
    expect(alarm?.getFirstPropertyValue('description')).toContain('about 15 min');
  });

  test('folds at 75 octets, never within a character, and ends lines with CRLF', () => {
    const lines = FILE.split('\r\n');
    expect(FILE.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(lines.join('')).not.toContain('\uFFFD');
  });
});
