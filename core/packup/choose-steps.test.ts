import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { chooseSteps, shortestSeconds, type ChoiceInput } from '#core/packup/choose-steps.ts';
import { shortestOfAll } from '#core/testing/every-order.ts';

/** The oracle: every subset of the units, each timed by every order of its jobs. */
function bruteForce({ jobs, must, units, requires, limitSeconds }: ChoiceInput): number {
  let best = 0;
  for (let mask = 0; mask < 2 ** units.length; mask++) {
    const chosen = new Set<number>();
    // A job somebody needs brings the rest of its unit along: what is opened is closed.
    const add = (job: number): void => {
      if (chosen.has(job)) return;
      chosen.add(job);
      [...(requires[job] ?? []), ...(units.find(({ jobs: own }) => own.includes(job))?.jobs ?? [])].forEach(add);
    };
    must.forEach(add);
    let value = 0;
    units.forEach((unit, index) => {
      if ((mask & (1 << index)) === 0) return;
      unit.jobs.forEach(add);
      value += unit.value;
    });
    const place = new Map([...chosen].map((job, index) => [job, index]));
    const among = [...chosen].map((job) => ({
      workSeconds: jobs[job]?.workSeconds ?? 0,
      after: (jobs[job]?.after ?? []).flatMap(({ job: before, waitSeconds }) => {
        const index = place.get(before);
        return index === undefined ? [] : [{ job: index, waitSeconds }];
      }),
    }));
    if (shortestOfAll(among) <= limitSeconds) best = Math.max(best, value);
  }
  return best;
}

/** Up to eight jobs, some of no time: some must, some alone, some in pairs, some behind a wait, some needing another. */
const inputs = fc
  .record({
    rows: fc.array(
      fc.record({
        work: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 })),
        wait: fc.integer({ min: 0, max: 12 }),
        value: fc.integer({ min: 1, max: 20 }),
        role: fc.constantFrom('must', 'alone', 'alone', 'with-the-one-before', 'needs-the-one-before'),
      }),
      { minLength: 1, maxLength: 8 },
    ),
    limitSeconds: fc.integer({ min: 0, max: 60 }),
  })
  .map(({ rows, limitSeconds }): ChoiceInput => {
    const units: { jobs: number[]; value: number }[] = [];
    const must: number[] = [];
    const requires: number[][] = [];
    rows.forEach(({ role, value }, job) => {
      const last = units.at(-1);
      requires.push(role === 'needs-the-one-before' && job > 0 ? [job - 1, ...(requires[job - 1] ?? [])] : []);
      if (role === 'must') must.push(job);
      else if (role === 'with-the-one-before' && last) last.jobs.push(job);
      else units.push({ jobs: [job], value });
    });
    const jobs = rows.map(({ work, wait }, job) => ({
      workSeconds: work,
      after: job % 2 === 1 ? [{ job: job - 1, waitSeconds: wait }] : [],
    }));
    return { jobs, must, units, requires, limitSeconds };
  });

describe('what to do in the time there is', () => {
  test('protects as much as the best of all subsets', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const choice = chooseSteps(input);
        const isInTime =
          choice.mustSeconds > input.limitSeconds ||
          shortestSeconds(input.jobs, choice.chosen).seconds <= input.limitSeconds;
        const best = choice.mustSeconds > input.limitSeconds ? 0 : bruteForce(input);
        if (!choice.proved || !isInTime || Math.abs(choice.value - best) > 1e-9)
          throw new Error(JSON.stringify([choice, best]));
      }),
      { seed: 3, numRuns: 1500 },
    );
  });

  // 0/1 knapsack P07 (Kreher & Stinson 1999, as collected in KNAPSACK_01): capacity 750, optimum 1458.
  test('solves a published knapsack: independent jobs without waits', () => {
    const weights = [70, 73, 77, 80, 82, 87, 90, 94, 98, 106, 110, 113, 115, 118, 120];
    const values = [135, 139, 149, 150, 156, 163, 173, 184, 192, 201, 210, 214, 221, 229, 240];
    const choice = chooseSteps({
      jobs: weights.map((workSeconds) => ({ workSeconds, after: [] })),
      must: [],
      units: values.map((value, job) => ({ jobs: [job], value })),
      requires: weights.map(() => []),
      limitSeconds: 750,
    });
    expect(choice).toMatchObject({ value: 1458, proved: true });
    expect(choice.chosen.reduce((sum, job) => sum + (weights[job] ?? 0), 0)).toBe(749);
  });

  test('more time never protects less', () => {
    fc.assert(
      fc.property(inputs, fc.nat(30), (input, more) => {
        const longer = chooseSteps({ ...input, limitSeconds: input.limitSeconds + more });
        expect(longer.value).toBeGreaterThanOrEqual(chooseSteps(input).value - 1e-9);
      }),
      { seed: 5, numRuns: 200 },
    );
  });

  test('a group is whole or absent, what is required comes along, and a must-job is never dropped', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { chosen, leftOut } = chooseSteps(input);
        for (const job of input.must) expect(chosen).toContain(job);
        for (const job of chosen) for (const needed of input.requires[job] ?? []) expect(chosen).toContain(needed);
        input.units.forEach((unit, index) => {
          if (!leftOut.includes(index)) for (const job of unit.jobs) expect(chosen).toContain(job);
        });
      }),
      { seed: 9, numRuns: 200 },
    );
  });

  test('no time at all leaves the must-jobs, with the minutes they take', () => {
    const choice = chooseSteps({
      jobs: [
        { workSeconds: 60, after: [] },
        { workSeconds: 30, after: [{ job: 0, waitSeconds: 0 }] },
      ],
      must: [0],
      units: [{ jobs: [1], value: 5 }],
      requires: [[], [0]],
      limitSeconds: 0,
    });
    expect(choice).toEqual({ chosen: [0], leftOut: [0], value: 0, mustSeconds: 60, proved: true });
  });
});
