import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { benchDays, clashOn, costsOf, type BenchAsked } from '#core/bench/bench-days.ts';
import { stayFrom, type AwayFor, type ShutDays } from '#core/bench/stay.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { bestDays, makesSense, priceOf, stayOf } from '#core/testing/bench-oracle.ts';
import { addDays, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';

/** A Friday. */
const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const [clarinet, spare, third] = ['clarinet' as InstrumentId, 'spare' as InstrumentId, 'third' as InstrumentId];
const byHand: AwayFor = { workingDays: 5, shippingDays: 0, settlingDays: 3 };
const NEVER_SHUT: ShutDays = new Map();
const event = (
  what: CalendarEvent['what'],
  from: number,
  to = from,
  over: Partial<CalendarEvent> = {},
): CalendarEvent => ({
  key: `${what} ${from}`,
  playerId: 'ada' as PlayerId,
  what,
  on: on(from),
  until: to === from ? null : on(to),
  minutes: null,
  atMinute: null,
  minutesOf: [],
  repeats: null,
  name: null,
  instrumentIds: [clarinet],
  stay: null,
  origin: null,
  ...over,
});
const asked = (over: Partial<BenchAsked> = {}): BenchAsked => ({
  today,
  instrumentId: clarinet,
  jobs: [{ due: on(40), from: on(3), severity: 'function' }],
  away: byHand,
  shut: NEVER_SHUT,
  noShippingMonths: [],
  isAwayOnHolidays: false,
  events: [],
  kin: [],
  minutesOn: () => 30,
  ...over,
});

describe('a stay at the bench', () => {
  const shutOn = (...dates: string[]): ShutDays =>
    new Map(dates.map((date) => [dayNumber(localDate(date)), 'Christmas']));
  const christmas = shutOn('2026-12-25', '2026-12-26');

  test('is worked on from Monday to Friday, and ready after the days of settling', () => {
    expect(stayFrom(localDate('2026-11-30'), byHand, NEVER_SHUT)).toMatchObject({
      back: '2026-12-07',
      ready: '2026-12-10',
    });
    // Wednesday: Wed, Thu, Fri, Mon, Tue.
    expect(stayFrom(localDate('2026-12-02'), byHand, NEVER_SHUT).back).toBe('2026-12-09');
    // Waited for: it is back on the day it is taken.
    expect(stayFrom(localDate('2026-12-02'), { ...byHand, workingDays: 0 }, NEVER_SHUT).back).toBe('2026-12-02');
  });

  test('is longer over a holiday; a parcel neither lies over one nor over a weekend', () => {
    const back = (day: string, away: AwayFor, shut = christmas) => stayFrom(localDate(day), away, shut).back;
    // Taken there on Friday the 18th, five working days: Fri, Mon to Thu; the Friday after is Christmas Day.
    expect(back('2026-12-18', byHand)).toBe('2026-12-28');
    expect(back('2026-12-18', byHand, NEVER_SHUT)).toBe('2026-12-25');
    const sent = { ...byHand, workingDays: 1, shippingDays: 2 };
    expect(back('2026-12-18', sent, NEVER_SHUT)).toBe('2026-12-24');
    expect(back('2026-12-21', sent)).toBe('2026-12-30');
    // A long way lies over a weekend whenever it is sent, and comes on a working day.
    expect(back('2026-12-14', { ...byHand, workingDays: 1, shippingDays: 5 })).toBe('2026-12-28');
  });
});

describe('a day on which it does not go', () => {
  test.each<[string, Partial<BenchAsked>, number, string]>([
    ['a weekend', {}, 1, 'shut'],
    ['a parcel over a weekend', { away: { ...byHand, shippingDays: 2 } }, 6, 'shut-on-the-way'],
    ['a journey on the day', { events: [event('travel', 4, 6)] }, 5, 'journey'],
    ['a journey on the day it comes back', { events: [event('travel', 10, 11)] }, 3, 'journey'],
    ['its only spare away', { kin: [spare], events: [event('bench', 5, 9, { instrumentIds: [spare] })] }, 4, 'kin'],
    ['its own stay', { events: [event('bench', 5, 9)] }, 4, 'own-stay'],
    ['an audition before it is settled', { events: [event('audition', 12)] }, 3, 'audience'],
    [
      'a concert on the day it is back, with nothing to settle',
      { away: { ...byHand, settlingDays: 0 }, events: [event('concert', 10)] },
      3,
      'audience',
    ],
    [
      'a month in which nothing is sent',
      { away: { ...byHand, shippingDays: 1 }, noShippingMonths: [12] },
      3,
      'no-shipping',
    ],
    ['sent back in such a month', { away: { ...byHand, shippingDays: 1 }, noShippingMonths: [1] }, 31, 'no-shipping'],
  ])('%s', (_, over, day, kind) => {
    expect(clashOn(on(day), asked(over))?.kind).toBe(kind);
  });

  test('two spares leave one at home; by hand it goes in frost; a rehearsal, another’s concert, a pupil’s holiday stop nothing', () => {
    const one = event('bench', 5, 9, { instrumentIds: [spare] });
    const both = [one, event('bench', 8, 12, { instrumentIds: [third] })];
    expect(clashOn(on(4), asked({ kin: [spare, third], events: [one] }))).toBeNull();
    expect(clashOn(on(4), asked({ kin: [spare, third], events: both }))?.kind).toBe('kin');
    // One after the other, so that one of them is always there.
    const inTurn = [
      event('bench', 3, 6, { instrumentIds: [spare] }),
      event('bench', 7, 12, { instrumentIds: [third] }),
    ];
    expect(clashOn(on(4), asked({ kin: [spare, third], events: inTurn }))).toBeNull();
    expect(clashOn(on(4), asked({ noShippingMonths: [12] }))).toBeNull();
    const others = event('concert', 7, 7, { instrumentIds: [spare] });
    expect(clashOn(on(4), asked({ events: [event('rehearsal', 5), others, event('holiday', 4, 12)] }))).toBeNull();
    expect(clashOn(on(4), asked({ isAwayOnHolidays: true, events: [event('holiday', 4, 12)] }))?.kind).toBe('journey');
  });
});

describe('what a day costs', () => {
  const costs = (day: number, over: Partial<BenchAsked> = {}) => {
    const of = asked(over);
    return costsOf(stayFrom(on(day), of.away, of.shut), of);
  };

  test('by hand: what is lost, a spare, lateness by severity, earliness, rehearsals and the way', () => {
    // Monday, day 3, to Monday, day 10: seven days of 30 minutes.
    expect(costs(3)).toEqual({ lost: 210, overdue: 0, settling: 0, shipping: 0, early: 0 });
    expect(costs(3, { kin: [spare] })).toMatchObject({ lost: 63 });
    const due = (severity: 'lasting' | 'function' | 'looks') => ({ jobs: [{ due: on(-11), from: null, severity }] });
    expect(costs(3, due('function'))).toMatchObject({ overdue: 80 });
    expect(costs(3, due('lasting'))).toMatchObject({ overdue: 120 });
    expect(costs(3, due('looks'))).toMatchObject({ overdue: 40 });
    expect(costs(3, { jobs: [{ due: on(60), from: on(31), severity: 'function' }] })).toMatchObject({ early: 40 });
    // Back on day 10, ready on day 13: half of the rehearsal within, by the minutes of this instrument.
    const rehearsal = event('rehearsal', 11, 11, { minutes: 90 });
    expect(costs(3, { events: [rehearsal] })).toMatchObject({ settling: 45 });
    const own = { ...rehearsal, minutesOf: [{ instrumentId: clarinet, minutes: 40 }] };
    expect(costs(3, { events: [own, event('rehearsal', 13, 13, { minutes: 90 })] })).toMatchObject({ settling: 20 });
    expect(costs(4, { away: { ...byHand, shippingDays: 2 } })).toMatchObject({ shipping: 40 });
  });

  test('a concert two days after it is ready costs nothing: settling is a rule, two free weeks are none', () => {
    const { days } = benchDays(
      asked({ events: [event('concert', 15)], jobs: [{ due: on(3), from: null, severity: 'function' }] }),
    );
    expect(days[0]).toMatchObject({ on: on(3), ready: on(13) });
  });
});

describe('the days that are offered', () => {
  test('lie where nothing is played, and a week apart', () => {
    const free = (day: number) => day >= dayNumber(on(27)) && day <= dayNumber(on(36));
    const { days, monthLater } = benchDays(asked({ minutesOn: (day) => (free(day) ? 0 : 30) }));
    // Friday, day 28, to Friday, day 35.
    expect(days[0]).toMatchObject({ on: on(28), sum: 0 });
    expect(days).toHaveLength(3);
    for (const day of days.slice(1)) expect(Math.abs(dayNumber(day.on) - dayNumber(on(28)))).toBeGreaterThanOrEqual(7);
    expect(monthLater && dayNumber(monthLater.on) - dayNumber(on(28))).toBeGreaterThanOrEqual(28);
  });

  test('among equals it is the one nearest to its date, then the earliest', () => {
    const { days } = benchDays(asked({ minutesOn: () => 0 }));
    expect(days[0]?.on).toBe(on(40));
  });

  test('where every day clashes there is none, and it is said with what', () => {
    const events = Array.from({ length: 400 }, (_, day) => event('concert', day));
    const { days, monthLater, inTheWay } = benchDays(asked({ events }));
    expect([days, monthLater]).toEqual([[], null]);
    expect(inTheWay.length).toBeGreaterThan(30);
  });

  test('equal a little enumeration that is written from the words, in a thousand years of anybody', () => {
    const some = fc.record({
      what: fc.constantFrom<CalendarEvent['what']>('concert', 'audition', 'travel', 'bench', 'holiday', 'rehearsal'),
      from: fc.integer({ min: -3, max: 120 }),
      long: fc.integer({ min: 0, max: 9 }),
      minutes: fc.integer({ min: 1, max: 200 }),
      of: fc.constantFrom(clarinet, spare, third, 'another' as InstrumentId),
    });
    const job = fc.record({
      due: fc.integer({ min: -90, max: 180 }),
      early: fc.option(fc.integer({ min: 0, max: 90 })),
      severity: fc.constantFrom('person' as const, 'lasting' as const, 'function' as const, 'looks' as const),
    });
    const away = fc.record({
      workingDays: fc.integer({ min: 0, max: 22 }),
      shippingDays: fc.constantFrom(0, 0, 1, 2, 5),
      settlingDays: fc.integer({ min: 0, max: 14 }),
    });
    const whole = fc.record({
      list: fc.array(some, { maxLength: 7 }),
      jobs: fc.array(job, { minLength: 1, maxLength: 4 }),
      away,
      kin: fc.subarray([spare, third]),
      months: fc.subarray([1, 2, 12]),
      shut: fc.uniqueArray(fc.integer({ min: 0, max: 90 }), { maxLength: 6 }),
      seed: fc.nat(),
    });
    fc.assert(
      fc.property(whole, ({ list, jobs, kin, months, shut, seed, away: figures }) => {
        const of = asked({
          jobs: jobs.map(({ due, early, severity }) => ({
            due: on(due),
            from: early === null ? null : on(due - early),
            severity,
          })),
          away: figures,
          kin,
          noShippingMonths: months,
          events: list.map(({ what, from, long, minutes, of: instrument }) =>
            event(what, from, ['travel', 'bench', 'holiday'].includes(what) ? from + long : from, {
              instrumentIds: [instrument],
              minutes: what === 'rehearsal' ? minutes : null,
            }),
          ),
          shut: new Map(shut.map((ahead) => [dayNumber(today) + ahead, 'a holiday'])),
          isAwayOnHolidays: seed % 2 === 0,
          minutesOn: (day) => (day * ((seed % 90) + 7)) % 60,
        });
        const { days } = benchDays(of);
        expect(days.map((day) => day.on)).toEqual(bestDays(of));
        for (const { on: day, back, ready, costs: paid, sum } of days) {
          const stay = stayOf(day, of.away, of.shut);
          expect([back, ready]).toEqual([stay.back, stay.ready]);
          expect(paid).toEqual(priceOf(day, of));
          expect(Object.values(paid).reduce((a, b) => a + b, 0)).toBe(sum);
        }
        const wrong: LocalDate[] = [];
        for (let day = today; day <= on(10); day = addDays(day, 1))
          if (makesSense(day, of) !== (clashOn(day, of) === null)) wrong.push(day);
        expect(wrong).toEqual([]);
      }),
      { seed: 81, numRuns: 1000 },
    );
  });
});
