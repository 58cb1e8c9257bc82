import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import fc from 'fast-check';
import { readCalendar, type IcsCalendar } from '#core/ics/read-calendar.ts';
import { hostileCalendars } from '#core/testing/hostile-calendars.ts';
import { localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
function read(...lines: string[]): IcsCalendar {
  const text = ['BEGIN:VCALENDAR', ...lines, 'END:VCALENDAR'].join('\r\n');
  const found = readCalendar({ text, zone: 'Europe/Berlin', today });
  if (!found.ok) throw new Error(found.failure.code);
  return found.value;
}
const event = (...lines: string[]): string[] => ['BEGIN:VEVENT', 'UID:e1', 'SUMMARY:Band', ...lines, 'END:VEVENT'];
const days = ({ series }: IcsCalendar): string[] => series.flatMap(({ dates }) => dates.map(({ on }) => on));
const codes = ({ notes }: IcsCalendar): string[] => notes.map(({ code }) => code);
const WEEKLY = ['DTSTART;TZID=Europe/Berlin:20261203T190000', 'DURATION:PT2H', 'RRULE:FREQ=WEEKLY;COUNT=4'];

describe('what is wrong in a file is left out by itself', () => {
  test.each(hostileCalendars().map(({ about, text }) => [about, text]))(
    '%s: the rehearsal before them stands',
    (_, text) => {
      const found = readCalendar({ text, zone: 'Europe/Berlin', today });
      if (!found.ok) throw new Error(found.failure.code);
      const good = found.value.series.find(({ uid }) => uid === 'good');
      expect(good?.dates.map(({ on, minutes }) => [on, minutes])).toEqual([
        ['2026-12-03', 120],
        ['2026-12-10', 120],
        ['2026-12-17', 120],
      ]);
    },
  );

  test.each([
    ['31 November', 'DTSTART:20261131T190000'],
    ['29 February of a year without', 'DTSTART;VALUE=DATE:20270229'],
    ['25:61', 'DTSTART:20261201T256100'],
    ['a year of two digits', 'DTSTART:00261201T190000'],
    ['an end that is none', 'DTSTART:20261201T190000', 'DTEND:20261131T200000'],
    ['a place in the series that is none', 'DTSTART:20261201T190000', 'RECURRENCE-ID:20261131T190000'],
  ])('%s is no time, and is not made into another', (_, ...lines) => {
    expect([days(read(...event(...lines))), codes(read(...event(...lines)))]).toEqual([[], ['no-such-time']]);
  });

  test('a leap second is the second before; 29 February of a leap year is one', () => {
    expect(days(read(...event('DTSTART:20261231T235960Z', 'DURATION:PT1H')))).toEqual(['2027-01-01']);
    expect(days(read(...event('DTSTART;VALUE=DATE:20280229')))).toEqual(['2028-02-29']);
  });

  test('what lasts longer than a year is left out with a note, and so is what nobody can count', () => {
    for (const length of ['P99999999999D', 'P367D'])
      expect(codes(read(...event('DTSTART;VALUE=DATE:20261201', `DURATION:${length}`)))).toEqual(['event-too-long']);
    expect(read(...event('DTSTART;VALUE=DATE:20261201', 'DURATION:P366D')).series[0]?.dates[0]?.until).toBe(
      '2027-12-01',
    );
  });

  test.each(['INTERVAL=0', 'INTERVAL=-1', 'COUNT=-1', 'BYHOUR=25', 'BYMONTHDAY=32'])(
    'a series with %s has its first date alone, and says so',
    (part) => {
      const found = read(...event('DTSTART:20261203T190000', `RRULE:FREQ=DAILY;${part}`));
      expect([days(found), codes(found)]).toEqual([['2026-12-03'], ['series-not-understood']]);
    },
  );

  test('dates left out by a rule are left out; where that rule is not understood the first date stands alone', () => {
    const without = read(...event(...WEEKLY, 'EXRULE:FREQ=WEEKLY;INTERVAL=2;COUNT=2'));
    expect(days(without)).toEqual(['2026-12-10', '2026-12-24']);
    const unclear = read(...event(...WEEKLY, 'EXRULE:FREQ=WEEKLY;BYDAY=XX'));
    expect([days(unclear), codes(unclear)]).toEqual([['2026-12-03'], ['series-not-understood']]);
  });

  test('a series of which only moved dates are there is called as the first of them that stands', () => {
    const one = (id: string, name: string, ...more: string[]) => [
      ...['BEGIN:VEVENT', 'UID:e1', `RECURRENCE-ID:${id}T190000`, `DTSTART:${id}T200000`, 'DURATION:PT1H'],
      ...[`SUMMARY:${name}`, ...more, 'END:VEVENT'],
    ];
    const found = read(
      ...one('20261203', 'Gone', 'STATUS:CANCELLED'),
      ...one('20261210', 'Moved first'),
      ...one('20261217', 'Moved next'),
    );
    expect(found.series.map(({ summary }) => summary)).toEqual(['Moved first']);
    expect(days(found)).toEqual(['2026-12-10', '2026-12-17']);
  });

  test('a date of a series named by its day alone is that day’s; a day named by a time is the day of it', () => {
    const moved = (id: string, start: string) => ['BEGIN:VEVENT', 'UID:e1', id, start, 'DURATION:PT1H', 'END:VEVENT'];
    const byDay = read(...event(...WEEKLY), ...moved('RECURRENCE-ID;VALUE=DATE:20261210', 'DTSTART:20261211T190000'));
    expect(days(byDay)).toEqual(['2026-12-03', '2026-12-11', '2026-12-17', '2026-12-24']);
    const wholeDays = event('DTSTART;VALUE=DATE:20261203', 'RRULE:FREQ=WEEKLY;COUNT=2');
    const byTime = read(...wholeDays, ...moved('RECURRENCE-ID:20261210T190000', 'DTSTART;VALUE=DATE:20261212'));
    expect(days(byTime)).toEqual(['2026-12-03', '2026-12-12']);
    const cancelled = [
      'BEGIN:VEVENT',
      'UID:e1',
      'RECURRENCE-ID;VALUE=DATE:20261217',
      'DTSTART:20261217T190000',
      'STATUS:CANCELLED',
      'END:VEVENT',
    ];
    expect(days(read(...event(...WEEKLY), ...cancelled))).toEqual(['2026-12-03', '2026-12-10', '2026-12-24']);
  });

  test('a time that ends with a day, and days that end at midnight, last as clocks show them', () => {
    const of = (...lines: string[]) => read(...event(...lines)).series[0]?.dates[0];
    expect(of('DTSTART:20261204T200000', 'DTEND;VALUE=DATE:20261205')).toMatchObject({
      on: '2026-12-04',
      minutes: 240,
    });
    expect(of('DTSTART:20261204T000000', 'DTEND:20261206T000000')).toMatchObject({
      on: '2026-12-04',
      until: '2026-12-05',
      minutes: null,
    });
    expect(of('DTSTART:20261204T000000', 'DTEND:20261205T000000')).toMatchObject({
      until: '2026-12-04',
      minutes: 1440,
    });
  });

  test('each of a series is named by when it was to begin: a day by its day, a time by its moment', () => {
    const names = (...lines: string[]) =>
      read(...event(...lines)).series[0]?.dates.map(({ instance }) => instance) ?? [];
    expect(names('DTSTART;VALUE=DATE:20261203', 'RRULE:FREQ=WEEKLY;COUNT=2')).toEqual(['2026-12-03', '2026-12-10']);
    expect(names(...WEEKLY).slice(0, 1)).toEqual(['2026-12-03T18:00:00Z']);
    expect(names('DTSTART;VALUE=DATE:20261203')).toEqual([null]);
  });

  test('a day left out of a series of times is that day, an added one that is none is noted', () => {
    const found = read(...event(...WEEKLY, 'EXDATE;VALUE=DATE:20261210', 'RDATE:20261131T190000,20261205T190000'));
    expect(days(found)).toEqual(['2026-12-03', '2026-12-05', '2026-12-17', '2026-12-24']);
    expect(codes(found)).toEqual(['date-of-series-not-there']);
  });
});

describe('a zone that a file brings along', () => {
  const part = (name: string, from: string, to: string, ...when: string[]): string[] => [
    `BEGIN:${name}`,
    `TZOFFSETFROM:${from}`,
    `TZOFFSETTO:${to}`,
    ...when,
    `END:${name}`,
  ];
  const zone = (...parts: string[][]): string[] => ['BEGIN:VTIMEZONE', 'TZID:Own', ...parts.flat(), 'END:VTIMEZONE'];
  const clocks = (summer: string, winter: string): string[] =>
    zone(
      part('DAYLIGHT', '-0500', '-0400', 'DTSTART:20070311T020000', `RRULE:FREQ=YEARLY;${summer}`),
      part('STANDARD', '-0400', '-0500', 'DTSTART:20071104T020000', `RRULE:FREQ=YEARLY;${winter}`),
    );

  test('shows what an independent library reads of it, all through two years', () => {
    const lines = clocks('BYMONTH=3;BYDAY=2SU', 'BYMONTH=11;BYDAY=1SU');
    const component = new ICAL.Component(ICAL.parse(lines.join('\r\n')) as never);
    const theirs = new ICAL.Timezone({ component, tzid: 'Own' });
    const wrong: string[] = [];
    for (const hour of [1, 3, 12])
      for (let day = 0; day < 500; day += hour === 1 ? 1 : 3) {
        const at = new Date(Date.UTC(2026, 10, 28 + day, hour, 30)).toISOString().slice(0, 16);
        const digits = `${at.replace(/[-:]/g, '')}00`;
        const found = read(...lines, ...event(`DTSTART;TZID=Own:${digits}`, 'RDATE;TZID=Own:20261128T120000'));
        const time = ICAL.Time.fromDateTimeString(`${at}:00`);
        time.zone = theirs;
        // Twice that night: RFC 5545, 3.3.5, takes the first, the library the second.
        if (at === '2027-11-07T01:30') continue;
        const utc = new Date(time.toUnixTime() * 1000).toISOString().slice(0, 19);
        const instances = found.series[0]?.dates.map(({ instance }) => instance) ?? [];
        if (!instances.includes(`${utc}Z`)) wrong.push(`${at} is ${utc}, not ${instances.join()}`);
      }
    expect(wrong).toEqual([]);
  });

  test('that says nothing, or nothing that is understood, is an unknown one', () => {
    const at = event('DTSTART;TZID=Own:20261204T200000', 'DURATION:PT1H');
    const summer = 'BYMONTH=3;BYDAY=2SU';
    for (const odd of [
      ['BEGIN:VTIMEZONE', 'TZID:Own', 'END:VTIMEZONE'],
      zone(part('STANDARD', '+0100', '+0100')),
      zone(part('STANDARD', '+0100', 'noon', 'DTSTART:19700101T000000')),
      zone(part('STANDARD', '+0100', '+9900', 'DTSTART:19700101T000000')),
      clocks(summer, 'BYMONTH=13'),
      zone(part('STANDARD', '+0100', '+0200', 'DTSTART:19700101T000000', 'RRULE:FREQ=SECONDLY')),
    ])
      expect(codes(read(...odd, ...at))).toEqual(['unknown-zone']);
    expect(codes(read(...clocks(summer, 'BYMONTH=11;BYDAY=1SU'), ...at))).toEqual([]);
  });
});

test('every date that stands lies where its own words put it, whatever stands beside it', () => {
  // By hand: a day and a length, on one day each.
  const good = fc.record({ day: fc.integer({ min: 1, max: 28 }), hours: fc.integer({ min: 1, max: 4 }) });
  const bad = fc.constantFrom(
    'RRULE:FREQ=DAILY;INTERVAL=-1',
    'DTSTART:20261131T190000',
    'DURATION:P1',
    'EXDATE:20269999',
    'RECURRENCE-ID:x',
    'BEGIN:VTIMEZONE',
    'END:VEVENT',
    'DTEND:20200101T000000',
  );
  fc.assert(
    fc.property(
      fc.array(good, { maxLength: 6 }),
      fc.array(fc.array(bad, { maxLength: 4 }), { maxLength: 6 }),
      (goods, bads) => {
        const lines = goods.flatMap(({ day, hours }, at) => [
          'BEGIN:VEVENT',
          `UID:g${at}`,
          `DTSTART:202612${String(day).padStart(2, '0')}T120000`,
          `DURATION:PT${hours}H`,
          'END:VEVENT',
          ...(bads[at] === undefined
            ? []
            : ['BEGIN:VEVENT', `UID:b${at}`, 'DTSTART:20261215T190000', ...bads[at], 'END:VEVENT']),
        ]);
        const found = read(...lines);
        goods.forEach(({ day, hours }, at) => {
          const dates = found.series.find(({ uid }) => uid === `g${at}`)?.dates;
          expect(dates?.map(({ on, minutes }) => [on, minutes])).toEqual([
            [`2026-12-${String(day).padStart(2, '0')}`, hours * 60],
          ]);
        });
      },
    ),
    { seed: 41, numRuns: 200 },
  );
});
