import { describe, expect, test } from '@jest/globals';
import { awayUntil, checkEvent, minutesIn, plannedDays, type CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { playsStanding } from '#core/plays/plays-standing.ts';
import { addDays, dayNumber, localDate } from '#core/time/local-date.ts';

const TODAY = localDate('2026-11-26');
const clarinet = 'clarinet' as InstrumentId;
const alto = 'alto' as InstrumentId;
const concert = (over: Partial<CalendarEvent> = {}): CalendarEvent => ({
  key: 'e',
  playerId: 'marit' as PlayerId,
  what: 'concert',
  on: addDays(TODAY, 3),
  until: null,
  minutes: 80,
  name: null,
  instrumentIds: [clarinet],
  atMinute: null,
  minutesOf: [],
  repeats: null,
  stay: null,
  origin: null,
  ...over,
});

describe('an event', () => {
  test('stands for the usual minutes of its day on the instruments it names, and on no other day or instrument', () => {
    const nothing = playColumns(new Int32Array(0), new Int32Array(0));
    const events = [concert(), concert({ on: addDays(TODAY, 5), name: 'Matinee', minutes: 30 })];
    const plain = playsStanding(nothing, TODAY).forecast;
    const { forecast } = playsStanding(nothing, TODAY, plannedDays(events, clarinet));
    const day = dayNumber(TODAY);
    for (let ahead = 0; ahead < 14; ahead++) {
      const expected = ahead === 3 ? 80 : ahead === 5 ? 30 : plain.minutesOn(day + ahead);
      expect(forecast.minutesOn(day + ahead)).toBe(expected);
    }
    expect(forecast.reasonOn(day + 5)).toEqual({ rule: 'planned', words: 'Matinee', minutes: 30 });
    expect(plannedDays(events, alto).size).toBe(0);
  });

  test('two on one day are played one after the other', () => {
    const days = plannedDays([concert(), concert({ name: 'Encore', minutes: 20 })], clarinet);
    expect(days.get(dayNumber(TODAY) + 3)).toEqual({
      minutes: 100,
      spreadMinutes: 0,
      plays: 2,
      words: 'a concert and Encore',
    });
  });

  test('on a holiday and at the bench nothing is played but what is named, and a journey leaves what is usual', () => {
    const over = (what: CalendarEvent['what'], from: number, to: number) =>
      concert({ what, minutes: null, on: addDays(TODAY, from), until: addDays(TODAY, to) });
    const minutes = (...events: CalendarEvent[]) => {
      const days = plannedDays(events, clarinet);
      return [2, 3, 4, 5].map((ahead) => days.get(dayNumber(TODAY) + ahead)?.minutes ?? null);
    };
    expect(minutes(over('holiday', 2, 4))).toEqual([0, 0, 0, null]);
    expect(minutes(over('holiday', 2, 4), concert())).toEqual([0, 80, 0, null]);
    expect(minutes(concert(), over('bench', 3, 9))).toEqual([null, 80, 0, 0]);
    expect(minutes(over('travel', 2, 4))).toEqual([null, null, null, null]);
  });

  test.each<[string, Partial<CalendarEvent>]>([
    ['event-too-far', { on: addDays(TODAY, 800) }],
    ['event-ends-before', { what: 'holiday', minutes: null, until: TODAY }],
    ['event-too-long', { what: 'bench', minutes: null, until: addDays(TODAY, 400) }],
    ['event-of-one-day', { until: addDays(TODAY, 4) }],
    ['event-without-minutes', { minutes: null }],
    ['event-not-played', { what: 'holiday' }],
    ['event-of-nothing', { instrumentIds: [] }],
    ['event-on-anothers', { instrumentIds: [alto] }],
    ['event-on-anothers', { instrumentIds: [clarinet, clarinet] }],
  ])('%s is refused', (code, over) => {
    expect(checkEvent(concert(over), TODAY, new Set([clarinet]))).toMatchObject({ ok: false, failure: { code } });
    expect(checkEvent(concert(), TODAY, new Set([clarinet])).ok).toBe(true);
  });

  test.each<[string, Partial<CalendarEvent>]>([
    ['a day told as its own last day', { what: 'holiday', minutes: null, until: addDays(TODAY, 3) }],
    ['a stay of a year and a day', { what: 'bench', minutes: null, until: addDays(TODAY, 3 + 366) }],
    ['two years ahead', { on: addDays(TODAY, 730) }],
    ['two years ago', { on: addDays(TODAY, -730) }],
  ])('%s is taken', (_, over) => {
    expect(checkEvent(concert(over), TODAY, new Set([clarinet])).ok).toBe(true);
  });

  test.each<[string, Partial<CalendarEvent>]>([
    ['a day more', { what: 'bench', minutes: null, until: addDays(TODAY, 4 + 366) }],
    ['a day further ahead', { on: addDays(TODAY, 731) }],
    ['a day further back', { on: addDays(TODAY, -731) }],
  ])('%s is not', (_, over) => {
    expect(checkEvent(concert(over), TODAY, new Set([clarinet])).ok).toBe(false);
  });

  test('of two stays that overlap it is back after the later, and minutes of a day are no more than it has', () => {
    const stay = (from: number, to: number) =>
      concert({ what: 'bench', minutes: null, on: addDays(TODAY, from), until: addDays(TODAY, to) });
    const stays = [stay(1, 6), stay(4, 12)];
    expect(awayUntil(stays, clarinet, addDays(TODAY, 5))).toBe(addDays(TODAY, 12));
    expect(awayUntil(stays.toReversed(), clarinet, addDays(TODAY, 5))).toBe(addDays(TODAY, 12));
    expect(awayUntil(stays, clarinet, addDays(TODAY, 2))).toBe(addDays(TODAY, 6));
    expect([0, 13].map((days) => awayUntil(stays, clarinet, addDays(TODAY, days)))).toEqual([null, null]);
    const long = plannedDays(
      [concert({ minutes: 600 }), concert({ minutes: 600 }), concert({ minutes: 600 })],
      clarinet,
    );
    expect(long.get(dayNumber(TODAY) + 3)).toMatchObject({ minutes: 1440, plays: 3 });
  });
});

describe('what is played in it', () => {
  const own = new Set([clarinet, alto]);
  const both = { instrumentIds: [clarinet, alto], minutesOf: [{ instrumentId: alto, minutes: 15 }] };
  const refusal = (over: Partial<CalendarEvent>) => {
    const checked = checkEvent(concert(over), TODAY, own);
    return checked.ok ? null : checked.failure.code;
  };

  test('is each instrument’s own time where that is said', () => {
    const events = [concert(both), concert({ key: 'f', minutes: 40 })];
    const minutes = (id: InstrumentId) => plannedDays(events, id).get(dayNumber(addDays(TODAY, 3)))?.minutes;
    expect([minutes(clarinet), minutes(alto)]).toEqual([120, 15]);
    expect([minutesIn(concert(both), alto), minutesIn(concert(both), clarinet)]).toEqual([15, 80]);
  });

  test('is refused where it is of another instrument, said twice, or of what is not played', () => {
    expect(refusal(both)).toBeNull();
    expect(refusal({ ...both, instrumentIds: [clarinet] })).toBe('event-minutes-of-another');
    expect(refusal({ ...both, minutesOf: [...both.minutesOf, ...both.minutesOf] })).toBe('event-minutes-of-another');
    const holiday = { what: 'holiday', minutes: null } as const;
    expect(refusal({ ...holiday, atMinute: 600 })).toBe('event-not-played');
    expect(refusal({ ...holiday, ...both })).toBe('event-not-played');
    expect(refusal({ ...holiday, repeats: { weeks: 1, until: addDays(TODAY, 20) } })).toBe('event-not-repeated');
    expect(refusal({ repeats: { weeks: 1, until: addDays(TODAY, 2) } })).toBe('event-not-repeated');
    expect(refusal({ repeats: { weeks: 1, until: addDays(TODAY, 800) } })).toBe('event-repeats-too-far');
    expect(refusal({ repeats: { weeks: 1, until: addDays(TODAY, 700) }, atMinute: 1170 })).toBeNull();
  });
});
