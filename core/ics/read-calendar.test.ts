import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readCalendar, type IcsCalendar } from '#core/ics/read-calendar.ts';
import { LARGEST_ICS } from '#core/ics/ics-limits.ts';
import { recurred } from '#core/ics/recur.ts';
import { localDate } from '#core/time/local-date.ts';
import { wallOfParts, wallText } from '#core/time/wall-time.ts';

const today = localDate('2026-11-27');
const calendar = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//example//care//EN', ...lines, 'END:VCALENDAR'].join('\r\n');
const event = (...lines: string[]): string[] => ['BEGIN:VEVENT', 'UID:e1', ...lines, 'END:VEVENT'];
function read(text: string, zone = 'Europe/Berlin'): IcsCalendar {
  const found = readCalendar({ text, zone, today });
  if (!found.ok) throw new Error(found.failure.code);
  return found.value;
}
const dates = (of: IcsCalendar) => of.series.flatMap((one) => one.dates.map(({ on, minutes }) => [on, minutes]));
const codes = (of: IcsCalendar) => of.notes.map(({ code }) => code);

/** `1997-09-02 03 10-07`: the year and the month are said once. */
function spelt(text: string): string[] {
  let prefix = '';
  return text.split(' ').map((one) => {
    const parts = one.split('-');
    if (parts.length === 3) prefix = `${parts[0]}-${parts[1]}`;
    return `${prefix}-${parts.at(-1) ?? ''}`;
  });
}

// The examples of RFC 5545, 3.8.5.3 and 3.3.10, where an endless rule was given a count; the last four were made here.
test.each([
  ['19970902T090000', 'FREQ=DAILY;COUNT=10', '1997-09-02 03 04 05 06 07 08 09 10 11'],
  ['20260901T090000', 'FREQ=MONTHLY;COUNT=3;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1', '2026-09-01 2026-10-01 2026-11-02'],
  ['19970902T090000', 'FREQ=WEEKLY;COUNT=10', '1997-09-02 09 16 23 30 1997-10-07 14 21 28 1997-11-04'],
  [
    '19970902T090000',
    'FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH',
    '1997-09-02 04 09 11 16 18 23 25 30 1997-10-02',
  ],
  ['19970902T090000', 'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH', '1997-09-02 04 16 18 30 1997-10-02 14 16'],
  [
    '19970905T090000',
    'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
    '1997-09-05 1997-10-03 1997-11-07 1997-12-05 1998-01-02 1998-02-06 1998-03-06 1998-04-03 1998-05-01 1998-06-05',
  ],
  [
    '19970928T090000',
    'FREQ=MONTHLY;BYMONTHDAY=-3;COUNT=6',
    '1997-09-28 1997-10-29 1997-11-28 1997-12-29 1998-01-29 1998-02-26',
  ],
  [
    '19970930T090000',
    'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1',
    '1997-09-30 1997-10-01 31 1997-11-01 30 1997-12-01 31 1998-01-01 31 1998-02-01',
  ],
  [
    '19970610T090000',
    'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
    '1997-06-10 1997-07-10 1998-06-10 1998-07-10 1999-06-10 1999-07-10 2000-06-10 2000-07-10 2001-06-10 2001-07-10',
  ],
  ['19970805T090000', 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO', '1997-08-05 10 19 24'],
  ['20070115T090000', 'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5', '2007-01-15 30 2007-02-15 2007-03-15 30'],
  [
    '19970913T090000',
    'FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13;COUNT=7',
    '1997-09-13 1997-10-11 1997-11-08 1997-12-13 1998-01-10 1998-02-07 1998-03-07',
  ],
  [
    '19961105T090000',
    'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8;COUNT=3',
    '1996-11-05 2000-11-07 2004-11-02',
  ],
  ['19970519T090000', 'FREQ=YEARLY;BYDAY=20MO;COUNT=3', '1997-05-19 1998-05-18 1999-05-17'],
  ['20250831T100000', 'FREQ=MONTHLY;INTERVAL=6;COUNT=3', '2025-08-31 2026-08-31 2027-08-31'],
  ['20250131T100000', 'FREQ=MONTHLY;COUNT=5', '2025-01-31 2025-03-31 2025-05-31 2025-07-31 2025-08-31'],
  ['20240229T100000', 'FREQ=YEARLY;COUNT=3', '2024-02-29 2028-02-29 2032-02-29'],
  ['20250303T180000', 'FREQ=DAILY;INTERVAL=3;COUNT=6', '2025-03-03 06 09 12 15 18'],
])('a series from %s by %s', (start, rule, expected) => {
  const whole = (at: number, length = 2) => Number(start.slice(at, at + length));
  const found = recurred({
    start: wallOfParts({ year: whole(0, 4), month: whole(4), day: whole(6), hour: whole(9), minute: 0, second: 0 }),
    rule,
    from: 0,
    until: wallOfParts({ year: 2040, month: 1, day: 1, hour: 0, minute: 0, second: 0 }),
    fromMs: (ms) => ms,
  });
  expect(found.kind === 'dates' && found.walls.map((wall) => wallText(wall).slice(0, 10))).toEqual(spelt(expected));
});

describe('a calendar file', () => {
  test('a series of which only moved dates are told has the name of the first', () => {
    const moved = (day: string, name: string) =>
      event(`RECURRENCE-ID:202612${day}T190000`, `DTSTART:202612${day}T200000`, 'DURATION:PT1H', `SUMMARY:${name}`);
    const { series } = read(calendar(...moved('04', 'Practice'), ...moved('11', 'Practice in the hall')));
    expect(series.map(({ summary, dates: all }) => [summary, all.length])).toEqual([['Practice', 2]]);
  });

  test('an end of another kind than its start is told as clocks show both', () => {
    const of = (start: string, end: string) => dates(read(calendar(...event(start, end))));
    expect(of('DTSTART;VALUE=DATE:20261204', 'DTEND:20261204T223000')).toEqual([['2026-12-04', null]]);
    expect(of('DTSTART:20261204T200000', 'DTEND;VALUE=DATE:20261205')).toEqual([['2026-12-04', 240]]);
    // Two zones: the end is an hour ahead of what its clock says.
    expect(of('DTSTART;TZID=Europe/Berlin:20261204T200000', 'DTEND;TZID=Europe/London:20261204T203000')).toEqual([
      ['2026-12-04', 90],
    ]);
  });

  test('single dates fall on the reader’s own day, whatever zone they are told in', () => {
    const text = calendar(
      ...event(
        'SUMMARY:Late concert',
        'DTSTART;TZID=America/New_York:20261204T200000',
        'DTEND;TZID=America/New_York:20261204T213000',
      ),
    );
    // Eight in the evening in New York is two in the night in Berlin.
    expect(dates(read(text))).toEqual([['2026-12-05', 90]]);
    expect(dates(read(text, 'America/Chicago'))).toEqual([['2026-12-04', 90]]);
    expect(dates(read(calendar(...event('DTSTART:20261204T233000Z', 'DURATION:PT1H'))))).toEqual([['2026-12-05', 60]]);
    expect(dates(read(calendar(...event('DTSTART:20261204T233000', 'DURATION:PT1H'))))).toEqual([['2026-12-04', 60]]);
  });

  test('whole days end before their end, and an evening past midnight belongs to its evening', () => {
    const { series } = read(
      calendar(...event('DTSTART;VALUE=DATE:20261224', 'DTEND;VALUE=DATE:20270103', 'SUMMARY:Break')),
    );
    expect(series[0]?.dates).toEqual([
      { instance: null, on: '2026-12-24', until: '2027-01-02', atMinute: null, minutes: null, summary: 'Break' },
    ]);
    const night = read(calendar(...event('DTSTART:20261231T210000', 'DTEND:20270101T020000')));
    expect(night.series[0]?.dates[0]).toMatchObject({
      on: '2026-12-31',
      until: '2026-12-31',
      minutes: 300,
      atMinute: 1260,
    });
    // In London it is an hour earlier than the clock on the wall here.
    const abroad = read(calendar(...event('DTSTART;TZID=Europe/London:20261231T183000', 'DURATION:PT1H')));
    expect(abroad.series[0]?.dates[0]?.atMinute).toBe(19 * 60 + 30);
    expect(dates(read(calendar(...event('DTSTART;VALUE=DATE:20280229'))))).toEqual([['2028-02-29', null]]);
    // Many programs leave out that it is a day.
    expect(dates(read(calendar(...event('DTSTART:20280229'))))).toEqual([['2028-02-29', null]]);
  });

  test('a weekly series over a clock change keeps its hour; one date is moved, one cancelled, one left out, one added', () => {
    const text = calendar(
      'X-WR-CALNAME:Tideway Wind Band',
      ...event(
        'SUMMARY:Rehearsal',
        'DTSTART;TZID=Europe/Berlin:20270315T190000',
        'DTEND;TZID=Europe/Berlin:20270315T210000',
        'RRULE:FREQ=WEEKLY;UNTIL=20270426T170000Z',
        'EXDATE;TZID=Europe/Berlin:20270405T190000',
        'RDATE;TZID=Europe/Berlin:20270408T190000',
      ),
      ...event(
        'SUMMARY:Rehearsal in the hall',
        'RECURRENCE-ID;TZID=Europe/Berlin:20270322T190000',
        'DTSTART;TZID=Europe/Berlin:20270324T200000',
        'DURATION:PT3H',
      ),
      ...event('RECURRENCE-ID:20270412T170000Z', 'DTSTART:20270412T170000Z', 'STATUS:CANCELLED'),
    );
    const { name, series, notes } = read(text);
    expect(name).toBe('Tideway Wind Band');
    expect(notes).toEqual([]);
    expect(series).toHaveLength(1);
    expect(series[0]?.dates.map(({ on, minutes, instance }) => [on, minutes, instance])).toEqual([
      ['2027-03-15', 120, '2027-03-15T18:00:00Z'],
      // The one that was moved keeps the name of its place in the series.
      ['2027-03-24', 180, '2027-03-22T18:00:00Z'],
      // Clocks go forward on the 28th: seven in the evening stays seven in the evening.
      ['2027-03-29', 120, '2027-03-29T17:00:00Z'],
      ['2027-04-08', 120, '2027-04-08T17:00:00Z'],
      ['2027-04-19', 120, '2027-04-19T17:00:00Z'],
      ['2027-04-26', 120, '2027-04-26T17:00:00Z'],
    ]);
  });

  test('a series without end is taken for eighteen months; one by the minute not at all', () => {
    const endless = read(calendar(...event('DTSTART:20200106T190000', 'DURATION:PT2H', 'RRULE:FREQ=WEEKLY')));
    const all = endless.series[0]?.dates ?? [];
    expect([all[0]?.on, all.at(-1)?.on]).toEqual(['2026-11-16', '2028-05-22']);
    const fine = read(calendar(...event('DTSTART:20261201T190000', 'RRULE:FREQ=MINUTELY')));
    expect([codes(fine), dates(fine)]).toEqual([['series-too-fine'], [['2026-12-01', 0]]]);
    expect(codes(read(calendar(...event('DTSTART:20261201T190000', 'RRULE:FREQ=WEEKLY;BYDAY=XX'))))).toEqual([
      'series-not-understood',
    ]);
  });

  test('from two weeks back to eighteen months ahead, both days among them', () => {
    const day = (of: string) => dates(read(calendar(...event(`DTSTART;VALUE=DATE:${of}`)))).length;
    expect([day('20261112'), day('20261113'), day('20280528'), day('20280529')]).toEqual([0, 1, 1, 0]);
    const long = ['DTSTART;VALUE=DATE:20261101', 'DTEND;VALUE=DATE:20261114'];
    // Its last day is the 13th.
    expect(dates(read(calendar(...event(...long))))).toHaveLength(1);
  });

  test('and so of a series, wherever its hours are told', () => {
    for (const zone of ['Pacific/Kiritimati', 'Pacific/Pago_Pago', 'Europe/Berlin']) {
      const series = read(
        calendar(...event(`DTSTART;TZID=${zone}:20261001T120000`, 'DURATION:PT1H', 'RRULE:FREQ=DAILY')),
      );
      const days = dates(series).map(([on]) => on);
      expect([zone, days[0], days.at(-1)]).toEqual([zone, '2026-11-13', '2028-05-28']);
    }
  });

  test('an unknown zone counts as local time, once noted; one the file brings along is read from there', () => {
    const at = (tzid: string) => event(`DTSTART;TZID=${tzid}:20261204T200000`, 'DURATION:PT1H');
    const unknown = read(calendar(...at('Middle of Nowhere'), ...at('Middle of Nowhere')));
    expect([codes(unknown), dates(unknown)]).toEqual([['unknown-zone'], [['2026-12-04', 60]]]);
    const own = [
      'BEGIN:VTIMEZONE',
      'TZID:House time',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:-0800',
      'TZOFFSETTO:-0800',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    expect(dates(read(calendar(...own, ...at('House time'))))).toEqual([['2026-12-05', 60]]);
  });

  test('a broken line is left out and named, and so is an event that says nothing; the rest stands', () => {
    const text = calendar(
      ...event('SUMMARY:Gala', 'this is no line', 'DTSTART:20261204T200000', 'DURATION:PT1H'),
      'BEGIN:VEVENT',
      'UID:e2',
      'SUMMARY:Never closed',
      ...event('UID:e3', 'SUMMARY:Backwards', 'DTSTART:20261204T200000', 'DTEND:20261204T190000'),
      ...event('UID:e4', 'SUMMARY:No day'),
      ...event('UID:e5', 'DTSTART:tomorrow', 'SUMMARY:Odd day'),
    );
    const found = read(text);
    expect(dates(found)).toEqual([['2026-12-04', 60]]);
    expect(found.notes.map(({ code, line }) => [code, line])).toEqual([
      ['line-not-understood', 7],
      ['event-never-closed', 11],
      ['event-ends-before-it-starts', 14],
      ['event-without-day', 21],
      ['no-such-time', 26],
    ]);
  });

  test('folded lines, escaped text and every kind of line end are read', () => {
    const text = calendar(
      ...event('SUMMARY:Oil the bore\\; check corks\\, ten', ' ons — 🎷', 'DTSTART;VALUE=DATE:20261204'),
    );
    for (const end of ['\r\n', '\n', '\r'])
      expect(read(text.replaceAll('\r\n', end)).series[0]?.summary).toBe('Oil the bore; check corks, tenons — 🎷');
    expect(read(`\uFEFF${text}`).series).toHaveLength(1);
  });

  test('what was cancelled is not there, and of two with one name the newer counts', () => {
    const day = 'DTSTART;VALUE=DATE:20261204';
    expect(read(calendar(...event(day, 'STATUS:CANCELLED'))).series).toEqual([]);
    expect(read(calendar('METHOD:CANCEL', ...event(day))).series).toEqual([]);
    const twice = calendar(...event(day, 'SEQUENCE:2', 'SUMMARY:New'), ...event(day, 'SEQUENCE:1', 'SUMMARY:Old'));
    expect(read(twice).series[0]?.summary).toBe('New');
    const turned = calendar(...event(day, 'SEQUENCE:1', 'SUMMARY:Old'), ...event(day, 'SEQUENCE:2', 'SUMMARY:New'));
    expect(read(turned).series[0]?.summary).toBe('New');
  });

  test('what is cancelled is named: all of it, a date of a series, everything in a file that cancels', () => {
    const weekly = event('DTSTART:20261201T180000', 'RRULE:FREQ=WEEKLY;COUNT=3', 'SUMMARY:Band');
    const second = event('RECURRENCE-ID:20261208T180000', 'DTSTART:20261208T180000', 'STATUS:CANCELLED');
    const cancelled = (...lines: string[]) => read(calendar(...lines)).cancelled;
    expect(cancelled(...weekly)).toEqual([]);
    const moment = '2026-12-08T17:00:00Z';
    expect(cancelled(...weekly, ...second)).toEqual([{ uid: 'e1', instance: moment, on: '2026-12-08' }]);
    const only = read(calendar('METHOD:CANCEL', ...second.filter((line) => !line.startsWith('STATUS'))));
    expect([only.isOnlyCancelling, only.cancelled]).toEqual([
      true,
      [{ uid: 'e1', instance: moment, on: '2026-12-08' }],
    ]);
    expect(cancelled(...event('DTSTART:20261201T180000', 'STATUS:CANCELLED'))).toEqual([
      { uid: 'e1', instance: null, on: null },
    ]);
  });

  test('the calendar is called what it calls itself, whatever stands beside the name', () => {
    const name = (...lines: string[]) => read(calendar(...lines)).name;
    expect(name('X-WR-CALNAME;VALUE=TEXT:Tideway\\, the band')).toBe('Tideway, the band');
    expect(name('NAME;LANGUAGE="en:gb":Band: the second')).toBe('Band: the second');
    expect(name('X-WR-CALNAME: ')).toBeNull();
  });

  test('only what is there is said to be there', () => {
    const empty = (...lines: string[]) => read(calendar(...lines)).empty;
    const onDay = (day: string, ...more: string[]) => event(`DTSTART;VALUE=DATE:${day}`, ...more);
    expect(empty()).toBe('nothing');
    expect(empty('BEGIN:VTODO', 'SUMMARY:Oil', 'END:VTODO')).toBe('tasks');
    expect(empty(...event('SUMMARY:Nothing'))).toBe('not-understood');
    expect(empty(...onDay('20261201', 'STATUS:CANCELLED'))).toBe('cancelled');
    expect(empty(...onDay('20250101'), ...onDay('20241231'))).toBe('over');
    expect(empty(...onDay('30000101'))).toBe('later');
    expect(empty(...onDay('20250101'), ...onDay('30000101').map((line) => line.replace('e1', 'e2')))).toBe('outside');
    expect(empty(...onDay('20261201'))).toBeNull();
  });

  test('a second entry under one name is said, and an older version of the same is not', () => {
    const at = (hour: string, ...more: string[]) => event(`DTSTART:20261201T${hour}0000`, ...more);
    expect(codes(read(calendar(...at('18'), ...at('19'))))).toEqual(['second-of-its-name']);
    expect(codes(read(calendar(...at('18'), ...at('18'))))).toEqual([]);
    expect(codes(read(calendar(...at('18', 'SEQUENCE:1'), ...at('19'))))).toEqual([]);
  });

  test('what lies far off is passed over at a glance, but for what may come again', () => {
    const old = (...more: string[]) => event('DTSTART:19990105T190000', 'SUMMARY:Band', ...more);
    const reads = (...lines: string[]) => read(calendar(...lines)).series.map((one) => one.dates.length);
    expect(reads(...old())).toEqual([]);
    expect(reads(...old('RRULE:FREQ=YEARLY'))[0]).toBeGreaterThan(0);
    expect(reads(...old('RDATE:20261205T190000'))).toEqual([1]);
    expect(reads(...event('RECURRENCE-ID:19990105T190000', 'DTSTART:20261205T190000'))).toEqual([1]);
    // Nothing wrong with it is said either: it is over.
    expect(codes(read(calendar(...old('DTEND:19980105T190000'))))).toEqual([]);
    // Folded, and with its zone beside it.
    expect(reads(...event('DTSTART;TZID=Europe/', ' Berlin:20261205T190000'))).toEqual([1]);
  });

  test('of more entries than anybody has the first twenty thousand are read, and that is said', () => {
    const many = Array.from({ length: 20_002 }, (_, at) =>
      ['BEGIN:VEVENT', `UID:n${at}`, 'DTSTART;VALUE=DATE:20261205', 'END:VEVENT'].join('\r\n'),
    );
    const { series, notes } = read(calendar(...many));
    expect(series).toHaveLength(20_000);
    expect(notes).toEqual([{ code: 'too-many-entries', line: null, about: '2' }]);
  });

  test('of five thousand events every one is read', () => {
    const many = Array.from({ length: 5000 }, (_, at) =>
      event(
        `UID:many${at}`,
        `SUMMARY:Event ${at}`,
        `DTSTART:202612${String((at % 28) + 1).padStart(2, '0')}T190000Z`,
        'DURATION:PT1H',
      ),
    ).flat();
    expect(read(calendar(...many.map((line) => (line === 'UID:e1' ? 'X-NONE:' : line)))).series).toHaveLength(5000);
  });

  test('what is none, or too large, is refused with the reason', () => {
    expect(readCalendar({ text: 'hello', zone: 'UTC', today })).toMatchObject({
      ok: false,
      failure: { code: 'ics-no-calendar' },
    });
    const large = 'x'.repeat(LARGEST_ICS + 1);
    expect(readCalendar({ text: large, zone: 'UTC', today })).toMatchObject({
      ok: false,
      failure: { code: 'ics-too-large' },
    });
  });

  test('no file makes it fall over', () => {
    const line = fc.oneof(
      fc.constantFrom(
        'BEGIN:VEVENT',
        'END:VEVENT',
        'BEGIN:VTIMEZONE',
        'END:VTIMEZONE',
        'BEGIN:VALARM',
        'END:VALARM',
        'UID:x',
      ),
      fc.constantFrom(
        'DTSTART:20261204T200000',
        'DTSTART;TZID=:20261204',
        'DTEND:00000000',
        'DURATION:P',
        'DTSTART;VALUE=DATE:20261304',
        'EXDATE:,,',
        'RDATE;VALUE=PERIOD:20261204T200000Z/PT1H',
      ),
      fc.constantFrom(
        'RRULE:FREQ=WEEKLY;COUNT=3',
        'RRULE:',
        'RRULE:FREQ=DAILY;UNTIL=x',
        'RECURRENCE-ID:20261204T200000',
        'SEQUENCE:x',
        'STATUS:',
        ' folded',
        '\u0000',
        'a:b:c;d="',
      ),
      fc.string({ maxLength: 30 }),
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 25 }), (lines) => {
        const { series } = read(calendar(...lines));
        for (const { dates: of } of series) for (const { on, until } of of) expect(on <= until).toBe(true);
      }),
      { seed: 11, numRuns: 400 },
    );
  });
});
