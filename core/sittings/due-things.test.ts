import { describe, expect, test } from '@jest/globals';
import { intervalOf, overdueOf, settlesDays, settlingDays, timeOf, withPins } from '#core/sittings/due-things.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { checkMove, standingPins, type SittingPin } from '#core/sittings/sitting-pin.ts';
import { planSittings } from '#core/sittings/plan-sittings.ts';
import type { SittingThing } from '#core/sittings/sittings.ts';
import { aThing } from '#core/testing/sittings.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');

describe('days set by hand', () => {
  const pin = (dueIn: number, onIn: number | null): SittingPin => ({
    instrumentId: 'clarinet' as InstrumentId,
    itemId: 'swab/wash' as SittingPin['itemId'],
    dueOn: addDays(today, dueIn),
    on: onIn === null ? null : addDays(today, onIn),
  });
  const weekly = aThing({ due: 3, every: 7 });
  const stands = (due: number, ...pins: SittingPin[]) => standingPins(pins, today, { due, interval: 7 });
  const pinned = (...pins: SittingPin[]) => withPins(weekly, stands(3, ...pins));
  const barred = ({ barred: days }: SittingThing) => [...days].toSorted((a, b) => a - b);

  test('are done on that day, and not on those it was moved away from', () => {
    // Due on day 3 and set for day 5: neither on its own day nor on those it might have been lent to.
    expect([pinned(pin(3, 5)).set, barred(pinned(pin(3, 5)))]).toEqual([[5], [1, 2, 3, 4]]);
    // Pulled forward: the time it was set for is not done once more on its own day.
    expect([pinned(pin(10, 5)).set, barred(pinned(pin(10, 5)))]).toEqual([[5], [3, 4, 6, 7, 8, 9, 10]]);
    const both = pinned(pin(3, 5), pin(10, 12));
    expect([both.set, barred(both)]).toEqual([
      [5, 12],
      [1, 2, 3, 4, 8, 9, 10, 11],
    ]);
    expect(pinned()).toEqual(weekly);
  });

  test('the plan goes on from them: what is set late is counted from there, what is set early too', () => {
    const time = Array.from({ length: 42 }, () => 30);
    const plan = (...pins: SittingPin[]) =>
      planSittings({ problem: { time, things: [{ ...pinned(...pins), lateDay: 8 }] } }).plan[0]?.slice(0, 3);
    expect(plan()).toEqual([3, 10, 17]);
    expect(plan(pin(3, 5))).toEqual([5, 12, 19]);
    expect(plan(pin(3, 1))).toEqual([1, 8, 15]);
    // On the third day or the fifth it is as late: that time, or the one that is set.
    expect(plan(pin(10, 12))?.slice(1)).toEqual([12, 19]);
  });

  test('the last word counts for each time, though its due day has moved a little since; null leaves it to the plan', () => {
    expect(stands(3, pin(3, 5), pin(3, 6))).toEqual([{ due: 3, on: 6 }]);
    expect(stands(3, pin(3, 5), pin(4, 6))).toEqual([{ due: 4, on: 6 }]);
    expect(stands(3, pin(3, 5), pin(3, null))).toEqual([]);
    expect(stands(3, pin(3, 5), pin(4, null))).toEqual([]);
    expect(stands(3, pin(3, 5), pin(10, 12))).toEqual([
      { due: 10, on: 12 },
      { due: 3, on: 5 },
    ]);
  });

  test('what was due before today is due today', () => {
    expect(stands(0, pin(-3, 2))).toEqual([{ due: 0, on: 2 }]);
    expect(stands(0, pin(0, 0))).toEqual([{ due: 0, on: 0 }]);
    expect(stands(0, pin(1, -1))).toEqual([]);
  });

  test('have had their day once it is over, or once the thing was done', () => {
    expect(stands(3, pin(3, -1))).toEqual([]);
    // Overdue since last week and set for tomorrow; then it was done today and is due in a week.
    expect(stands(0, pin(-7, 1))).toEqual([{ due: 0, on: 1 }]);
    expect(stands(7, pin(-7, 1))).toEqual([]);
  });

  test('a day beyond the plan is a day it waits for', () => {
    const waits = withPins(weekly, [{ due: 3, on: SITTING_DAYS + 2 }]);
    expect([waits.set, waits.from]).toEqual([[], SITTING_DAYS + 2]);
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

describe('the time of a player', () => {
  // A Friday.
  const off = (what: CalendarEvent['what'], from: number, to: number): CalendarEvent => ({
    key: 'e',
    playerId: 'ada' as PlayerId,
    what,
    on: addDays(today, from),
    until: addDays(today, to),
    minutes: null,
    name: null,
    instrumentIds: ['clarinet' as InstrumentId],
    atMinute: null,
    minutesOf: [],
    repeats: null,
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
    atMinute: null,
    minutesOf: [],
    repeats: null,
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

test('what is due is overdue half its interval later; what is overdue already is counted as due today', () => {
  expect(overdueOf({ state: 'fresh', load: 0.2 }, 5, 7)).toBe(9);
  // Nine of seven days are over: on the second day from today it will be eleven.
  expect(overdueOf({ state: 'due', load: 9 / 7 }, 0, 7)).toBe(2);
  expect(overdueOf({ state: 'due', load: 1.49 }, 0, 7)).toBe(1);
  expect(overdueOf({ state: 'overdue', load: 4 }, 0, 7)).toBe(4);
  expect(overdueOf({ state: 'due', load: null }, 0, 7)).toBe(4);
});
