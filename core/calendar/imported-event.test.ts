import { describe, expect, test } from '@jest/globals';
import type { CalendarEvent, EventOrigin } from '#core/calendar/event.ts';
import { awayUntil, doneAtBench } from '#core/calendar/event.ts';
import { standingEvents, type ImportedEvent } from '#core/calendar/imported-event.ts';
import { datesOf } from '#core/calendar/repeated-event.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import { withBench } from '#core/care/done-at-bench.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { addDays, dayNumber, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const player = 'ada' as PlayerId;
const [clarinet, horn] = ['clarinet' as InstrumentId, 'horn' as InstrumentId];
const event = (key: string, days: number, over: Partial<CalendarEvent> = {}): CalendarEvent => ({
  key,
  playerId: player,
  what: 'concert',
  on: on(days),
  until: null,
  minutes: 60,
  name: null,
  instrumentIds: [clarinet],
  atMinute: null,
  minutesOf: [],
  repeats: null,
  stay: null,
  origin: null,
  ...over,
});
const imported = (uid: string, days: number, said = `${days}`): ImportedEvent => {
  const {
    playerId: _player,
    stay: _stay,
    origin: _origin,
    minutesOf: _of,
    repeats: _repeats,
    ...plain
  } = event(`i-${uid}`, days);
  return { ...plain, uid, instance: null, said };
};
const from = (uid: string, over: Partial<EventOrigin> = {}): EventOrigin => ({
  calendar: 'Band',
  uid,
  instance: null,
  said: '3',
  dropped: false,
  ...over,
});
const asked = { playerId: player, keyOf: (series: string, day: string) => `${series} ${day}` };
const keys = (typed: CalendarEvent[], ...imports: ImportedEvent[][]) =>
  standingEvents(
    typed,
    imports.map((events) => ({ calendar: 'Band', events })),
    asked,
  ).map(({ key }) => key);

describe('the events that stand', () => {
  test('are what was typed and what the last import of a calendar says, in their order', () => {
    expect(keys([event('t', 4)], [imported('old', 1)], [imported('a', 3), imported('b', 5)])).toEqual([
      'i-a',
      't',
      'i-b',
    ]);
  });

  test('two calendars stand beside each other, though they name the same', () => {
    const both = [
      { calendar: 'Band', events: [imported('a', 3)] },
      { calendar: 'School', events: [imported('a', 3)] },
    ];
    expect(standingEvents([], both, asked).map(({ origin }) => origin?.calendar)).toEqual(['Band', 'School']);
  });

  test('what the player has put right stands until its calendar says something else of it', () => {
    const mine = event('mine', 3, { origin: from('a') });
    expect(keys([mine], [imported('a', 3)])).toEqual(['mine']);
    expect(keys([mine], [imported('a', 6)])).toEqual(['i-a']);
    // It has vanished from its calendar, and with it what was put right of it.
    expect(keys([mine], [])).toEqual([]);
  });

  test('what is not wanted stays away, whatever its calendar makes of it', () => {
    const dropped = event('no', 3, { origin: from('a', { dropped: true }) });
    expect(keys([dropped], [imported('a', 3)])).toEqual([]);
    expect(keys([dropped], [imported('a', 9)])).toEqual([]);
  });
});

describe('an event that comes again and again', () => {
  const weekly = event('band', 3, { what: 'rehearsal', repeats: { weeks: 2, until: on(40) } });

  test('stands as the single events it is, each under a key of its own', () => {
    expect(standingEvents([weekly], [], asked).map(({ key, on: day, repeats }) => [key, day, repeats])).toEqual(
      [3, 17, 31].map((days) => [`band ${on(days)}`, on(days), null]),
    );
    // To the very last day, and no further.
    expect(datesOf({ on: on(3), repeats: { weeks: 2, until: on(31) } })).toHaveLength(3);
    expect(datesOf({ on: on(3), repeats: { weeks: 2, until: on(30) } })).toHaveLength(2);
    expect(datesOf({ on: on(3), repeats: null })).toEqual([on(3)]);
  });

  test('one of them is put right or left out alone, and stays so when all are changed', () => {
    const one = standingEvents([weekly], [], asked)[1];
    if (one === undefined || one.origin === null) throw new Error('no second');
    const longer = { ...one, key: 'mine', minutes: 120 };
    const without = { ...one, key: 'no', origin: { ...one.origin, dropped: true } };
    const minutes = (...typed: CalendarEvent[]) => standingEvents(typed, [], asked).map((all) => all.minutes);
    expect(minutes(weekly, longer)).toEqual([60, 120, 60]);
    expect(minutes(weekly, without)).toEqual([60, 60]);
    expect(minutes({ ...weekly, minutes: 75 }, longer)).toEqual([75, 120, 75]);
    // Ended earlier, or taken back, there is no such day any more.
    expect(minutes({ ...weekly, repeats: { weeks: 2, until: on(10) } }, longer)).toEqual([60]);
    expect(minutes(longer)).toEqual([]);
  });
});

describe('a stay at the bench', () => {
  const service = 'wind/bench-service' as CareItemId;
  const stay = (days: number, until: number, done: readonly CareItemId[] | null) =>
    event(`s${days}`, days, {
      what: 'bench',
      minutes: null,
      until: on(until),
      instrumentIds: [horn],
      stay: done === null ? null : { done: [{ instrumentId: horn, itemIds: done }], cost: null },
    });

  test('keeps an instrument away from its first day to its last, until it is said to be back', () => {
    const away = (events: CalendarEvent[], days: number) => awayUntil(events, horn, on(days));
    expect([-3, -2, 0, 5, 6].map((days) => away([stay(-2, 5, null)], days))).toEqual([null, on(5), on(5), on(5), null]);
    expect(away([stay(-2, 0, [service])], 0)).toBeNull();
    expect(awayUntil([stay(-2, 5, null)], clarinet, today)).toBeNull();
  });

  test('its work was done on its last day, the latest of several counts, and only on the instrument it was done on', () => {
    const events = [stay(-400, -390, [service]), stay(-30, -20, [service]), stay(-9, 2, null)];
    expect([...doneAtBench(events, horn)]).toEqual([[service, on(-20)]]);
    expect(doneAtBench(events, clarinet).size).toBe(0);
  });

  test('counts before whatever was played that day, and never before what was done later', () => {
    const at = (days: number, minute = 0) => (dayNumber(today) + days) * MINUTES_PER_DAY + minute;
    const earlier = new Map([[service, { atWallMinute: at(-300), by: 'player' as const }]]);
    expect(withBench(earlier, new Map([[service, on(-20)]])).get(service)).toEqual({
      atWallMinute: at(-20),
      by: 'bench',
    });
    const later = new Map([[service, { atWallMinute: at(-5, 600), by: 'player' as const }]]);
    expect(withBench(later, new Map([[service, on(-20)]])).get(service)).toEqual(later.get(service));
    expect(withBench(later, new Map())).toBe(later);
  });
});
