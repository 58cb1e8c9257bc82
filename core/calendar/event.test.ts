import { describe, expect, test } from '@jest/globals';
import { checkEvent, plannedDays, type CalendarEvent } from '#core/calendar/event.ts';
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
  minutes: 80,
  name: null,
  instrumentIds: [clarinet],
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

  test.each([
    ['event-too-far', { on: addDays(TODAY, 800) }],
    ['event-of-nothing', { instrumentIds: [] }],
    ['event-on-anothers', { instrumentIds: [alto] }],
    ['event-on-anothers', { instrumentIds: [clarinet, clarinet] }],
  ])('%s is refused', (code, over) => {
    expect(checkEvent(concert(over), TODAY, new Set([clarinet]))).toMatchObject({ ok: false, failure: { code } });
    expect(checkEvent(concert(), TODAY, new Set([clarinet])).ok).toBe(true);
  });
});
