import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import highs from 'highs';
import { lpText } from '#core/solve/lp-text.ts';
import { asMilp, chains, LAG_INSTANCES } from '#core/testing/lag-instances.ts';
import type { Job } from '#core/packup/job.ts';
import { fitsWithin, orderSteps, type Schedule } from '#core/packup/order-steps.ts';
import { preemptiveBound } from '#core/packup/preemptive-bound.ts';

/** A tail is a wait with nothing but an empty job behind it; a head is a wait behind an empty job. */
function headsAndTails(heads: readonly number[], works: readonly number[], tails: readonly number[]): Job[] {
  return works.flatMap((work, index) => [
    { workSeconds: 0, after: [] },
    { workSeconds: work, after: [{ job: index * 3, waitSeconds: heads[index] ?? 0 }] },
    { workSeconds: 0, after: [{ job: index * 3 + 1, waitSeconds: tails[index] ?? 0 }] },
  ]);
}

function checkFeasible(jobs: readonly Job[], schedule: Schedule): void {
  const end = (job: number) => (schedule.starts[job] ?? 0) + (jobs[job]?.workSeconds ?? 0);
  expect(schedule.order.toSorted((a, b) => a - b)).toEqual(jobs.map((_, job) => job));
  schedule.order.forEach((job, position) => {
    const previous = schedule.order[position - 1];
    if (previous !== undefined) expect(schedule.starts[job]).toBeGreaterThanOrEqual(end(previous));
    for (const { job: before, waitSeconds } of jobs[job]?.after ?? [])
      expect(schedule.starts[job]).toBeGreaterThanOrEqual(end(before) + waitSeconds);
  });
  expect(schedule.elapsedSeconds).toBe(Math.max(0, ...jobs.map((_, job) => end(job))));
}

/** An independent solver. */
async function byMilp(jobs: readonly Job[]): Promise<number> {
  const solver = await highs();
  const { Status, ObjectiveValue } = solver.solve(lpText(asMilp(jobs)), { mip_rel_gap: 0, mip_abs_gap: 0 });
  if (Status !== 'Optimal') throw new Error(`highs: ${Status}`);
  return Math.round(ObjectiveValue);
}

const randomJobs = (most: number) =>
  fc
    .array(
      fc.record({
        work: fc.integer({ min: 1, max: 12 }),
        links: fc.array(fc.tuple(fc.nat(20), fc.integer({ min: 0, max: 15 })), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((rows) =>
      rows.map(({ work, links }, index): Job => ({
        workSeconds: work,
        after:
          index === 0
            ? []
            : links.map(([job, waitSeconds]) => ({ job: job % index, waitSeconds: waitSeconds > 7 ? waitSeconds : 0 })),
      })),
    );

describe('one pair of hands with passive waits', () => {
  // Carlier 1982 (EJOR 11:42–47), 7 jobs, as recalled; optimum by exhaustive enumeration is what branch and bound must meet.
  test('Carlier’s published instance: as short as brute force, not shorter than Jackson’s preemptive bound 49', () => {
    const [r, p, q] = [
      [10, 13, 11, 20, 30, 0, 30],
      [5, 6, 7, 4, 3, 6, 2],
      [7, 26, 24, 21, 8, 17, 0],
    ];
    const jobs = headsAndTails(r, p, q);
    const schedule = orderSteps(jobs);
    checkFeasible(jobs, schedule);
    expect(schedule.proved).toBe(true);
    expect(preemptiveBound(r.map((head, index) => ({ head, work: p[index] ?? 0, tail: q[index] ?? 0 })))).toBe(49);
    expect(schedule.elapsedSeconds).toBeGreaterThanOrEqual(49);
    let best = Infinity;
    const go = (left: readonly number[], now: number, latest: number): void => {
      if (left.length === 0) best = Math.min(best, latest);
      for (const job of left) {
        const end = Math.max(now, r[job] ?? 0) + (p[job] ?? 0);
        go(
          left.filter((one) => one !== job),
          end,
          Math.max(latest, end + (q[job] ?? 0)),
        );
      }
    };
    go([0, 1, 2, 3, 4, 5, 6], 0, 0);
    expect(schedule.elapsedSeconds).toBe(best);
  });

  test.each([
    ['J0', [0, 0, 0, 0, 0], [6, 4, 8, 3, 5], [10, 15, 4, 15, 20], 30],
    ['J2', [0, 4, 9, 2, 6], [5, 3, 4, 6, 2], [8, 15, 6, 3, 12], 23],
    ['J3, where idle hands are needed', [0, 1], [10, 1], [0, 10], 12],
    ['J5', [0, 2, 3, 10], [9, 3, 2, 4], [1, 12, 16, 7], 24],
  ])('%s: heads and tails, optimum known by enumeration', (_name, heads, works, tails, optimum) => {
    const bound = preemptiveBound(heads.map((head, i) => ({ head, work: works[i] ?? 0, tail: tails[i] ?? 0 })));
    expect(bound).toBeLessThanOrEqual(optimum);
    expect(orderSteps(headsAndTails(heads, works, tails))).toMatchObject({ elapsedSeconds: optimum, proved: true });
  });

  test.each(LAG_INSTANCES)('%s: minimum waits, optimum known by enumeration and MILP', (_name, tasks, optimum) => {
    const jobs = chains(tasks);
    const schedule = orderSteps(jobs);
    checkFeasible(jobs, schedule);
    expect(schedule).toMatchObject({ elapsedSeconds: optimum, proved: true });
  });

  test('is as short as an independent MILP solver on larger ones', async () => {
    for (const jobs of fc.sample(
      randomJobs(9).filter((sample) => sample.length >= 8),
      { seed: 15, numRuns: 3 },
    )) {
      const schedule = orderSteps(jobs);
      expect(schedule.proved).toBe(true);
      expect(schedule.elapsedSeconds).toBe(await byMilp(jobs));
    }
  });

  test('keeps the given order where nothing waits', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(9), { maxLength: 15 }), (works) => {
        expect(orderSteps(works.map((workSeconds) => ({ workSeconds, after: [] }))).order).toEqual(
          works.map((_, index) => index),
        );
      }),
      { seed: 2 },
    );
  });

  test('refuses times that are no whole seconds: sums of others never compare equal', () => {
    for (const workSeconds of [0.1, -1, NaN, Infinity]) {
      expect(() => orderSteps([{ workSeconds, after: [] }])).toThrow(RangeError);
      expect(() => fitsWithin([{ workSeconds, after: [] }], 10)).toThrow(RangeError);
    }
    const half = [
      { workSeconds: 1, after: [] },
      { workSeconds: 1, after: [{ job: 0, waitSeconds: 0.5 }] },
    ];
    expect(() => orderSteps(half)).toThrow('whole seconds');
  });

  test('what fits is as good as proved, however little was looked at', () => {
    const waits: Job[] = [
      { workSeconds: 5, after: [] },
      { workSeconds: 5, after: [{ job: 0, waitSeconds: 60 }] },
      { workSeconds: 30, after: [] },
    ];
    expect(fitsWithin(waits, 70)).toEqual({ fits: true, proved: true });
    expect(fitsWithin(waits, 69)).toEqual({ fits: false, proved: true });
    expect(fitsWithin(waits, 70, { budget: { nodes: 0 } })).toEqual({ fits: true, proved: true });
    // More work than there is time is no matter of looking.
    expect(fitsWithin(waits, 39, { budget: { nodes: 0 } })).toEqual({ fits: false, proved: true });
    expect(fitsWithin(waits, 69, { budget: { nodes: 0 } })).toEqual({ fits: false, proved: true });
  });

  test('refuses a precedence that runs in a circle', () => {
    expect(() =>
      orderSteps([
        { workSeconds: 1, after: [{ job: 1, waitSeconds: 0 }] },
        { workSeconds: 1, after: [{ job: 0, waitSeconds: 0 }] },
      ]),
    ).toThrow('circle');
  });
});
