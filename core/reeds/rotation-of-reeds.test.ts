import { describe, expect, test } from '@jest/globals';
import { livesOf } from '#core/reeds/reed-life.ts';
import { setSessions } from '#core/reeds/reed-pin.ts';
import { reedId } from '#core/reeds/reed.ts';
import { rotationOfReeds } from '#core/reeds/rotation-of-reeds.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { whichReed } from '#core/reeds/which-reed.ts';
import { wallMinute } from '#core/plays/play.ts';
import { REED_TODAY, reedsOf, used } from '#core/testing/reeds.ts';
import { addDays } from '#core/time/local-date.ts';

const planOf = (reeds: readonly ReedState[], set = setSessions([]), minutes: (day: number) => number = () => 60) => {
  const lives = livesOf(reeds);
  const { choices, first } = whichReed(reeds, {
    nowWall: wallMinute(REED_TODAY, 1200),
    today: REED_TODAY,
    minutes: minutes(0),
    isConcert: false,
    shareOfLife: () => 0,
    set,
  });
  return rotationOfReeds({
    today: REED_TODAY,
    reeds,
    lives,
    set,
    minutesIn: minutes,
    concertMinutesIn: (day) => (day === 9 ? 80 : 0),
    proposed: [...first, ...choices.filter(({ because }) => because.every(({ rule }) => rule !== 'set')).slice(0, 1)],
  }).rotation;
};
const fromOf = (daysAgo: number, box: Parameters<typeof reedsOf>[1] = {}): number | undefined =>
  planOf(reedsOf([used(1, daysAgo, 20)], { ...box, box: { before: [0], breakIn: 'none', ...box.box } })).reeds[0]?.from;

describe('what a plan of reeds is made from', () => {
  test('a reed that is broken in rests a day after it has played; one being broken in, only the night', () => {
    expect([0, 1, 2, 3].map((daysAgo) => fromOf(daysAgo))).toEqual([2, 1, 0, 0]);
    const breaking = { box: { breakIn: 'week' } } as const;
    expect([0, 1, 2].map((daysAgo) => fromOf(daysAgo, breaking))).toEqual([1, 0, 0]);
    expect(fromOf(0, { box: { material: 'synthetic' } })).toBe(0);
  });

  test('days hold what will be played, today without what has been; four weeks, in fives', () => {
    const { days } = planOf(
      reedsOf([used(1, 0, 20)], { box: { before: [0], breakIn: 'none' } }),
      setSessions([]),
      (day) => 61 + day,
    );
    expect(days).toHaveLength(28);
    expect(days.map(({ minutes }) => minutes).slice(0, 4)).toEqual([40, 60, 65, 65]);
    expect(days.flatMap(({ concertMinutes }, day) => (concertMinutes > 0 ? [[day, concertMinutes]] : []))).toEqual([
      [9, 80],
    ]);
  });

  test('what is proposed for now stands in the plan for its whole minutes, what is set by hand before it', () => {
    const two = reedsOf([used(1, 3, 20), used(2, 5, 20)], { box: { before: [0, 0], breakIn: 'none' } });
    const pinned = (set = setSessions([])) => planOf(two, set).reeds.map((one) => one.pinned[0] ?? null);
    // An hour: the one that has waited longest plays all of it.
    expect(pinned()).toEqual([null, 60]);
    const set = setSessions([{ reedId: reedId('fennel', 1), on: REED_TODAY, minutes: 20 }]);
    expect(pinned(set)).toEqual([20, 40]);
  });

  test('of what is set for today it has what is left of it, of any other day all', () => {
    const set = setSessions([
      { reedId: reedId('fennel', 1), on: REED_TODAY, minutes: 40 },
      { reedId: reedId('fennel', 1), on: addDays(REED_TODAY, 2), minutes: 40 },
    ]);
    const one = reedsOf([used(1, 0, 15)], { box: { before: [0], breakIn: 'none' } });
    expect(planOf(one, set).reeds[0]?.pinned).toEqual({ 0: 25, 2: 40 });
  });

  test('a ramp has the days that are still ahead, each held as long as its way says', () => {
    const ramp = (breakIn: 'week' | 'two-weeks') =>
      planOf(reedsOf([used(1, 3, 5), used(1, 2, 10)], { box: { before: [0], breakIn } })).reeds[0]?.ramp;
    expect(ramp('week')).toEqual([15, 20, 30, 40, 50]);
    // Each of seven held for two days: one day of the first is behind it, and ten minutes were too many for the other.
    expect(ramp('two-weeks')).toEqual([5, 10, 10, 15, 15, 20, 20, 30, 30, 40, 40, 50, 50]);
  });

  test('sessions set by hand lie on their day of the plan, and a new reed comes in by them; retired ones are not planned', () => {
    const set = setSessions([
      { reedId: reedId('fennel', 2), on: addDays(REED_TODAY, 3), minutes: 15 },
      { reedId: reedId('fennel', 1), on: addDays(REED_TODAY, 28), minutes: 15 },
    ]);
    const { reeds } = planOf(reedsOf([used(1, 3, 20)], { box: { before: [0, 0, 0], breakIn: 'none' } }), set);
    expect(reeds.map(({ id }) => id)).toEqual(['fennel/1', 'fennel/2']);
    expect(reeds[1]?.pinned).toEqual({ 3: 15 });
    expect(reeds[0]?.pinned).not.toHaveProperty('28');
  });
});
