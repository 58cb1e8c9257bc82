import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { HandsPrefix } from '#core/packup/hands-prefix.ts';
import type { Job } from '#core/packup/job.ts';
import { joinStays } from '#core/packup/join-stays.ts';
import { prepare } from '#core/packup/partial-schedule.ts';
import { turningBound } from '#core/packup/turning-bound.ts';
import { everyOrder, timeOf } from '#core/testing/every-order.ts';

const CHANGE = 15;

/** Up to six jobs at two or three instruments, some waiting for one before them, some not longer than a most. */
const jobs: fc.Arbitrary<Job[]> = fc
  .array(
    fc.record({
      workSeconds: fc.nat(20),
      instrument: fc.nat(2),
      link: fc.option(fc.tuple(fc.nat(5), fc.nat(60), fc.option(fc.nat(40), { nil: undefined })), { nil: undefined }),
    }),
    { minLength: 4, maxLength: 6 },
  )
  .map((all) =>
    all.map(({ workSeconds, instrument, link }, at): Job => {
      if (link === undefined || at === 0) return { workSeconds, instrument, after: [] };
      const [job, waitSeconds, more] = link;
      const most = more === undefined ? {} : { mostSeconds: waitSeconds + more };
      return { workSeconds, instrument, after: [{ job: job % at, waitSeconds, ...most }] };
    }),
  );

const keeps = (all: readonly Job[], order: readonly number[]): boolean =>
  order.every((job, at) => all[job]?.after.every((one) => order.indexOf(one.job) < at));

describe('the least that work, turns and waits take', () => {
  // By hand. Two instruments, 100 s of work each; one sits out 60 s where it is seen to in one go, the other 10.
  test.each([
    ['a turn less than must be is none', 15, 200 + 15 + 15 + 10],
    ['turning is dear: both sit out their waits', 100, 200 + 100 + 70],
    ['turning is cheap: they fill each other’s waits', 2, 200 + 2 + 4],
  ])('%s', (_what, change, seconds) => {
    const here = { work: 100, inOneGo: 160, atOnce: 160 };
    expect(turningBound(change, here, [{ work: 100, inOneGo: 110 }])).toBe(seconds);
  });

  test('what has begun to wait is sat out only by whoever stays', () => {
    const here = { work: 10, inOneGo: 10, atOnce: 70 };
    expect(turningBound(15, here, [{ work: 30, inOneGo: 30 }])).toBe(40 + 15 + 15);
    expect(turningBound(15, { ...here, atOnce: 20 }, [{ work: 30, inOneGo: 30 }])).toBe(40 + 15 + 10);
  });

  test('no order is shorter than the bound of any of its beginnings', () => {
    let asked = 0;
    for (const all of fc.sample(jobs, { seed: 41, numRuns: 220 })) {
      const best = new Map<string, number>();
      for (const order of everyOrder(all.length)) {
        if (!keeps(all, order)) continue;
        const seconds = timeOf(all, order, CHANGE);
        for (let first = 0; first < order.length; first++) {
          const begun = order.slice(0, first).join();
          best.set(begun, Math.min(best.get(begun) ?? Infinity, seconds));
        }
      }
      const search = prepare(all);
      for (const [begun, seconds] of best) {
        const prefix = new HandsPrefix(search, CHANGE);
        const order = begun === '' ? [] : begun.split(',').map(Number);
        if (!order.every((job) => prefix.push(job) !== null)) continue;
        asked++;
        if (prefix.bound() > seconds) throw new Error(JSON.stringify({ all, begun, bound: prefix.bound(), seconds }));
      }
    }
    expect(asked).toBeGreaterThan(5000);
  });
});

describe('stays joined', () => {
  test('keep every precedence and every most, and take no longer', () => {
    let shorter = 0;
    for (const all of fc.sample(jobs, { seed: 43, numRuns: 600 })) {
      const search = prepare(all);
      const given = all.map((_, job) => job);
      const first = new HandsPrefix(search, CHANGE);
      if (!given.every((job) => first.push(job) !== null)) continue;
      const { order, elapsedSeconds } = joinStays(search, CHANGE, first.copy(), 0);
      expect([keeps(all, order), order.toSorted((a, b) => a - b)]).toEqual([true, given]);
      expect(timeOf(all, order, CHANGE)).toBe(elapsedSeconds);
      expect(elapsedSeconds).toBeLessThanOrEqual(timeOf(all, given, CHANGE));
      if (elapsedSeconds < timeOf(all, given, CHANGE)) shorter++;
    }
    expect(shorter).toBeGreaterThan(50);
  });
});
