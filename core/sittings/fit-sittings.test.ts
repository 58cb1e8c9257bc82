import { describe, expect, test } from '@jest/globals';
import { fittingPlan, lessTime, tooLong } from '#core/sittings/fit-sittings.ts';
import { planSittings } from '#core/sittings/plan-sittings.ts';
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

describe('a plan that fits its days', () => {
  const weeks = weeksOf([60, 30, 60], { minutes: 20, due: 1, every: 30 }, { minutes: 25, due: 1, every: 30 });
  const asks: boolean[] = [];
  /** Plans for good where it is asked roughly, too; each sitting takes so much longer than its things add up to. */
  const fitting = (more: number) =>
    fittingPlan(weeks, {
      planned: (asked, isRough) => {
        asks.push(isRough);
        return Promise.resolve(planSittings(asked));
      },
      minutesOf: (made) =>
        Promise.resolve(
          new Map(
            [...new Set(made.flat())].map((day) => [
              day,
              weeks.things.reduce((sum, { minutes }, at) => sum + (made[at]?.includes(day) ? minutes : 0), more),
            ]),
          ),
        ),
    });

  test('is made roughly once and then for good where everything fits', async () => {
    asks.length = 0;
    const { minutes, plan: made } = await fitting(0);
    expect(asks).toEqual([true, false]);
    expect(made[0]).toEqual(made[1]);
    expect([...minutes.values()]).toEqual([45]);
  });

  test('is made anew with less time until it fits, and its gap is of the time there is', async () => {
    asks.length = 0;
    const { minutes, plan: made, gap } = await fitting(20);
    for (const [day, takes] of minutes) expect(takes).toBeLessThanOrEqual((weeks.time[day] ?? 0) + 1);
    expect(made[0]).not.toEqual(made[1]);
    expect(gap).toBeGreaterThan(0);
    expect(asks.filter((isRough) => isRough).length).toBeGreaterThan(1);
  });

  test('that never fits ends all the same', async () => {
    asks.length = 0;
    await fitting(100);
    expect(asks).toHaveLength(4);
  });
});
