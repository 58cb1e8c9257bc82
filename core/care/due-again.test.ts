import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dueAgain } from '#core/care/due-again.ts';
import { projectDue } from '#core/care/project-due.ts';
import type { Forecast } from '#core/plays/forecast.ts';
import { dayNumber, localDate } from '#core/time/local-date.ts';

const MONDAY = dayNumber(localDate('2026-11-30'));
const limb = (value: number) => ({ value, mark: 'practice' }) as const;
/** Forty minutes, one play, on each day but the seventh of the week. */
const forecast = {
  minutesOn: (day: number) => ((day - MONDAY) % 7 === 6 ? 0 : 40),
  playsOn: (day: number) => ((day - MONDAY) % 7 === 6 ? 0 : 1),
  spreadOn: () => 0,
} as unknown as Forecast;
const after = (limbs: Parameters<typeof dueAgain>[0], on = MONDAY) => dueAgain(limbs, on, { forecast }) - on;

test('what is done on a day is due again when a limb has run out, counted from the day after', () => {
  expect(after({ days: limb(7) })).toBe(7);
  expect(after({ days: limb(6.5) })).toBe(7);
  expect(after({ plays: limb(3) })).toBe(3);
  expect(after({ minutes: limb(100) })).toBe(3);
  // The Sunday on which nothing is played does not count.
  expect(after({ plays: limb(6) })).toBe(7);
  expect(after({ days: limb(5), plays: limb(30) })).toBe(5);
  // The first of December and a month.
  expect(after({ months: limb(1) }, MONDAY + 1)).toBe(31);
});

test('what comes rarely is due at the end of what is foreseen, and nothing is due on the day it was done', () => {
  expect(after({ months: limb(12) })).toBe(90);
  expect(after({ minutes: limb(1e9) })).toBe(90);
  expect(after({ days: limb(0.2) })).toBe(1);
  expect(after({ plays: limb(0.5), days: limb(1) })).toBe(1);
});

test('is the day the clock itself foresees, once it has been done', () => {
  const limbs = fc.record(
    {
      days: fc.integer({ min: 1, max: 60 }),
      minutes: fc.integer({ min: 1, max: 900 }),
      plays: fc.integer({ min: 1, max: 20 }),
    },
    { requiredKeys: ['days'] },
  );
  fc.assert(
    fc.property(limbs, fc.integer({ min: 0, max: 40 }), (figures, later) => {
      const marked = Object.fromEntries(Object.entries(figures).map(([name, value]) => [name, limb(value)]));
      const on = MONDAY + later;
      const foreseen = projectDue({ limbs: marked, from: on, played: { minutes: 0, plays: 0 }, today: on, forecast });
      expect(dueAgain(marked, on, { forecast })).toBe(foreseen && dayNumber(foreseen.on));
    }),
    { seed: 3, numRuns: 200 },
  );
});

test('what playing wears waits for the next play, where that is later than its time', () => {
  const worn = (on: number, of: Forecast = forecast) =>
    dueAgain({ days: limb(7) }, on, { forecast: of, wornBy: 'playing' }) - on;
  expect([worn(MONDAY), worn(MONDAY + 5)]).toEqual([7, 7]);
  // Nothing is played for three weeks: a week after the first play.
  const away = { ...forecast, playsOn: (day: number) => (day - MONDAY <= 20 ? 0 : 1) };
  expect(worn(MONDAY, away)).toBe(21 + 7);
  expect(worn(MONDAY + 14, away)).toBe(7 + 7);
  expect(worn(MONDAY + 15, away)).toBe(7);
  expect(worn(MONDAY, { ...forecast, playsOn: () => 0 })).toBe(90);
});
