import { describe, expect, test } from '@jest/globals';
import { lessTime, tooLong } from '#core/sittings/fit-sittings.ts';
import { weeksOf } from '#core/testing/sittings.ts';

/** Ten and twelve minutes on day 1, which has thirty; eight minutes on day 2, set there. */
const of = weeksOf([30, 30, 5], { minutes: 10 }, { minutes: 12 }, { minutes: 8, set: [2] });
const plan = [[1], [1], [2]];
const takes = (...minutes: [number, number][]) => tooLong(of, new Map(minutes));

describe('a sitting that takes longer than its day has', () => {
  test('is found out from the second minute on, but where the player has set it', () => {
    expect(takes([1, 31])).toEqual([]);
    expect(takes([1, 31.5])).toEqual([[1, 31.5]]);
    expect(takes([1, 90], [2, 90])).toEqual([[1, 90]]);
  });

  test('leaves its day as much less as it took over, of what its things add up to', () => {
    // 22 minutes added up took 42: 12 too many.
    expect(lessTime(of, plan, { over: [[1, 42]], time: of.time })).toEqual([30, 10, 5]);
    // Given less already, it is given less again; in whole minutes, and never less than none.
    expect(lessTime(of, plan, { over: [[1, 42.4]], time: [30, 15, 5] })).toEqual([30, 2, 5]);
    expect(lessTime(of, plan, { over: [[1, 99]], time: of.time })).toEqual([30, 0, 5]);
  });
});
