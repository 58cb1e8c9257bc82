import { describe, expect, test } from '@jest/globals';
import { eventClashes, setTooNear } from '#core/calendar/event-clashes.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const [clarinet, alto] = ['clarinet' as InstrumentId, 'alto' as InstrumentId];
const instruments = [
  { instrumentId: clarinet, name: 'Clarinet' },
  { instrumentId: alto, name: 'Alto' },
];
const event = (what: CalendarEvent['what'], from: number, over: Partial<CalendarEvent> = {}): CalendarEvent => ({
  key: `${what} ${from}`,
  playerId: 'ada' as PlayerId,
  what,
  on: addDays(today, from),
  until: null,
  atMinute: null,
  minutes: what === 'bench' ? null : 60,
  minutesOf: [],
  repeats: null,
  name: null,
  instrumentIds: [clarinet],
  stay: null,
  origin: null,
  ...over,
});
const away = (from: number, to: number, over: Partial<CalendarEvent> = {}) =>
  event('bench', from, { until: addDays(today, to), ...over });
const says = (...events: CalendarEvent[]) => eventClashes(events, { today, instruments, format: PLAIN_FORMAT });

describe('what of a calendar does not go together', () => {
  test('is what is played on an instrument that is away, to the last day, and on no other', () => {
    const clash = 'A concert, 2026-12-07: Clarinet is at the bench until 2026-12-07.';
    expect(says(away(3, 10), event('concert', 10))).toEqual([clash]);
    expect(says(away(3, 10), event('concert', 11), event('concert', 5, { instrumentIds: [alto] }))).toEqual([]);
    expect(says(away(3, 10), event('concert', 5, { instrumentIds: [alto, clarinet] }))).toHaveLength(1);
    // Of two stays that overlap it is back after the later, in whatever order they were said.
    const until = (...stays: CalendarEvent[]) =>
      says(...stays, event('concert', 5)).filter((words) => /^A conc/.test(words));
    const late = ['A concert, 2026-12-02: Clarinet is at the bench until 2026-12-10.'];
    expect([until(away(3, 7), away(4, 13)), until(away(4, 13), away(3, 7))]).toEqual([late, late]);
    // It is back: its stay is over, whatever day was foreseen.
    expect(says(away(3, 10, { stay: { done: [], cost: null } }), event('concert', 5))).toEqual([]);
    expect(says(away(3, 10), event('holiday', 5, { minutes: null }))).toEqual([]);
  });

  test('is two stays of one instrument that overlap, and not two that follow each other', () => {
    expect(says(away(3, 10), away(10, 12))).toEqual([
      'Two stays of Clarinet at the bench overlap: 2026-11-30 to 2026-12-07, and 2026-12-07 to 2026-12-09.',
    ]);
    expect(says(away(3, 10), away(11, 12), away(5, 6, { instrumentIds: [alto] }))).toEqual([]);
  });

  test('is more playing than a day has, on all instruments together', () => {
    const long = (over: Partial<CalendarEvent>) => event('rehearsal', 4, { minutes: 600, ...over });
    expect(says(long({ key: 'a' }), long({ key: 'b' }), long({ key: 'c', minutes: 240 }))).toEqual([]);
    expect(says(long({ instrumentIds: [clarinet, alto] }), long({ key: 'b', minutes: 241 }))).toEqual([
      'On 2026-12-01 24 h 1 min are to be played: more than a day has.',
    ]);
  });

  test('is nothing that is over', () => {
    expect(says(away(-9, -2), event('concert', -5))).toEqual([]);
  });
});

test('care that is set too near before an audience is said, with its day', () => {
  const oil = { name: 'Oil the bore', instrumentName: 'Clarinet', set: [3, 9], settling: new Set([8, 9, 10]) };
  expect(setTooNear([oil], { today, format: PLAIN_FORMAT })).toEqual([
    'Clarinet: you have set “oil the bore” for 2026-12-06, and an audience comes too soon after. It has to settle first.',
  ]);
});
