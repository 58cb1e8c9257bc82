import { describe, expect, test } from '@jest/globals';
import type { AirRead } from '#core/air/air-record.ts';
import { warpDrivers, type AirOfReeds } from '#core/reeds/warp.ts';
import { REED_TODAY, reedsOf, said, used } from '#core/testing/reeds.ts';
import { addDays, daysBetween } from '#core/time/local-date.ts';

const read = (daysAgo: number, humidityPercent: number, celsius = 20): AirRead => ({
  key: `a${daysAgo}`,
  on: addDays(REED_TODAY, -daysAgo),
  atMinute: 600,
  celsius,
  humidityPercent,
});
type Over = Parameters<typeof reedsOf>[1];
const drivers = (air: AirOfReeds, uses = [used(1, 3, 40)], over: Over = {}) => {
  const [reed] = reedsOf(uses, { box: { before: [null] }, ...over });
  return reed ? warpDrivers(reed, air, REED_TODAY) : [];
};
const rules = (reads: readonly AirRead[], uses = [used(1, 3, 40)], over: Over = {}) =>
  drivers({ reads, journeys: [] }, uses, over).map(({ rule }) => rule);
const journey = (leftDaysAgo: number, lastDayAway: number | null) => ({
  on: addDays(REED_TODAY, -leftDaysAgo),
  until: lastDayAway === null ? null : addDays(REED_TODAY, -lastDayAway),
});
const moved = (journeys: AirOfReeds['journeys'], lastPlayed: number, over: Over = {}) => {
  const [first] = drivers({ reads: [], journeys }, [used(1, lastPlayed, 40)], over);
  return first?.rule === 'another-place' ? daysBetween(first.on, REED_TODAY) : (first?.rule ?? null);
};

describe('a back that may have bulged', () => {
  test.each([
    ['drier by enough', [read(4, 55), read(0, 40)], ['weather']],
    ['damper by enough', [read(3, 40), read(0, 56)], ['weather']],
    ['colder by enough', [read(4, 50), read(0, 50, 11)], ['weather']],
    ['nearly the same', [read(4, 50), read(0, 44, 16)], []],
    ['not read today', [read(4, 60), read(1, 30)], []],
    ['not read before it was last played', [read(2, 60), read(0, 30)], []],
    ['read too long ago', [read(30, 60), read(0, 30)], []],
    ['never read', [], []],
  ])('the air %s', (_, reads, expected) => {
    expect(rules(reads)).toEqual(expected);
  });

  test('is told by the newest air before it was last played, not by the oldest, nor by what came after', () => {
    expect(rules([read(9, 60), read(4, 41), read(0, 40)])).toEqual([]);
    expect(rules([read(9, 41), read(4, 60), read(0, 40)])).toEqual(['weather']);
    expect(rules([read(4, 60), read(2, 41), read(0, 40)])).toEqual(['weather']);
    // Of two on one day the later one counts.
    expect(rules([read(4, 60), read(0, 40), read(0, 58)])).toEqual([]);
  });

  const changed = [read(3, 60), read(0, 30)];
  test('is likelier where it was played much', () => {
    const uses = [used(1, 3, 80), used(1, 1, 70)];
    expect(rules(changed, uses)).toEqual(['weather', 'much-played']);
    expect(rules([read(3, 60), read(1, 32), read(0, 30)], uses)).toEqual([]);
    // Two hours within three days, and not a minute less.
    expect(rules(changed, [used(1, 3, 60), used(1, 1, 60)])).toEqual(['weather', 'much-played']);
    expect(rules(changed, [used(1, 3, 60), used(1, 1, 59)])).toEqual(['weather']);
    expect(rules(changed, [used(1, 4, 60), used(1, 3, 60), used(1, 1, 59)])).toEqual(['weather']);
  });

  test('is none on a synthetic reed, one played today, and one rubbed flat today', () => {
    expect(rules(changed, [used(1, 3, 40)], { box: { before: [null], material: 'synthetic' } })).toEqual([]);
    expect(rules(changed, [used(1, 3, 40), used(1, 0, 20)])).toEqual([]);
    expect(rules(changed, [used(1, 3, 40)], { sayings: [said(1, REED_TODAY, { what: 'flattened' })] })).toEqual([]);
  });

  test.each([
    ['left the day before', [journey(1, -3)], 3, 1],
    ['leaves today', [journey(0, -3)], 3, 0],
    ['came home yesterday, having played away', [journey(9, 2)], 4, 1],
    ['came home today', [journey(9, 1)], 4, 0],
    ['plays away on the second day', [journey(2, -3)], 1, null],
    ['was away yesterday and no longer', [journey(1, null)], 3, 0],
    ['played on the day of leaving', [journey(3, -3)], 3, null],
    ['comes home tomorrow', [journey(9, 0)], 4, null],
    ['will leave tomorrow', [journey(-1, -5)], 3, null],
  ])('by a journey: the player %s', (_, journeys, lastPlayed, expected) => {
    expect(moved(journeys, lastPlayed)).toBe(expected);
  });

  test('by another season, after four weeks in the case; rubbed flat since then, it is flat', () => {
    expect(moved([], 28)).toBe('lain-long');
    expect(moved([], 27)).toBeNull();
    const flat = (daysAgo: number) => ({ sayings: [said(1, addDays(REED_TODAY, -daysAgo), { what: 'flattened' })] });
    expect(moved([], 28, flat(2))).toBeNull();
    expect(moved([], 28, flat(40))).toBe('lain-long');
    expect(moved([journey(1, -3)], 3, flat(1))).toBeNull();
    expect(moved([journey(1, -3)], 3, flat(2))).toBe(1);
  });

  test('is not guessed at where the air was read then and now', () => {
    const air = { reads: [read(3, 50), read(0, 52)], journeys: [journey(1, -3)] };
    expect(drivers(air)).toEqual([]);
  });
});
