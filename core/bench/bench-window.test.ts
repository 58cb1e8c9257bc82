import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { usualBench, type BenchTerms } from '#core/bench/bench-terms.ts';
import { benchWindow, clashOn, stayFrom, type BenchAsked } from '#core/bench/bench-window.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { bestDay, makesSense, stayOf } from '#core/testing/bench-oracle.ts';
import { addDays, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';

/** A Friday. */
const today = localDate('2026-11-27');
const [clarinet, spare] = ['clarinet' as InstrumentId, 'spare' as InstrumentId];
const byHand: BenchTerms = { ...usualBench, workingDays: 5, shippingDays: 0, settlingDays: 3 };
const event = (
  what: CalendarEvent['what'],
  from: number,
  to = from,
  over: Partial<CalendarEvent> = {},
): CalendarEvent => ({
  key: `${what} ${from}`,
  playerId: 'ada' as PlayerId,
  what,
  on: addDays(today, from),
  until: to === from ? null : addDays(today, to),
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
  due: addDays(today, 40),
  from: addDays(today, 3),
  until: addDays(today, 60),
  terms: byHand,
  shut: new Map(),
  isAwayOnHolidays: false,
  events: [],
  kin: [spare],
  minutesOn: () => 30,
  ...over,
});
const NEVER_SHUT: BenchAsked['shut'] = new Map();
const days = (stretch: { from: LocalDate; to: LocalDate } | undefined) =>
  stretch && [dayNumber(stretch.from) - dayNumber(today), dayNumber(stretch.to) - dayNumber(today)];

describe('a stay at the bench', () => {
  test('five working days from a Monday, carried by hand: fetched on the Monday after, for nobody is there on a Saturday', () => {
    expect(stayFrom(localDate('2026-11-30'), byHand, NEVER_SHUT)).toEqual({
      on: '2026-11-30',
      back: '2026-12-07',
      ready: '2026-12-10',
    });
    // Wednesday: Wed, Thu, Fri, Mon, Tue.
    expect(stayFrom(localDate('2026-12-02'), byHand, NEVER_SHUT).back).toBe('2026-12-09');
  });

  test('is not handed out, sent or brought on a public holiday, and no parcel lies over one', () => {
    const shutOn = (...dates: string[]) => new Map(dates.map((date) => [dayNumber(localDate(date)), 'Christmas']));
    const christmas = shutOn('2026-12-25', '2026-12-26');
    const back = (on: string, terms: BenchTerms, shut: BenchAsked['shut'] = christmas) =>
      stayFrom(localDate(on), terms, shut).back;
    // Taken there on Friday the 18th, five working days: Fri, Mon to Thu; the Friday after is Christmas Day.
    expect(back('2026-12-18', byHand)).toBe('2026-12-28');
    expect(back('2026-12-18', byHand, NEVER_SHUT)).toBe('2026-12-25');
    // Ready on Wednesday, two days on the way: sent after the holiday and the weekend, not to lie over them.
    const sent = { ...byHand, workingDays: 1, shippingDays: 2 };
    expect(back('2026-12-18', sent, NEVER_SHUT)).toBe('2026-12-24');
    expect(back('2026-12-21', sent)).toBe('2026-12-30');
    // A long way lies over a weekend whenever it is sent, and comes on a working day.
    expect(back('2026-12-14', { ...byHand, workingDays: 1, shippingDays: 5 })).toBe('2026-12-28');
    const clash = (on: string, over: Partial<BenchAsked> = {}) =>
      clashOn(localDate(on), asked({ shut: christmas, ...over }));
    expect(clash('2026-12-25')?.kind).toBe('shut');
    expect(clash('2026-12-24', { terms: sent })?.kind).toBe('shut-on-the-way');
    expect(clash('2026-12-24')).toBeNull();
  });

  test('is not begun or fetched on a holiday of somebody who is away then; a school hands in just then', () => {
    const holiday = event('holiday', 10, 14);
    const clash = (isAwayOnHolidays: boolean) =>
      clashOn(addDays(today, 12), asked({ events: [holiday], isAwayOnHolidays }));
    expect([clash(true)?.event?.key, clash(false)]).toEqual([holiday.key, null]);
  });

  test('ten working days and two of carrier each way: nearly three weeks', () => {
    expect(stayFrom(localDate('2026-11-30'), usualBench, NEVER_SHUT)).toEqual({
      on: '2026-11-30',
      back: '2026-12-18',
      ready: '2026-12-21',
    });
  });
});

describe('the day to take it there', () => {
  test('a concert keeps it at home until it could not be back and settled before, and from the day after it is free', () => {
    const { windows, inTheWay } = benchWindow(asked({ events: [event('concert', 20)] }));
    // Day 20 is a Thursday. Taken on Monday the 7th (day 10) it is fetched on Monday, day 17, and settled on day 20.
    expect(days(windows[0])).toEqual([3, 10]);
    expect(days(windows[1])).toEqual([21, 60]);
    expect(inTheWay).toMatchObject([{ kind: 'audience', event: { key: 'concert 20' } }]);
  });

  test.each([
    ['a weekend', asked(), 1, 'shut'],
    ['a parcel over a weekend', asked({ terms: { ...byHand, shippingDays: 2 } }), 6, 'shut-on-the-way'],
    ['a journey on the day', asked({ events: [event('travel', 4, 6)] }), 5, 'journey'],
    ['a journey on the day it comes back', asked({ events: [event('travel', 10, 11)] }), 3, 'journey'],
    ['another of its kind away', asked({ events: [event('bench', 5, 9, { instrumentIds: [spare] })] }), 4, 'kin'],
    ['its own stay', asked({ events: [event('bench', 5, 9)] }), 4, 'own-stay'],
    ['an audition before it is settled', asked({ events: [event('audition', 10)] }), 3, 'audience'],
  ])('is not %s', (_, of, day, kind) => {
    expect(clashOn(addDays(today, day), of)?.kind).toBe(kind);
  });

  test('a rehearsal, another’s concert and a holiday keep nothing at home', () => {
    const others = event('concert', 7, 7, { instrumentIds: [spare] });
    const events = [event('rehearsal', 5), others, event('holiday', 4, 12)];
    expect(clashOn(addDays(today, 4), asked({ events }))).toBeNull();
  });

  test('the best is the one that loses the least playing: in the holiday', () => {
    const holiday = (day: number) => day >= dayNumber(today) + 27 && day <= dayNumber(today) + 36;
    const { best } = benchWindow(asked({ minutesOn: (day) => (holiday(day) ? 0 : 30) }));
    expect(best).toMatchObject({ minutesLost: 0 });
    // Friday to Thursday is worked on, fetched on Friday, day 35: all within the holiday. Nearer to its date it is not.
    expect(best?.on).toBe(addDays(today, 28));
  });

  test('two weeks are left before an audience where a day does, even where more is lost; where none does it says so', () => {
    // Less is played in the third week, and the concert is on the day after its two weeks.
    const lessFrom = (day: number) => (asDay: number) => (asDay >= dayNumber(today) + day ? 10 : 30);
    const concert = event('concert', 34);
    const { best } = benchWindow(asked({ events: [concert], until: addDays(today, 33), minutesOn: lessFrom(15) }));
    expect(best).toMatchObject({ before: null, losesLeast: false });
    expect(dayNumber(concert.on) - dayNumber(best?.ready ?? concert.on)).toBeGreaterThanOrEqual(14);
    const shows = Array.from({ length: 9 }, (_, week) => event('concert', 7 * week + 15));
    const crowded = benchWindow(
      asked({ events: shows, until: addDays(today, 60), terms: { ...byHand, workingDays: 1 } }),
    );
    expect(crowded.best?.before?.what).toBe('concert');
    expect(crowded.best?.losesLeast).toBe(true);
    // Another's concert is no reason.
    const others = benchWindow(asked({ events: [event('concert', 34, 34, { instrumentIds: [spare] })] }));
    expect(others.best?.before).toBeNull();
  });

  test('what is overdue goes on the first day that makes sense, whatever it loses', () => {
    const { best, isLate } = benchWindow(
      asked({
        due: addDays(today, -90),
        from: addDays(today, -200),
        until: addDays(today, -1),
        events: [event('concert', 4)],
      }),
    );
    expect(isLate).toBe(true);
    expect(best?.on).toBe(addDays(today, 5 + 2 - 2));
  });

  test('a concert every day leaves no day, and says what is in the way', () => {
    const events = Array.from({ length: 80 }, (_, day) => event('concert', day));
    const { windows, best, inTheWay } = benchWindow(asked({ events }));
    expect([windows, best]).toEqual([[], null]);
    expect(inTheWay.length).toBeGreaterThan(30);
  });

  test('is what the words of its rules say, and so is every day that makes sense, whatever is on', () => {
    const some = fc.record({
      what: fc.constantFrom<CalendarEvent['what']>('concert', 'audition', 'travel', 'bench', 'holiday', 'rehearsal'),
      from: fc.integer({ min: -3, max: 80 }),
      long: fc.integer({ min: 0, max: 6 }),
      on: fc.constantFrom(clarinet, spare, 'another' as InstrumentId),
    });
    const terms = fc.record({
      workingDays: fc.integer({ min: 1, max: 12 }),
      shippingDays: fc.integer({ min: 0, max: 5 }),
      settlingDays: fc.integer({ min: 0, max: 4 }),
    });
    const sorts = fc.record({
      due: fc.integer({ min: -20, max: 60 }),
      early: fc.integer({ min: 0, max: 30 }),
      late: fc.integer({ min: 0, max: 30 }),
    });
    fc.assert(
      fc.property(
        fc.array(some, { maxLength: 7 }),
        terms,
        sorts,
        fc.nat(),
        fc.uniqueArray(fc.integer({ min: 0, max: 90 }), { maxLength: 6 }),
        (list, figures, { due, early, late }, seed, shut) => {
          const of = asked({
            due: addDays(today, due),
            from: addDays(today, due - early),
            until: addDays(today, due + late),
            terms: { ...byHand, ...figures },
            events: list.map(({ what, from, long, on }) =>
              event(what, from, what === 'travel' || what === 'bench' || what === 'holiday' ? from + long : from, {
                instrumentIds: [on],
              }),
            ),
            shut: new Map(shut.map((ahead) => [dayNumber(today) + ahead, 'a holiday'])),
            isAwayOnHolidays: seed % 2 === 0,
            minutesOn: (day) => (day * ((seed % 90) + 7)) % 60,
          });
          const { best, windows, isLate } = benchWindow(of);
          expect(best?.on ?? null).toBe(bestDay(of));
          if (best !== null) expect(best).toMatchObject(stayOf(best.on, of.terms, of.shut));
          const first = of.from > today ? of.from : today;
          const last = isLate ? addDays(first, 120) : of.until > first ? of.until : first;
          const wrong: string[] = [];
          for (let day = first; day <= last; day = addDays(day, 1)) {
            const isIn = windows.some(({ from, to }) => from <= day && day <= to);
            if (makesSense(day, of) !== (clashOn(day, of) === null)) wrong.push(`${day} makes sense otherwise`);
            if (makesSense(day, of) && !isIn) wrong.push(`${day} is in no window`);
          }
          for (const { from, to } of windows)
            for (const end of [from, to]) if (!makesSense(end, of)) wrong.push(`${end} ends a window`);
          expect(wrong).toEqual([]);
        },
      ),
      { seed: 81, numRuns: 300 },
    );
  });
});
