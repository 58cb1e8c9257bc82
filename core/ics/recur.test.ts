import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import * as rruleModule from 'rrule';
import { daysLookedAt, recurred, type Recurred } from '#core/ics/recur.ts';
import { readRule } from '#core/ics/rule.ts';
import { realWall, wallText } from '#core/time/wall-time.ts';

// The package has only a default export in Node and only named ones in a bundle.
const { RRule } = 'default' in rruleModule ? (rruleModule.default as typeof rruleModule) : rruleModule;

const wall = (day: string): number => {
  const found = realWall(`${day.replaceAll('-', '')}090000`);
  if (found === null) throw new Error(day);
  return found;
};
const from = (start: string, rule: string, over: { from?: string; until?: string } = {}): Recurred =>
  recurred({
    start: wall(start),
    rule,
    from: wall(over.from ?? start),
    until: wall(over.until ?? '2040-01-01'),
    fromMs: (ms) => ms,
  });
const days = (found: Recurred): string[] | string =>
  found.kind === 'dates' ? found.walls.map((one) => wallText(one).slice(0, 10)) : found.kind;

describe('dates by a rule, against a package for recurrences', () => {
  const some = <Value>(of: fc.Arbitrary<Value>, most = 3) =>
    fc.option<Value[], Value[]>(fc.uniqueArray(of, { minLength: 1, maxLength: most }), { nil: [] });
  const signed = (most: number) => fc.integer({ min: 1, max: most }).chain((one) => fc.constantFrom(one, -one));
  const weekday = fc.constantFrom('MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU');
  const rule = fc
    .record({
      freq: fc.constantFrom('YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY'),
      interval: fc.constantFrom(1, 1, 2, 3, 5),
      months: some(fc.integer({ min: 1, max: 12 })),
      monthDays: some(signed(31)),
      yearDays: some(signed(366)),
      weeks: some(signed(53)),
      weekdays: some<string>(weekday),
      nth: fc.option(signed(5), { nil: 0 }),
      hours: fc.option(fc.uniqueArray(fc.integer({ min: 0, max: 23 }), { minLength: 1, maxLength: 2 }), { nil: [] }),
      // From the end only the last: another the package takes from the front where there are too few.
      positions: fc.constantFrom<number[]>([], [], [1], [2], [-1], [1, 3]),
      end: fc.oneof(
        fc.constant(''),
        fc.integer({ min: 1, max: 60 }).map((count) => `;COUNT=${count}`),
        fc.integer({ min: 0, max: 900 }).map(
          (after) =>
            `;UNTIL=${wallText(wall('2021-01-01') + after * 86_400_000)
              .slice(0, 10)
              .replaceAll('-', '')}T235959`,
        ),
      ),
      weekStart: fc.constantFrom('', ';WKST=SU', ';WKST=MO', ';WKST=WE'),
    })
    .map(({ freq, interval, months, monthDays, yearDays, weeks, weekdays, nth, hours, positions, end, weekStart }) => {
      const isYearly = freq === 'YEARLY';
      const hasWeeks = isYearly && weeks.length > 0 && weekdays.length > 0;
      const numbered = (isYearly || freq === 'MONTHLY') && !hasWeeks && nth !== 0;
      const list = (name: string, values: readonly (number | string)[]) =>
        values.length === 0 ? '' : `;${name}=${values.join()}`;
      const parts = [
        list('BYMONTH', months),
        list('BYMONTHDAY', freq === 'WEEKLY' ? [] : monthDays),
        list('BYYEARDAY', isYearly ? yearDays : []),
        list('BYWEEKNO', hasWeeks ? weeks : []),
        list('BYDAY', numbered ? weekdays.map((one) => `${nth}${one}`) : weekdays),
        // In order: the package counts places in the order they are named.
        list(
          'BYHOUR',
          hours.toSorted((a, b) => a - b),
        ),
      ].join('');
      // The package begins the first week with the first date, where places are counted; the standard with the week.
      const places = parts === '' || freq === 'WEEKLY' ? '' : list('BYSETPOS', positions);
      return `FREQ=${freq};INTERVAL=${interval}${parts}${places}${end}${weekStart}`;
    });

  /** What the package finds; it looks on until it meets a date after the last, so that there has to be one. */
  function byPackage(start: number, text: string, [least, most]: readonly [number, number]): number[] {
    const until = /UNTIL=(\d{8})/.exec(text)?.[1];
    const last = until === undefined ? most : Math.min(most, realWall(`${until}235959`) ?? most);
    const walls: number[] = [];
    const series = new RRule({ ...RRule.parseString(text), until: null, dtstart: new Date(start) }, true);
    series.all((date) => {
      if (date.getTime() > last) return false;
      if (date.getTime() >= least) walls.push(date.getTime());
      return walls.length < 800;
    });
    return walls;
  }

  test('is the same for hundreds of rules of every sort that have dates', () => {
    const wrong: unknown[] = [];
    const start = fc.integer({ min: 0, max: 500 }).map((after) => wall('2020-01-01') + after * 86_400_000);
    const window = [wall('2021-06-01'), wall('2024-06-01')] as const;
    let compared = 0;
    for (const [text, begin] of fc.sample(fc.tuple(rule, start), { seed: 31, numRuns: 1200 })) {
      const asked = { start: begin, rule: text, fromMs: (ms: number) => ms };
      const endless = text.replace(/;(COUNT|UNTIL)=\w+/, '');
      const later = recurred({ ...asked, rule: endless, from: window[1] + 1, until: wall('2040-01-01') });
      if (later.kind !== 'dates' || later.walls.length === 0) continue;
      compared++;
      const ours = recurred({ ...asked, from: window[0], until: window[1] });
      const theirs = byPackage(begin, text, window);
      if (ours.kind !== 'dates' || ours.walls.join() !== theirs.join())
        wrong.push({ text, begin: wallText(begin), ours: days(ours), theirs: theirs.map(wallText) });
    }
    expect(wrong.slice(0, 2)).toEqual([]);
    expect(compared).toBeGreaterThan(700);
  });
});

describe('dates by a rule', () => {
  test('the week of the year: the days of the first date where no weekday is named', () => {
    // ISO 8601: 1 January 2027 is a Friday, so week 1 begins on Monday, 4 January; 2026 has 53 weeks.
    expect(days(from('2027-01-04', 'FREQ=YEARLY;BYWEEKNO=1;COUNT=2'))).toEqual(['2027-01-04', '2028-01-03']);
    expect(days(from('2026-12-28', 'FREQ=YEARLY;BYWEEKNO=53;COUNT=2'))).toEqual(['2026-12-28', '2032-12-27']);
    expect(days(from('2026-12-28', 'FREQ=YEARLY;BYWEEKNO=-1;COUNT=2'))).toEqual(['2026-12-28', '2027-12-27']);
  });

  test('places of a week are counted in the whole week, also in the first', () => {
    // Monday and Thursday; the second of each week, though the first week begins on a Wednesday.
    const second = from('2026-12-02', 'FREQ=WEEKLY;BYDAY=MO,TH;BYSETPOS=2;COUNT=2');
    expect(days(second)).toEqual(['2026-12-03', '2026-12-10']);
  });

  test('the ends of a year are in it: its first day, its last, and the week round New Year', () => {
    expect(days(from('2026-01-01', 'FREQ=YEARLY;BYYEARDAY=1,-1;COUNT=4'))).toEqual([
      '2026-01-01',
      '2026-12-31',
      '2027-01-01',
      '2027-12-31',
    ]);
    expect(days(from('2026-01-31', 'FREQ=MONTHLY;BYMONTHDAY=1,-1;COUNT=4'))).toEqual([
      '2026-01-31',
      '2026-02-01',
      '2026-02-28',
      '2026-03-01',
    ]);
  });

  test('several times a day are all of them, and more than one an hour is too fine', () => {
    const twice = from('2026-12-01', 'FREQ=DAILY;BYHOUR=9,15;BYMINUTE=30;COUNT=3');
    expect(twice.kind === 'dates' && twice.walls.map(wallText)).toEqual([
      '2026-12-01T09:30:00',
      '2026-12-01T15:30:00',
      '2026-12-02T09:30:00',
    ]);
    const one = (part: string) => {
      const found = from('2026-12-01', `FREQ=DAILY;${part};COUNT=2`);
      return found.kind === 'dates' && found.walls.map((wallOf) => wallText(wallOf).slice(11));
    };
    // What is not said is that of the first date, nine o'clock; before that time nothing is of the first day.
    expect([one('BYHOUR=10'), one('BYMINUTE=5'), one('BYSECOND=7')]).toEqual([
      ['10:00:00', '10:00:00'],
      ['09:05:00', '09:05:00'],
      ['09:00:07', '09:00:07'],
    ]);
    const hours = Array.from({ length: 24 }, (_, hour) => hour).join();
    expect(from('2026-12-01', `FREQ=DAILY;BYHOUR=${hours};BYMINUTE=0,30`).kind).toBe('too-fine');
    expect(from('2026-12-01', 'FREQ=HOURLY').kind).toBe('too-fine');
  });

  test('an end as a day holds to the end of that day, one as a time to that time', () => {
    expect(days(from('2026-12-01', 'FREQ=DAILY;UNTIL=20261203'))).toHaveLength(3);
    expect(days(from('2026-12-01', 'FREQ=DAILY;UNTIL=20261203T085959'))).toHaveLength(2);
    expect(days(from('2026-12-01', 'FREQ=DAILY;UNTIL=20261203T090000'))).toHaveLength(3);
    // A moment in UTC is told in the zone of the series: there it is an hour later.
    const utc = {
      start: wall('2026-12-01'),
      rule: 'FREQ=DAILY;UNTIL=20261203T080000Z',
      fromMs: (ms: number) => ms + 3.6e6,
    };
    expect(days(recurred({ ...utc, from: utc.start, until: wall('2027-01-01') }))).toHaveLength(3);
  });

  test('the days looked at for a rule are those until it ends, from where one may begin', () => {
    const looked = (rule: string, over: { from?: string; until?: string } = {}) =>
      daysLookedAt({
        start: wall('2026-12-01'),
        rule,
        from: wall(over.from ?? '2026-12-01'),
        until: wall(over.until ?? '2027-12-01'),
      });
    expect(looked('FREQ=DAILY')).toBe(365);
    expect(looked('FREQ=DAILY', { from: '2027-06-01' })).toBe(183);
    expect(looked('FREQ=DAILY;UNTIL=20261211T090000')).toBe(10);
    expect(looked('FREQ=DAILY;UNTIL=20300101T090000')).toBe(365);
    // What is counted is counted from its first date.
    expect(looked('FREQ=DAILY;COUNT=20', { from: '2026-12-15' })).toBe(20);
    expect(looked('FREQ=WEEKLY;INTERVAL=2;COUNT=5')).toBe(70);
    expect(looked('FREQ=DAILY;COUNT=9999')).toBe(365);
    expect(looked('FREQ=DAILY', { from: '2028-01-01' })).toBe(0);
    expect(looked('FREQ=HOURLY')).toBe(0);
  });

  test('what is wanted later is counted from the first, and what is not counted is passed over', () => {
    const far = { from: '2026-12-01', until: '2026-12-31' };
    expect(days(from('1900-01-01', 'FREQ=MONTHLY;BYMONTHDAY=13', far))).toEqual(['2026-12-13']);
    expect(days(from('2026-01-01', 'FREQ=DAILY;COUNT=340', far))).toHaveLength(6);
    expect(
      days(from('1900-01-05', 'FREQ=YEARLY;INTERVAL=7;BYMONTH=12;BYDAY=1FR', { ...far, until: '2036-12-31' })),
    ).toEqual(['2026-12-04', '2033-12-02']);
  });

  test.each([
    ['30 February', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30'],
    ['30 February, counted', 'FREQ=MONTHLY;BYMONTH=2;BYMONTHDAY=30;COUNT=5'],
    ['the ninth of three', 'FREQ=WEEKLY;BYDAY=MO,TU,WE;BYSETPOS=9'],
    ['a day that is in no such week', 'FREQ=YEARLY;BYWEEKNO=20;BYMONTH=1;BYDAY=MO'],
  ])('what is legal and never comes has no date, at once: %s', (_, rule) => {
    expect(from('1970-01-01', rule, { from: '2026-01-01', until: '2028-01-01' })).toEqual({
      kind: 'dates',
      walls: [],
      isCut: false,
    });
  });

  test.each([
    'INTERVAL=-1',
    'INTERVAL=0',
    'INTERVAL=1.5',
    'COUNT=-1',
    'COUNT=0',
    'BYMONTHDAY=32',
    'BYMONTHDAY=0',
    'BYMONTH=13',
    'BYMONTH=0',
    'BYHOUR=25',
    'BYHOUR=24',
    'BYSECOND=60',
    'BYMONTHDAY=-32',
    'BYMINUTE=60',
    'BYYEARDAY=367',
    'BYDAY=XX',
    'BYDAY=0MO',
    'BYDAY=54MO',
    'BYDAY=',
    'BYSETPOS=0',
    'BYSETPOS=1',
    'WKST=NO',
    'UNTIL=x',
    'UNTIL=20261331',
    'UNTIL=20261201T256100',
    'COUNT=2;COUNT=3',
    'COUNT=2=3',
    'SKIP=OMIT',
    'BYDAY=2MO',
    'BYWEEKNO=3',
    'BYYEARDAY=3',
    '=',
  ])('a rule with %s is not believed at all', (part) => {
    expect(readRule(`FREQ=DAILY;${part}`).kind).toBe('not-understood');
  });
  test.each([
    'FREQ=DAILY;BYHOUR=0,23;BYMINUTE=0,59;BYSECOND=0,59',
    'FREQ=DAILY;BYMONTH=1,12;BYMONTHDAY=1,31,-1,-31',
    'FREQ=YEARLY;BYYEARDAY=1,366,-1,-366',
    'FREQ=YEARLY;BYWEEKNO=1,53,-1,-53;BYDAY=MO',
    'FREQ=YEARLY;BYDAY=1MO,53MO,-53SU,+2TU',
    'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=1,366,-366;WKST=SU;INTERVAL=1;COUNT=1;',
    'freq=weekly;byday=mo;until=20261201T090000Z',
  ])('%s is a rule', (rule) => {
    expect(readRule(rule).kind).toBe('rule');
  });
  test.each(['FREQ=YEARLY;BYWEEKNO=54;BYDAY=MO', 'FREQ=YEARLY;BYDAY=-54SU', 'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=367'])(
    '%s is none: nothing has so many',
    (rule) => {
      expect(readRule(rule).kind).toBe('not-understood');
    },
  );
  test.each(['', 'INTERVAL=2', 'FREQ=', 'FREQ=OFTEN', 'FREQ=WEEKLY;BYMONTHDAY=3', 'FREQ=WEEKLY;BYDAY=2MO'])(
    '%j is no rule',
    (rule) => {
      expect(readRule(rule).kind).toBe('not-understood');
    },
  );

  test('more dates than anybody plays are cut, and a count over two centuries is too far', () => {
    const cut = from('2026-01-01', 'FREQ=DAILY');
    expect([days(cut).length, cut.kind === 'dates' && cut.isCut]).toEqual([800, true]);
    expect(from('2026-01-01', 'FREQ=DAILY;COUNT=800')).toMatchObject({ isCut: false });
    const far = { start: wall('1900-01-01'), rule: 'FREQ=DAILY;COUNT=1000000', fromMs: (ms: number) => ms };
    expect(recurred({ ...far, from: wall('2026-01-01'), until: wall('2028-01-01') }).kind).toBe('dates');
    const budget = { days: 40_000 };
    expect(recurred({ ...far, from: wall('2026-01-01'), until: wall('2028-01-01'), budget }).kind).toBe('too-far');
    expect(budget.days).toBeLessThan(0);
  });
});

describe('what a rule says', () => {
  const kind = (rule: string) => readRule(rule).kind;
  test('has its parts where they say something, and no other', () => {
    expect(
      [
        'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=1',
        'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=-1',
        'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=366',
        'FREQ=YEARLY;BYDAY=1MO',
        'FREQ=YEARLY;BYWEEKNO=5;BYDAY=MO',
        'FREQ=YEARLY;BYYEARDAY=1',
      ].map(kind),
    ).toEqual(Array(6).fill('rule'));
    expect(
      [
        'FREQ=YEARLY;BYWEEKNO=5;BYDAY=1MO',
        'FREQ=WEEKLY;BYDAY=1MO',
        'FREQ=DAILY;BYDAY=1MO',
        'FREQ=WEEKLY;BYMONTHDAY=1',
        'FREQ=MONTHLY;BYYEARDAY=1',
        'FREQ=MONTHLY;BYWEEKNO=5',
        'FREQ=MONTHLY;BYSETPOS=1',
        'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=0',
        'FREQ=MONTHLY;BYDAY=MO;BYSETPOS=367',
      ].filter((rule) => kind(rule) !== 'not-understood'),
    ).toEqual([]);
  });
});
