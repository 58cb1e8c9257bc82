import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import highs, { type Highs } from 'highs';
import { checkedSolver, type SolveMilp } from '#core/solve/answer.ts';
import { solveWithHighs } from '#core/solve/with-highs.ts';
import { lpText } from '#core/solve/lp-text.ts';
import { draftProgram, type Term } from '#core/solve/program.ts';
import { boundSittings } from '#core/sittings/bound-sittings.ts';
import { planSittings } from '#core/sittings/plan-sittings.ts';
import { shareOut } from '#core/sittings/share-sittings.ts';
import { costOfSet, openDays, planOf, Thought } from '#core/sittings/sitting-columns.ts';
import { leastSittings, sittingsCost } from '#core/testing/sittings-oracle.ts';
import { anItem, sixWeeks } from '#core/testing/sittings.ts';
import { eachOnItsOwnDate, searchSittings } from '#core/sittings/search-sittings.ts';
import {
  costOfSittings,
  itemCost,
  leftCost,
  sittingBreaches,
  totalCost,
  type SittingPlan,
  type Sittings,
} from '#core/sittings/sittings.ts';

let runtime: Highs;
beforeAll(async () => {
  runtime = await highs();
});
const solve: SolveMilp = checkedSolver((program, limits, stop) =>
  Promise.resolve(solveWithHighs(runtime, program, limits, () => stop?.aborted ?? false)),
);
const work = { solve, stop: { aborted: false } };

const small = fc.record({
  time: fc.array(fc.constantFrom(0, 10, 20, 30), { minLength: 2, maxLength: 5 }),
  items: fc.array(
    fc.record({
      minutes: fc.constantFrom(5, 10, 15),
      due: fc.integer({ min: 0, max: 6 }),
      from: fc.integer({ min: 0, max: 2 }),
      until: fc.constantFrom(Infinity, 3),
      interval: fc.constantFrom(7, 30),
      lateDay: fc.constantFrom(1, 2, 3),
      barred: fc.constantFrom<ReadonlySet<number>>(new Set(), new Set([0]), new Set([1, 2])),
      set: fc.constantFrom(null, null, null, 1),
      shown: fc.constantFrom(null, 1, 2),
    }),
    { maxLength: 4 },
  ),
});

/** Each item on one day or left, a day that has one is a sitting: no columns that are whole sittings. */
async function byAssignment({ time, items }: Sittings): Promise<number> {
  const solver = await highs();
  const { column, row, program } = draftProgram();
  const sitting = time.map((_, day) => column({ name: `sitting ${day}`, cost: 15, most: 1, whole: true }));
  const room: Term[][] = time.map(() => []);
  items.forEach(({ minutes, due, interval, lateDay, barred, id }, at) => {
    const cost = (day: number) => (day < due ? ((due - day) / interval) * minutes : (day - due) * lateDay);
    const once: Term[] = [[column({ name: `${id} left`, cost: cost(time.length) + 15, most: 1, whole: true }), 1]];
    time.forEach((has, day) => {
      if (minutes > has || barred.has(day)) return;
      const there = column({ name: `${id} on ${day}`, cost: cost(day), most: 1, whole: true });
      once.push([there, 1]);
      room[day]?.push([there, minutes]);
      row({
        name: `${at} opens ${day}`,
        terms: [
          [there, 1],
          [sitting[day] ?? -1, -1],
        ],
        most: 0,
      });
    });
    row({ name: `${id} once`, terms: once, least: 1, most: 1 });
  });
  room.forEach((terms, day) => terms.length > 0 && row({ name: `day ${day}`, terms, most: time[day] ?? 0 }));
  const { Status, ObjectiveValue } = solver.solve(lpText(program()), { mip_rel_gap: 0, mip_abs_gap: 0 });
  if (Status !== 'Optimal') throw new Error(Status);
  return ObjectiveValue;
}

describe('sittings', () => {
  const smallWeeks = small.map(({ time, items }) => ({
    time,
    items: items.map((item, at) => anItem({ ...item, id: `i${at}` })),
  }));

  test('cost and keep what their words say, and are as good as their gap says', async () => {
    await fc.assert(
      fc.asyncProperty(smallWeeks, async (of) => {
        const { plan, cost, gap } = await planSittings(of, work);
        const least = leastSittings(of);
        expect(sittingBreaches(of, plan)).toEqual([]);
        expect(sittingsCost(of, plan)).toBeCloseTo(totalCost(cost), 6);
        if (gap === null) throw new Error('a plan that was not stopped has a gap');
        expect(totalCost(cost) * (1 - gap)).toBeLessThanOrEqual(least + 1e-5);
        expect(totalCost(cost)).toBeGreaterThanOrEqual(least - 1e-6);
      }),
      { seed: 71, numRuns: 80 },
    );
  }, 120_000);

  test('have a bound that holds from its first round on, however little is known by then', async () => {
    await fc.assert(
      fc.asyncProperty(smallWeeks, fc.integer({ min: 1, max: 3 }), async (of, rounds) => {
        const days = openDays(of);
        const items = new Set(of.items.flatMap((item, at) => (item.set === null ? [at] : [])));
        const shared = await shareOut(of, { items, days }, new Thought(), { ...work, rounds });
        expect(costOfSet(of) + (shared?.bound ?? -Infinity)).toBeLessThanOrEqual(leastSittings(of) + 1e-5);
      }),
      { seed: 72, numRuns: 60 },
    );
  }, 120_000);

  test('of two weeks are bounded by what another model of an independent solver finds, to the last minute', async () => {
    for (const seed of [1, 2, 3]) {
      const { time, items } = sixWeeks(seed);
      const of = {
        time: time.slice(0, 10),
        items: items.slice(0, 9).map((item) => ({ ...item, due: item.due % 10 })),
      };
      const least = await byAssignment(of);
      const { cost, gap } = await planSittings(of, work);
      const { bound } = await boundSittings(of, { ...work, start: [eachOnItsOwnDate(of)] });
      expect(bound ?? -Infinity).toBeLessThanOrEqual(least + 1e-4);
      expect(totalCost(cost)).toBeGreaterThanOrEqual(least - 1e-4);
      expect(totalCost(cost) * (1 - (gap ?? NaN))).toBeLessThanOrEqual(least + 1e-4);
    }
  }, 120_000);

  test('are the same each time they are asked for', async () => {
    const of = sixWeeks(4);
    const [one, other] = [await planSittings(of, work), await planSittings(of, work)];
    expect(other).toEqual(one);
    expect([one.gap === 0, one.ranOut]).toEqual([false, false]);
  }, 60_000);

  test('two things due near each other are one sitting, and one far off is another', async () => {
    const items = [anItem(), anItem({ id: 'grease', due: 5 }), anItem({ id: 'wash', due: 30, interval: 7 })];
    const of = { time: Array.from({ length: 42 }, () => 30), items };
    const { plan, gap } = await planSittings(of, work);
    expect(gap).toBe(0);
    expect(plan[0]).toBe(plan[1]);
    expect(plan[2]).toBe(30);
  });

  test('nothing lies on a day it may not, is too long for, or before it was put off to', async () => {
    const of = {
      time: [20, 5, 20, 20, 20, 20],
      items: [anItem({ due: 0, barred: new Set([0, 2]), from: 1 }), anItem({ id: 'bath', minutes: 45, due: 1 })],
    };
    // Day 1 is too short for ten minutes, day 2 is barred; three quarters of an hour are on no day.
    expect((await planSittings(of, work)).plan).toEqual([3, null]);
  });

  test('what is set stays, were it more than the day has, and nothing is put beside it then', async () => {
    const of = { time: [10, 30], items: [anItem({ minutes: 25, set: 0 }), anItem({ id: 'b', minutes: 5, due: 0 })] };
    expect((await planSittings(of, work)).plan).toEqual([0, 1]);
  });

  test('with no time at all everything is left, and with nothing due nothing is planned', async () => {
    expect((await planSittings({ time: [0, 0, 0], items: [anItem()] }, work)).plan).toEqual([null]);
    expect(await planSittings({ time: [30], items: [] }, work)).toMatchObject({ plan: [], gap: 0 });
  });

  test('each on its own date is the day it falls due, or the nearest that holds it, the earlier of two', () => {
    const dates = (time: readonly number[], ...items: Parameters<typeof anItem>[0][]) =>
      eachOnItsOwnDate({ time, items: items.map((over, at) => anItem({ id: `i${at}`, ...over })) });
    expect(dates([30, 30, 30, 30], { due: 3 }, { due: 0 }, { due: 9 }, { due: 1, set: 2 })).toEqual([3, 0, null, 2]);
    expect(dates([30, 30, 0, 0, 30, 30], { due: 3 })).toEqual([4]);
    expect(dates([30, 30, 0, 0, 0, 30], { due: 3 })).toEqual([1]);
    // What falls due on the day after the last one is not planned yet.
    expect(dates([30, 30], { due: 2 }, { due: 1 })).toEqual([null, 1]);
    // Two of twenty minutes do not fit one day of thirty.
    expect(dates([30, 30, 30, 30], { due: 1, minutes: 20 }, { due: 1, minutes: 20 })).toEqual([1, 0]);
    expect(dates([5, 5], { due: 1 })).toEqual([null]);
  });

  test('a day is open where somebody may be on it, be it one, and where there is room, be it a minute', () => {
    const minute = anItem({ id: 'minute', minutes: 1, due: 0 });
    expect(openDays({ time: [1, 0, 30], items: [minute] }).map(({ day, room }) => [day, room])).toEqual([
      [0, 1],
      [2, 30],
    ]);
    // What is set takes its minutes and makes the sitting; a day it fills is closed.
    const set = anItem({ id: 'set', minutes: 10, set: 0 });
    expect(openDays({ time: [11, 10], items: [set, minute] })).toEqual([
      { day: 0, room: 1, sitting: 0, may: [{ at: 1, minutes: 1, cost: 0 }] },
      { day: 1, room: 10, sitting: 15, may: [{ at: 1, minutes: 1, cost: 2 }] },
    ]);
    expect(openDays({ time: [10], items: [set, minute] })).toEqual([]);
  });

  test('what two sittings have is done in the cheaper of them, and what is set where it is set', () => {
    const of = { time: [30, 30, 30, 30, 30], items: [anItem({ due: 3 }), anItem({ id: 'b', due: 0, set: 4 })] };
    const sittingOn = (day: number) => ({ day, items: [0], cost: 0 });
    expect(planOf(of, [sittingOn(1), sittingOn(3)])).toEqual([3, 4]);
    expect(planOf(of, [sittingOn(4), sittingOn(2)])).toEqual([2, 4]);
    expect(planOf(of, [])).toEqual([null, 4]);
  });

  test('what is early wastes its share of the work, what is late costs by the day: by hand', () => {
    const item = anItem({ minutes: 12, due: 10, interval: 30, lateDay: 3 });
    expect(itemCost(item, 5)).toBeCloseTo(2);
    expect(itemCost(item, 10)).toBe(0);
    expect(itemCost(item, 14)).toBe(12);
    expect(leftCost({ time: Array.from({ length: 42 }, () => 0), items: [] }, item)).toBe(32 * 3 + 15);
  });

  test('what was shown stays unless moving it gains more than it unsettles', async () => {
    const time = Array.from({ length: 42 }, () => 30);
    const moves = async (...items: Parameters<typeof anItem>[0][]) =>
      (await planSittings({ time, items: items.map((over, at) => anItem({ id: `i${at}`, ...over })) }, work)).plan;
    // A day early costs a third of a minute: no reason to move it.
    expect(await moves({ due: 3, shown: 2 })).toEqual([2]);
    // Three days late costs six a thing.
    expect(await moves({ due: 3, shown: 6 })).toEqual([3]);
    // A sitting saved is worth moving one thing.
    const joined = await moves({ due: 3, shown: 3 }, { due: 5, shown: 5 });
    expect(new Set(joined).size).toBe(1);
  });

  test.each([
    ['on a barred day', { barred: new Set([3]) }, [3], 'may not be on day 3'],
    ['too early', { from: 5 }, [3], 'may not be on day 3'],
    ['left though set', { set: 2 }, [null], 'is left'],
  ])('a plan %s is found out', (_, over, plan, breach) => {
    const of = { time: [30, 30, 30, 30], items: [anItem(over)] };
    expect(sittingBreaches(of, plan)[0]).toContain(breach);
  });

  test('forty items over six weeks: at most 5 % from the best, and far fewer than each on its own date', async () => {
    for (const seed of [1, 2, 3]) {
      const of = sixWeeks(seed);
      const { plan, gap } = await planSittings(of, work);
      // Never proved: the bound is stopped once it is near enough.
      expect(gap).toBeGreaterThan(0);
      expect(gap).toBeLessThanOrEqual(0.05);
      const days = (one: SittingPlan) => new Set(one.filter((day) => day !== null)).size;
      expect(days(plan)).toBeLessThanOrEqual(0.6 * days(eachOnItsOwnDate(of)));
      expect(sittingBreaches(of, eachOnItsOwnDate(of))).toEqual([]);
      expect(totalCost(costOfSittings(of, searchSittings(of)))).toBeLessThan(
        totalCost(costOfSittings(of, eachOnItsOwnDate(of))),
      );
    }
  }, 30_000);
});
