import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import highs from 'highs';
import type { Job } from '#core/packup/job.ts';
import { orderSteps } from '#core/packup/order-steps.ts';
import { lpText } from '#core/solve/lp-text.ts';
import { searchShorter, shortestOfAll, shortestWithMost, type OracleJob } from '#core/testing/every-order.ts';
import { asMilp } from '#core/testing/lag-instances.ts';

/** Steps that are not usual take no time, so that zeros are as frequent as in a run. */
const work = fc.oneof(
  { weight: 1, arbitrary: fc.constant(0) },
  { weight: 2, arbitrary: fc.integer({ min: 1, max: 12 }) },
);
const wait = fc.oneof(
  { weight: 2, arbitrary: fc.constant(0) },
  { weight: 1, arbitrary: fc.integer({ min: 1, max: 20 }) },
);
const rows = (most: number) =>
  fc.array(fc.record({ work, links: fc.array(fc.tuple(fc.nat(20), wait), { maxLength: 2 }) }), {
    minLength: 1,
    maxLength: most,
  });

/** Jobs, some of no time, that wait for up to two others each, whatever their places in the list. */
const anyJobs = (most: number): fc.Arbitrary<Job[]> =>
  fc.tuple(rows(most), fc.infiniteStream(fc.nat())).map(([all, dice]) => {
    const jobs = all.map(({ work: workSeconds, links }, index): Job => ({
      workSeconds,
      after: index === 0 ? [] : links.map(([job, waitSeconds]) => ({ job: job % index, waitSeconds })),
    }));
    const place = all.map((_, index) => index);
    for (let at = place.length - 1; at > 0; at--) {
      const other = (dice.next().value ?? 0) % (at + 1);
      [place[at], place[other]] = [place[other] ?? 0, place[at] ?? 0];
    }
    const shuffled: Job[] = [];
    jobs.forEach(({ workSeconds, after }, index) => {
      shuffled[place[index] ?? 0] = {
        workSeconds,
        after: after.map(({ job, waitSeconds }) => ({ job: place[job] ?? 0, waitSeconds })),
      };
    });
    return shuffled;
  });

/** Jobs of their own, each with a head (it may not begin sooner) and a tail (what follows takes so long). */
const headsAndTails: fc.Arbitrary<Job[]> = fc
  .array(fc.tuple(fc.nat(12), work, fc.nat(12)), { minLength: 2, maxLength: 3 })
  .map((all) =>
    all
      .flatMap(([head, workSeconds, tail], index): Job[] => [
        { workSeconds: 0, after: [] },
        { workSeconds, after: [{ job: index * 3, waitSeconds: head }] },
        { workSeconds: 0, after: [{ job: index * 3 + 1, waitSeconds: tail }] },
      ])
      .slice(0, 8),
  );

/** What is wrong with a schedule: nothing where hands do one thing at a time and every wait is kept. */
function wrongWith(jobs: readonly Job[], starts: readonly number[], elapsed: number): string[] {
  const end = (job: number) => (starts[job] ?? NaN) + (jobs[job]?.workSeconds ?? NaN);
  const wrong: string[] = [];
  jobs.forEach(({ workSeconds, after }, job) => {
    for (const { job: before, waitSeconds } of after)
      if (!((starts[job] ?? NaN) >= end(before) + waitSeconds)) wrong.push(`${job} does not wait for ${before}`);
    for (let other = 0; other < job; other++)
      if (workSeconds > 0 && (starts[other] ?? 0) < end(job) && end(other) > (starts[job] ?? 0))
        wrong.push(`${job} and ${other} at once`);
  });
  const last = jobs.length === 0 ? 0 : Math.max(...jobs.map((_, job) => end(job)));
  return last === elapsed ? wrong : [...wrong, `ends at ${last}, not ${elapsed}`];
}

describe('what is called proved', () => {
  test('is as short as every order tried, in ten thousand sets of jobs with zeros, heads, tails and waits', () => {
    const sets = [
      ...fc.sample(anyJobs(8), { seed: 20, numRuns: 8500 }),
      ...fc.sample(headsAndTails, { seed: 21, numRuns: 1500 }),
    ];
    const wrong: unknown[] = [];
    for (const jobs of sets) {
      const { elapsedSeconds, boundSeconds, proved, starts } = orderSteps(jobs);
      const shortest = shortestOfAll(jobs);
      const refusals = wrongWith(jobs, starts, elapsedSeconds);
      if (!proved || elapsedSeconds !== shortest || boundSeconds !== shortest || refusals.length > 0)
        wrong.push({ jobs, elapsedSeconds, boundSeconds, proved, shortest, refusals });
    }
    expect(sets).toHaveLength(10_000);
    expect(wrong.slice(0, 2)).toEqual([]);
  });

  test('is not said of an order that was looked for in vain: what is not proved has a bound that holds', () => {
    const hard = fc.sample(anyJobs(9), { seed: 22, numRuns: 400 });
    const wrong = hard.filter((jobs) => {
      const { elapsedSeconds, boundSeconds, proved } = orderSteps(jobs, { nodes: 3 });
      const shortest = shortestOfAll(jobs);
      return boundSeconds > shortest || elapsedSeconds < shortest || (proved && elapsedSeconds !== shortest);
    });
    expect(wrong).toEqual([]);
    expect(hard.some((jobs) => !orderSteps(jobs, { nodes: 3 }).proved)).toBe(true);
  });
});

/** The same, with a most on some of the waits, on two or three instruments. */
const withMosts = (most: number) =>
  fc
    .tuple(anyJobs(most), fc.array(fc.nat(9), { minLength: most, maxLength: most }), fc.constantFrom(0, 3), fc.nat(3))
    .map(([jobs, dice, changeSeconds, instruments]) => ({
      changeSeconds,
      jobs: jobs.map(({ workSeconds, after }, index): Job => ({
        workSeconds,
        ...(instruments > 0 && { instrument: (dice[index] ?? 0) % (instruments + 1) }),
        after: after.map(({ job, waitSeconds }) =>
          waitSeconds === 0 || (dice[job] ?? 0) > 6
            ? { job, waitSeconds }
            : { job, waitSeconds, mostSeconds: waitSeconds + (dice[job] ?? 0) },
        ),
      })),
    }));
/** Mosts and changes that a schedule does not keep. */
function unkept(
  jobs: readonly Job[],
  { order, starts }: { order: readonly number[]; starts: readonly number[] },
  change: number,
): string[] {
  const end = (job: number) => (starts[job] ?? NaN) + (jobs[job]?.workSeconds ?? NaN);
  const late = jobs.flatMap(({ after }, job) =>
    after.flatMap(({ job: before, mostSeconds = Infinity }) =>
      (starts[job] ?? NaN) <= end(before) + mostSeconds ? [] : [`${job} comes too late after ${before}`],
    ),
  );
  const quick = order.flatMap((job, at) => {
    const before = order[at - 1];
    const isChange = before !== undefined && jobs[before]?.instrument !== jobs[job]?.instrument;
    return isChange && (starts[job] ?? NaN) < end(before) + change ? [`${job} begins while hands turn`] : [];
  });
  return [...late, ...quick];
}

describe('waits with a most, and turning from one instrument to another', () => {
  test('what is called proved is as short as every order tried, in fifteen hundred sets; what cannot be kept is said', () => {
    const wrong: unknown[] = [];
    let [impossible, several] = [0, 0];
    for (const { jobs, changeSeconds } of fc.sample(withMosts(6), { seed: 25, numRuns: 1500 })) {
      const shortest = shortestWithMost(jobs, changeSeconds);
      const schedule = orderSteps(jobs, { changeSeconds });
      const { elapsedSeconds, boundSeconds, proved, keepsMost, starts } = schedule;
      if (shortest === Infinity) impossible++;
      if (changeSeconds > 0) several++;
      const refusals = keepsMost
        ? [...wrongWith(jobs, starts, elapsedSeconds), ...unkept(jobs, schedule, changeSeconds)]
        : [];
      const isRight =
        shortest === Infinity
          ? !keepsMost && !proved
          : keepsMost && proved && elapsedSeconds === shortest && boundSeconds === shortest;
      if (!isRight || refusals.length > 0) wrong.push({ jobs, changeSeconds, schedule, shortest, refusals });
    }
    expect(wrong.slice(0, 2)).toEqual([]);
    expect([impossible > 20, several > 300]).toEqual([true, true]);
  });

  test('what was looked for in vain has a bound that holds, and keeps every most', () => {
    const wrong = fc.sample(withMosts(6), { seed: 26, numRuns: 500 }).filter(({ jobs, changeSeconds }) => {
      const schedule = orderSteps(jobs, { nodes: 2, changeSeconds });
      const { elapsedSeconds, boundSeconds, proved, keepsMost } = schedule;
      const shortest = shortestWithMost(jobs, changeSeconds);
      if (!keepsMost) return proved;
      return (
        boundSeconds > shortest ||
        elapsedSeconds < shortest ||
        (proved && elapsedSeconds !== shortest) ||
        unkept(jobs, schedule, changeSeconds).length > 0
      );
    });
    expect(wrong.slice(0, 2)).toEqual([]);
  });
});

describe('the oracles themselves', () => {
  const a: OracleJob = { workSeconds: 2, after: [] };

  // By hand: soak (2 s of work, then at least 10 and at most `most`), brush (3 s), and 20 s of swabbing.
  const soak = (most?: number): OracleJob[] => [
    a,
    { workSeconds: 3, after: [{ job: 0, waitSeconds: 10, ...(most !== undefined && { mostSeconds: most }) }] },
    { workSeconds: 20, after: [] },
  ];
  test.each([
    ['without a most swabbing fills the wait', undefined, 25],
    ['a most of 20 still holds the swabbing', 20, 25],
    ['at most 12: swabbing first or last, ten seconds of idle hands', 12, 35],
  ])('%s', (_what, most, seconds) => {
    expect(shortestWithMost(soak(most))).toBe(seconds);
  });

  test('to begin at once is not always best: a soak waits until the hands are free for its end', () => {
    // Two soaks of exactly 10 s, 4 s of work at each end: the second begins when its end is free.
    const exactly = (job: number): OracleJob => ({
      workSeconds: 4,
      after: [{ job, waitSeconds: 10, mostSeconds: 10 }],
    });
    const jobs: OracleJob[] = [{ workSeconds: 4, after: [] }, exactly(0), { workSeconds: 4, after: [] }, exactly(2)];
    // 0–4, 4–8, 14–18, 18–22.
    expect(shortestWithMost(jobs)).toBe(22);
    expect(shortestWithMost([a, { workSeconds: 1, after: [{ job: 0, waitSeconds: 5, mostSeconds: 4 }] }])).toBe(
      Infinity,
    );
  });

  test('changing over costs its time, so that one instrument is finished first', () => {
    const on = (instrument: number, job?: number): OracleJob => ({
      workSeconds: 5,
      instrument,
      after: job === undefined ? [] : [{ job, waitSeconds: 0 }],
    });
    expect(shortestWithMost([on(0), on(1), on(0), on(1)], 7)).toBe(27);
    expect(shortestWithMost([on(0), on(1, 0), on(0, 1)], 7)).toBe(29);
  });

  test('agree with each other, and with an independent solver where there are a most and changes', async () => {
    const solver = await highs();
    const withMost = fc
      .tuple(anyJobs(5), fc.array(fc.nat(9), { minLength: 5, maxLength: 5 }), fc.constantFrom(0, 3))
      .map(([jobs, extra, change]) => ({
        change,
        jobs: jobs.map(({ workSeconds, after }, index): OracleJob => ({
          workSeconds,
          instrument: index % 2,
          after: after.map(({ job, waitSeconds }) =>
            waitSeconds === 0
              ? { job, waitSeconds }
              : { job, waitSeconds, mostSeconds: waitSeconds + (extra[job] ?? 0) },
          ),
        })),
      }));
    for (const { jobs, change } of fc.sample(withMost, { seed: 23, numRuns: 25 })) {
      const { Status, ObjectiveValue } = solver.solve(lpText(asMilp(jobs, change)), { mip_rel_gap: 0, mip_abs_gap: 0 });
      const found = Status === 'Optimal' ? Math.round(ObjectiveValue) : Infinity;
      expect(shortestWithMost(jobs, change)).toBe(found);
    }
    const plain = fc.sample(anyJobs(6), { seed: 24, numRuns: 100 });
    const differ = plain.filter((jobs) => {
      const shortest = shortestOfAll(jobs);
      const { found, complete } = searchShorter(jobs, shortest, 1e6);
      const further = searchShorter(jobs, shortest + 1, 1e6);
      return shortestWithMost(jobs) !== shortest || found !== null || !complete || further.found !== shortest;
    });
    expect(differ).toEqual([]);
  });
});
