import { describe, expect, test } from '@jest/globals';
import { benchWork, unknownBenchWork } from '#core/bench/bench-work.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import type { Situation } from '#core/situation/situation.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const grownUp: PlayerAbilities = { standing: 'grown-up', does: [] };
const item = (over: object = {}) => ({
  id: 'wind/bench-service',
  name: 'Bench service',
  place: 'bench',
  trigger: { kind: 'clock' },
  severity: 'function',
  ...over,
});
/** Serviced so many days ago, once a year. */
const clock = (ago: number, over: object = {}): ItemClock => {
  const load = ago / 360;
  const due = on(Math.max(0, 360 - ago));
  return {
    item: item(),
    state: load >= 1.5 ? 'overdue' : load >= 1 ? 'due' : 'soon',
    load,
    due: { on: due, earliest: due, latest: due },
    because: [{ rule: 'counted-from', baseline: { kind: 'done', on: on(-ago), by: 'bench' } }],
    ...over,
  } as unknown as ItemClock;
};
const situation = (...clocks: ItemClock[]): Situation => ({ today, care: { clocks } }) as unknown as Situation;

describe('what an instrument has for the bench', () => {
  test('not due yet: from three quarters of its year until one and a half', () => {
    expect(benchWork(situation(clock(300)), grownUp)).toMatchObject({ due: on(60), from: on(-30), until: on(240) });
  });

  test.each([
    ['due', 400, on(-400 + 270), on(-400 + 540)],
    // Two years after a yearly service its year is still a year: it is overdue since half a year.
    ['overdue', 720, on(-720 + 270), on(-720 + 540)],
  ])('%s: its interval is told by its load, not by today', (_, ago, from, until) => {
    expect(benchWork(situation(clock(ago)), grownUp)).toMatchObject({ due: today, from, until });
  });

  test('a new instrument counts from the day it came', () => {
    const came = clock(300, { because: [{ rule: 'counted-from', baseline: { kind: 'came-new', on: on(-300) } }] });
    expect(benchWork(situation(came), grownUp)).toMatchObject({ from: on(-30), until: on(240) });
  });

  test('what a sign calls for is due now and not put off, before what is due later', () => {
    const crack = clock(0, { item: item({ id: 'wind/crack' }), state: 'due', load: null, due: null, because: [] });
    const work = benchWork(situation(clock(300), crack), grownUp);
    expect(work?.clocks.map(({ item: { id } }) => id)).toEqual(['wind/crack', 'wind/bench-service']);
    expect(work).toMatchObject({ due: today, from: today, until: today });
  });

  test('home work its player leaves to the bench goes along; other home work, and what is far off or off, does not', () => {
    const oil = { id: 'keyed/key-oil', place: undefined, skill: 'key-oil' };
    const keyOil = clock(200, { item: item(oil) });
    expect(benchWork(situation(keyOil), grownUp)?.clocks).toHaveLength(1);
    expect(benchWork(situation(keyOil), { ...grownUp, does: ['key-oil'] })).toBeNull();
    expect(benchWork(situation(clock(10)), grownUp)).toBeNull();
    expect(benchWork(situation(clock(300, { state: 'off' })), grownUp)).toBeNull();
    expect(benchWork(situation(), grownUp)).toBeNull();
  });

  test('of which nobody knows anything is said apart', () => {
    const unknown = clock(0, { state: 'unknown', load: null, due: null, because: [] });
    expect(benchWork(situation(unknown), grownUp)).toBeNull();
    expect(unknownBenchWork(situation(unknown, clock(300)), grownUp)).toEqual([unknown]);
  });
});
