import { describe, expect, test } from '@jest/globals';
import {
  intervalOf,
  needless,
  reachable,
  settlesDays,
  settlingDays,
  timeOf,
  timesOf,
  type DueItem,
} from '#core/sittings/due-items.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { checkMove, pinOf, standingPins, type SittingPin } from '#core/sittings/sitting-pin.ts';
import type { SittingItem } from '#core/sittings/sittings.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const item = (over: Partial<SittingItem> = {}): SittingItem => ({
  id: 'clarinet:swab/wash',
  minutes: 2,
  due: 3,
  from: 0,
  until: Infinity,
  interval: 7,
  lateDay: 2,
  barred: new Set(),
  set: null,
  shown: null,
  ...over,
});

describe('the times a thing falls due', () => {
  test('what comes every week comes again until the plan ends, each time nearer to its own day', () => {
    const times = timesOf(item());
    expect(times.map(({ due }) => due)).toEqual([3, 10, 17, 24, 31, 38]);
    expect(times.map(({ from, until }) => [from, until])).toEqual([
      // Never before 0.6 of the week is over: two days before its own at the soonest.
      [0, 6],
      [8, 13],
      [15, 20],
      [22, 27],
      [29, 34],
      [36, 41],
    ]);
    expect(new Set(times.map(({ id }) => id)).size).toBe(times.length);
  });

  test.each([1, 2, 3, 5, 7, 14, 20, 30, 41])('no two of every %i days may lie on one day', (interval) => {
    const times = timesOf(item({ interval, due: 0 }));
    expect(times).toHaveLength(Math.ceil(42 / interval));
    times.forEach(({ from, due, until }, at) => {
      const next = times[at + 1];
      if (next) expect(next.from).toBeGreaterThan(until);
      expect([from <= due, due <= until]).toEqual([true, true]);
    });
  });

  test('what comes less often than the plan is long comes once, and what was put off not before its day', () => {
    expect(timesOf(item({ interval: 42 }))).toEqual([item({ interval: 42 })]);
    expect(timesOf(item({ from: 20 })).every(({ from }) => from >= 20)).toBe(true);
  });
});

describe('days set by hand', () => {
  const pin = (dueIn: number, onIn: number | null): SittingPin => ({
    instrumentId: 'clarinet' as InstrumentId,
    itemId: 'swab/wash' as SittingPin['itemId'],
    dueOn: addDays(localDate('2026-11-27'), dueIn),
    on: onIn === null ? null : addDays(localDate('2026-11-27'), onIn),
  });
  const stands = (...pins: SittingPin[]) => standingPins(pins, localDate('2026-11-27'));
  const sets = (...pins: SittingPin[]) => timesOf(item(), stands(...pins)).map(({ due, set }) => [due, set]);

  test('set the time nearest to what was moved, and the later ones are counted from there', () => {
    expect(sets(pin(3, 5)).slice(0, 3)).toEqual([
      [3, 5],
      [12, null],
      [19, null],
    ]);
    expect(sets(pin(3, 1)).slice(0, 3)).toEqual([
      [3, 1],
      [10, null],
      [17, null],
    ]);
    expect(sets(pin(10, 12)).slice(0, 3)).toEqual([
      [3, null],
      [10, 12],
      [19, null],
    ]);
  });

  test('of two moves the nearer is the time’s own, and what lies as far from two is the earlier one’s', () => {
    const pins = [
      { due: 6, on: 20 },
      { due: 4, on: 21 },
      { due: 1, on: 22 },
    ];
    expect([3, 5, 7, 9].map((due) => pinOf(pins, due, 8)?.on ?? null)).toEqual([21, 20, 20, 20]);
    expect(pinOf(pins, 0, 8)?.on).toBe(22);
    expect(pinOf(pins, 10, 8)?.on).toBe(20);
    expect(pinOf(pins, 11, 8)).toBeNull();
    expect(pinOf([], 3, 8)).toBeNull();
  });

  test('what was due before today is due today', () => {
    expect(standingPins([pin(-3, 2)], localDate('2026-11-27'))).toEqual([{ due: 0, on: 2 }]);
    expect(standingPins([pin(0, 0)], localDate('2026-11-27'))).toEqual([{ due: 0, on: 0 }]);
    expect(standingPins([pin(1, -1)], localDate('2026-11-27'))).toEqual([]);
  });

  test('the last word counts, and null leaves it to the plan', () => {
    expect(sets(pin(3, 5), pin(3, 6))[0]).toEqual([3, 6]);
    expect(sets(pin(3, 5), pin(3, null))[0]).toEqual([3, null]);
  });

  test('have had their day once it is over, or once the thing was done', () => {
    expect(stands(pin(3, -1))).toEqual([]);
    // Overdue since last week and set for tomorrow; then it was done today and is due in a week.
    const set = stands(pin(-7, 1));
    expect(timesOf(item({ due: 0 }), set)[0]?.set).toBe(1);
    expect(timesOf(item({ due: 7 }), set)[0]?.set).toBe(null);
  });

  test('one that is set early keeps the time before off its day', () => {
    const [before, moved] = timesOf(item(), stands(pin(10, 5)));
    expect([before?.until, moved?.set]).toEqual([4, 5]);
  });

  test('a move lies within the weeks, and not where the instrument is away', () => {
    const of = { today: localDate('2026-11-27'), isAway: (_: InstrumentId, day: string) => day === '2026-11-30' };
    const { on: _on, ...time } = pin(3, 5);
    const to = (days: number) => checkMove([time], addDays(of.today, days), of);
    expect(to(5)).toMatchObject({ ok: true, value: [{ on: '2026-12-02' }] });
    expect(to(-1)).toMatchObject({ ok: false, failure: { code: 'sitting-out-of-weeks' } });
    expect(to(42)).toMatchObject({ ok: false, failure: { code: 'sitting-out-of-weeks' } });
    expect(to(3)).toMatchObject({ ok: false, failure: { code: 'sitting-while-away' } });
    expect(checkMove([time, time], null, of)).toMatchObject({ ok: false, failure: { code: 'named-twice' } });
  });
});

test('a time that falls into a journey is done the next time and is late by then; one with no day at all stands once', () => {
  const clock = {} as DueItem['clock'];
  const times = timesOf(item()).map((one): DueItem => ({ item: one, clock, instrumentId: 'clarinet' as InstrumentId }));
  const without = (from: number, to: number) =>
    Array.from({ length: SITTING_DAYS }, (_, day) => (day >= from && day <= to ? 0 : 20));
  const days = (time: readonly number[]) => reachable(times, time).map(({ item: one }) => [one.due, one.from]);
  expect(days(without(50, 50))).toEqual(times.map(({ item: one }) => [one.due, one.from]));
  // The second and the third time have no day: the fourth is due since the second was.
  expect(days(without(7, 20))).toEqual([
    [3, 0],
    [10, 22],
    [31, 29],
    [38, 36],
  ]);
  // The last finds no day any more: it falls into the weeks after the plan.
  expect(days(without(35, 41))).toHaveLength(5);
  const [only] = times.slice(0, 1);
  expect(only && reachable([only], without(0, 41))).toHaveLength(1);
});

test('a time that lies too near to the one before need not be, unless the player has set it', () => {
  const clock = {} as DueItem['clock'];
  const dues = timesOf(item()).map((one): DueItem => ({ item: one, clock, instrumentId: 'clarinet' as InstrumentId }));
  const without = (...plan: (number | null)[]) => [...needless(dues, plan)].map(({ item: { due } }) => due);
  expect(without(3, 10, 17, 24, 31, 38)).toEqual([]);
  // Done late on the 13th and again on the 14th: the second need not be. Nor is the third measured from it.
  expect(without(3, 13, 14, 24, null, 41)).toEqual([17]);
  expect(without(6, 7, 20, 21, 34, 35)).toEqual([10, 24, 38]);
  const [first, second] = dues;
  if (!first || !second) throw new Error('no times');
  const set = { ...second, item: { ...second.item, set: 7 } };
  expect([...needless([first, set], [6, 7])]).toEqual([]);
});

test.each([
  ['not due yet: from the last time to the day it falls due', -4, 3, 4 / 7, 7],
  ['due today', -7, 0, 1, 7],
  // Sixteen days after a weekly wash it is still a weekly wash.
  ['overdue', -16, 0, 16 / 7, 7],
])('the interval of what is %s', (_, done, due, load, expected) => {
  const today = localDate('2026-11-27');
  const on = addDays(today, due);
  const clock = {
    lastDone: { on: addDays(today, done), by: 'player' as const },
    load,
    due: { on, earliest: on, latest: on },
  };
  expect(intervalOf(clock, today)).toBe(expected);
  expect(intervalOf({ ...clock, lastDone: null }, today)).toBe(90);
});

describe('the time of a player', () => {
  // A Friday.
  const today = localDate('2026-11-27');
  const off = (what: CalendarEvent['what'], from: number, to: number): CalendarEvent => ({
    key: 'e',
    playerId: 'ada' as PlayerId,
    what,
    on: addDays(today, from),
    until: addDays(today, to),
    minutes: null,
    name: null,
    instrumentIds: ['clarinet' as InstrumentId],
    stay: null,
    origin: null,
  });

  test('is as said by weekday, Monday first, and an hour only at the weekend before anybody has', () => {
    expect(timeOf([1, 2, 3, 4, 5, 6, 7], [], today).slice(0, 8)).toEqual([5, 6, 7, 1, 2, 3, 4, 5]);
    expect(timeOf(null, [], today)).toHaveLength(SITTING_DAYS);
    expect(timeOf(null, [], today).slice(0, 4)).toEqual([15, 60, 60, 15]);
  });

  test('is none on a holiday, a journey or the day of an audience; a stay at the bench takes the instrument, not the time', () => {
    expect(timeOf(null, [off('holiday', 1, 2), off('travel', 4, 4)], today).slice(0, 6)).toEqual([15, 0, 0, 15, 0, 15]);
    expect(timeOf(null, [{ ...off('concert', 1, 1), minutes: 80 }], today).slice(0, 3)).toEqual([15, 0, 60]);
    expect(timeOf(null, [off('bench', 1, 2)], today).slice(0, 3)).toEqual([15, 60, 60]);
  });
});

test('what settles two days is not done on the day of an audience nor on the two before, whatever else is on', () => {
  const on = localDate('2026-11-27');
  const event = (what: CalendarEvent['what'], ahead: number): CalendarEvent => ({
    key: `${what} ${ahead}`,
    playerId: 'ada' as PlayerId,
    what,
    on: addDays(on, ahead),
    until: null,
    minutes: null,
    name: null,
    instrumentIds: ['clarinet' as InstrumentId],
    stay: null,
    origin: null,
  });
  const events = [event('concert', 10), event('rehearsal', 20), event('audition', 30)];
  const oil = { skill: 'bore-oil' } as const;
  expect(settlingDays(oil, events, on).toSorted((a, b) => a - b)).toEqual([8, 9, 10, 28, 29, 30]);
  expect(settlingDays({ settles: { value: 1, mark: 'estimate' } }, events, on).toSorted((a, b) => a - b)).toEqual([
    9, 10, 29, 30,
  ]);
  expect(settlingDays({}, events, on)).toEqual([]);
});

test('a sitting that is moved is moved whole: every thing of it', () => {
  const today = localDate('2026-11-27');
  const thing = (itemId: string) => ({
    instrumentId: 'clarinet' as InstrumentId,
    itemId: itemId as CareItemId,
    dueOn: addDays(today, 3),
  });
  const on = addDays(today, 9);
  const moved = checkMove([thing('keyed/key-oil'), thing('swab/wash'), thing('tenon/grease')], on, {
    today,
    isAway: () => false,
  });
  expect(moved.ok && moved.value.map(({ itemId, on: to }) => [itemId, to])).toEqual([
    ['keyed/key-oil', on],
    ['swab/wash', on],
    ['tenon/grease', on],
  ]);
});

test('oil soaks in before an audience, and washing a swab waits for nobody', () => {
  const settles = (kind: KindId, id: CareItemId): number | null => {
    const item = usualPractice(BOOK, kind, usualBuild(BOOK.kinds[kind])).items.find((one) => one.id === id);
    return item === undefined ? null : settlesDays(item);
  };
  expect(settles('clarinet', 'single-reed/reed-hygiene')).toBe(0);
  expect(settles('clarinet', 'clarinet/thorough-clean')).toBe(1);
  expect(settles('bass-clarinet', 'bass-clarinet/thorough-clean')).toBe(1);
  expect(settles('trumpet', 'piston-brass/bath')).toBe(1);
  expect(settles('trombone', 'trombone/bath')).toBe(1);
  expect(settles('clarinet', 'keyed/key-oil')).toBe(1);
});

test('the days between two times are those of its clock; of what is overdue its load says how many', () => {
  const today = localDate('2026-11-27');
  const clock = (due: number | null, done: number | null, load: number | null) =>
    intervalOf(
      {
        due: due === null ? null : { on: addDays(today, due), earliest: today, latest: today },
        lastDone: done === null ? null : { on: addDays(today, done), by: 'player' },
        load,
      },
      today,
    );
  expect(clock(4, -3, 3 / 7)).toBe(7);
  expect(clock(0, -7, 1)).toBe(7);
  // Three weeks ago, three times as long as it should have been.
  expect(clock(0, -21, 3)).toBe(7);
  // Not yet due whatever its load says, and due with a load nobody knows: by its days.
  expect(clock(4, -3, 3)).toBe(7);
  expect(clock(0, -7, null)).toBe(7);
  expect(clock(0, 0, 1)).toBe(1);
  const [unknownDue, unknownDone] = [clock(null, -3, 1), clock(4, null, 1)];
  expect([unknownDue, unknownDone]).toEqual([unknownDue, unknownDue]);
  expect(unknownDue).toBeGreaterThan(40);
});
