import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import highs, { type Highs } from 'highs';
import { checkedSolver, type SolveMilp } from '#core/solve/answer.ts';
import { solveWithHighs } from '#core/solve/with-highs.ts';
import { planRotation, type RotationPlan } from '#core/reeds/plan-rotation.ts';
import { boundRotation } from '#core/reeds/bound-rotation.ts';
import { bestSchedule } from '#core/reeds/reed-schedule.ts';
import { planBreaches, totalOf, type Rotation, type RotationReed } from '#core/reeds/rotation.ts';
import { leastRotation, rotationCost } from '#core/testing/rotation-oracle.ts';
import { aReed, fourWeeks } from '#core/testing/rotations.ts';

let runtime: Highs;
beforeAll(async () => {
  runtime = await highs();
});
const solve: SolveMilp = checkedSolver((program, limits, stop) =>
  Promise.resolve(solveWithHighs(runtime, program, limits, () => stop?.aborted ?? false)),
);
const ON = { aborted: false };
const plan = (rotation: Rotation): Promise<RotationPlan> => planRotation(rotation, { solve, stop: ON });

const days = (...minutes: number[]) => minutes.map((one) => ({ minutes: one, concertMinutes: 0 }));

/** Small rotations: few enough days and sizes to try every plan. */
const small = fc
  .record({
    minutes: fc.array(fc.constantFrom(0, 10, 20), { minLength: 2, maxLength: 4 }),
    concert: fc.integer({ min: -1, max: 3 }),
    reeds: fc.array(
      fc.record({
        ramp: fc.constantFrom<readonly number[]>([], [10], [5, 10]),
        share: fc.constantFrom(0, 0.3, 0.6),
        from: fc.constantFrom(0, 1),
        isConcert: fc.boolean(),
        isPracticeOnly: fc.boolean(),
        rests: fc.boolean(),
        pinned: fc.constantFrom<Readonly<Record<number, number>>>({}, { 1: 15 }, { 0: 0, 2: 10 }, { 1: 10, 2: 20 }),
      }),
      { minLength: 1, maxLength: 2 },
    ),
  })
  .map(({ minutes, concert, reeds }): Rotation => ({
    days: minutes.map((one, day) => ({ minutes: one, concertMinutes: day === concert ? one : 0 })),
    reeds: reeds.map((reed, at) => aReed({ ...reed, id: `r${at}`, cap: 20, life: 100 })),
  }));

describe('a plan of reeds', () => {
  test('costs and keeps what its words say, is as good as its gap says, and no plan is below its bound', async () => {
    await fc.assert(
      fc.asyncProperty(small, async (rotation) => {
        const { schedules, cost, bound, gap, ranOut } = await plan(rotation);
        const least = leastRotation(rotation);
        expect(planBreaches(rotation, schedules)).toEqual([]);
        expect(rotationCost(rotation, schedules)).toBeCloseTo(totalOf(cost), 6);
        expect(bound).toBeLessThanOrEqual(least + 1e-6);
        // What is left between it and the best is what its gap says, a share of its own cost.
        if (gap === null) throw new Error('a plan that was not stopped has a gap');
        expect(totalOf(cost) - least).toBeLessThanOrEqual(gap * totalOf(cost) + 1e-6);
        if (totalOf(cost) > 0) expect(gap * totalOf(cost)).toBeCloseTo(Math.max(0, totalOf(cost) - (bound ?? NaN)), 4);
        expect(ranOut).toBe(false);
      }),
      { seed: 61, numRuns: 40 },
    );
  });

  test('has a bound that holds from its first round on, however little is known by then', async () => {
    await fc.assert(
      fc.asyncProperty(small, fc.integer({ min: 1, max: 3 }), async (rotation, rounds) => {
        const start = rotation.reeds.map(({ pinned }) => [rotation.days.map((_, day) => pinned[day] ?? 0)]);
        const { bound } = await boundRotation(rotation, { solve, stop: ON, start, rounds });
        expect(bound).toBeLessThanOrEqual(leastRotation(rotation) + 1e-6);
      }),
      { seed: 62, numRuns: 40 },
    );
  });

  test('is the same each time it is asked for', async () => {
    const rotation = fourWeeks(3);
    const [one, other] = [await plan(rotation), await plan(rotation)];
    expect(other).toEqual(one);
    expect(one.gap).toBeGreaterThan(0);
  });

  test('of one reed is best by dynamic programming: it rests, and plays the longer days', () => {
    const reed = aReed();
    const rotation = { days: days(35, 60, 35), reeds: [reed] };
    expect(bestSchedule(rotation, reed, (_day, minutes) => minutes).schedule).toEqual([35, 0, 35]);
    const longer = { days: days(30, 90, 30), reeds: [reed] };
    expect(bestSchedule(longer, reed, (_day, minutes) => minutes).schedule).toEqual([0, 90, 0]);
  });

  test('counts for a concert only once it is broken in, and in the first half of its life', () => {
    const rotation = { days: days(40), reeds: [] };
    const onlyReady = (_day: number, _minutes: number, ready: boolean) => (ready ? 1000 : 0);
    const value = (over: Partial<RotationReed>) =>
      bestSchedule(rotation, aReed({ isConcert: true, ...over }), onlyReady).value;
    // Ten minutes of breaking in wear 0.3 · 10 · (5 ÷ 1200); lying still would cost a day.
    expect(value({ ramp: [10] })).toBeCloseTo(0.0125, 9);
    expect(value({})).toBeLessThan(-900);
    expect(value({ share: 0.49 })).toBeLessThan(-900);
    expect(value({ share: 0.5 })).toBe(0);
    expect(value({ isConcert: false })).toBe(0);
  });

  test('brings a new reed on, a day at a time and no faster', async () => {
    const reed = aReed({ id: 'new', ramp: [5, 10, 15] });
    const { schedules } = await plan({ days: days(40, 40, 0, 40, 40), reeds: [reed, aReed({ id: 'old' })] });
    expect(schedules[0]).toEqual([5, 10, 0, 15, expect.any(Number)]);
  });

  test('keeps the concert reed for the concert', async () => {
    const rotation: Rotation = {
      days: [...days(60, 60, 60), { minutes: 80, concertMinutes: 80 }],
      reeds: [aReed({ id: 'concert', isConcert: true }), aReed({ id: 'a' }), aReed({ id: 'b' })],
    };
    const { schedules, cost } = await plan(rotation);
    expect(schedules[0]).toEqual([0, 0, 0, 80]);
    expect(cost.unready).toBe(0);
  });

  test('leaves what is pinned where it is, whatever it costs', async () => {
    const rotation = { days: days(60, 60, 60), reeds: [aReed({ pinned: { 0: 60, 1: 60 } }), aReed({ id: 'b' })] };
    const { schedules } = await plan(rotation);
    expect(schedules[0]?.slice(0, 2)).toEqual([60, 60]);
  });

  test('rests a reed before a session that is pinned', async () => {
    const reed = aReed({ pinned: { 1: 60 } });
    const rotation = { days: days(60, 60, 60, 60), reeds: [reed] };
    expect((await plan(rotation)).schedules[0]).toEqual([0, 60, 0, 60]);
    expect(planBreaches(rotation, [[60, 60, 0, 60]])[0]).toMatch(/does not rest before a pinned session/);
  });

  test('of no reeds or no days is empty and proved', async () => {
    expect(await plan({ days: days(60), reeds: [] })).toMatchObject({ schedules: [], gap: 0 });
    expect((await plan({ days: [], reeds: [aReed()] })).schedules).toEqual([[]]);
  });

  test('that is stopped is the best so far, and breaks no rule', async () => {
    const rotation = {
      days: days(...Array.from({ length: 28 }, (_, at) => (at % 3) * 40)),
      reeds: [aReed(), aReed({ id: 'b' })],
    };
    const { schedules, bound, gap } = await planRotation(rotation, { solve, stop: { aborted: true } });
    expect(planBreaches(rotation, schedules)).toEqual([]);
    // Nothing is known of the best, and nothing said of it.
    expect([bound, gap]).toEqual([null, null]);
  });

  test.each([
    ['plays over its cap', [[95, 0, 0]]],
    ['plays longer than the day', [[0, 35, 0]]],
    ['has not rested', [[30, 30, 0]]],
    ['misses a day', [[30, 0]]],
    ['is missing', []],
  ])('that %s is found out', (_, schedules) => {
    expect(planBreaches({ days: days(100, 30, 30), reeds: [aReed()] }, schedules)).not.toEqual([]);
  });

  test('ten reeds over four weeks: what the best may cost less is at most 5 % of the planned minutes', async () => {
    const reeds = Array.from({ length: 10 }, (_, at) =>
      aReed({
        id: `r${at}`,
        ramp: at < 3 ? [5, 10, 15, 20, 30, 40, 50].slice(at * 2) : [],
        share: (at * 7) / 100,
        isConcert: at > 2 && at < 7,
        isPracticeOnly: at === 9,
      }),
    );
    const rotation: Rotation = {
      days: Array.from({ length: 28 }, (_, day) => ({
        minutes: [0, 45, 90, 150, 60, 120, 0][day % 7] ?? 0,
        concertMinutes: day % 14 === 5 ? 90 : 0,
      })),
      reeds,
    };
    const { gap, cost, schedules } = await plan(rotation);
    expect(planBreaches(rotation, schedules)).toEqual([]);
    const planned = schedules.flat().reduce((sum, one) => sum + one, 0);
    expect(((gap ?? NaN) * totalOf(cost)) / planned).toBeLessThanOrEqual(0.05);
  });
});
