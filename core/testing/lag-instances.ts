import type { Job } from '#core/packup/job.ts';
import type { OracleJob } from '#core/testing/every-order.ts';
import { draftProgram, type Program } from '#core/solve/program.ts';

/**
 * Instances of one pair of hands with minimum waits, made for this program: a task is [work, wait, work, …], minutes.
 * Optima by exhaustive enumeration of the orders, confirmed by a time-indexed MILP.
 */
export const LAG_INSTANCES: readonly (readonly [
  name: string,
  tasks: readonly (readonly number[])[],
  optimum: number,
])[] = [
  ['A', [[2, 15, 5], [6], [4], [3]], 22],
  ['C', [[2, 15, 3, 5, 2], [4, 10, 3], [3, 20, 2], [7]], 29],
  ['D', [[1, 15, 1], [1, 15, 1], [1, 15, 1], [10], [8]], 24],
  ['L', [[4, 15, 2], [4, 15, 2], [3], [3], [3]], 25],
  ['M', [[1, 5, 1, 5, 1], [2, 8, 2], [3]], 14],
];

/** Tasks become jobs with a lag between consecutive works. */
export function chains(tasks: readonly (readonly number[])[]): Job[] {
  const jobs: Job[] = [];
  for (const task of tasks)
    for (let index = 0; index < task.length; index += 2)
      jobs.push({
        workSeconds: task[index] ?? 0,
        after: index === 0 ? [] : [{ job: jobs.length - 1, waitSeconds: task[index - 1] ?? 0 }],
      });
  return jobs;
}

/** Pairs the precedence orders already, as `before,after`, through any number of jobs between. */
function orderedPairs(jobs: readonly OracleJob[]): Set<string> {
  const ancestors = jobs.map(() => new Set<number>());
  jobs.forEach(({ after }, job) => {
    for (const { job: before } of after)
      for (const one of [before, ...(ancestors[before] ?? [])]) ancestors[job]?.add(one);
  });
  return new Set(ancestors.flatMap((set, job) => [...set].map((before) => `${before},${job}`)));
}

/**
 * The same problem as a mixed-integer program, for an independent solver: big-M disjunctions, a binary for each pair the
 * precedence leaves open; a wait may have a most, and changing from one instrument to another may take time. Its cost is
 * the end of the last job.
 */
export function asMilp(jobs: readonly OracleJob[], changeSeconds = 0): Program {
  const ordered = orderedPairs(jobs);
  const waits = (job: OracleJob) => Math.max(0, ...job.after.map(({ waitSeconds }) => waitSeconds));
  const horizon = jobs.reduce((sum, job) => sum + job.workSeconds + waits(job) + changeSeconds, 0) + 1;
  const change = (one: number, other: number) =>
    jobs[one]?.instrument === jobs[other]?.instrument ? 0 : changeSeconds;
  const { column, row, program } = draftProgram();
  const end = column({ name: 'end', cost: 1 });
  const starts = jobs.map((_, job) => column({ name: `start ${job}`, cost: 0 }));
  const start = (job: number) => starts[job] ?? 0;
  jobs.forEach(({ workSeconds, after }, job) => {
    row({
      name: `${job} ends in time`,
      terms: [
        [end, 1],
        [start(job), -1],
      ],
      least: workSeconds,
    });
    for (const { job: before, waitSeconds, mostSeconds } of after)
      row({
        name: `${job} after ${before}`,
        terms: [
          [start(job), 1],
          [start(before), -1],
        ],
        least: (jobs[before]?.workSeconds ?? 0) + Math.max(waitSeconds, change(before, job)),
        ...(mostSeconds !== undefined && { most: (jobs[before]?.workSeconds ?? 0) + mostSeconds }),
      });
    for (let other = job + 1; other < jobs.length; other++) {
      if (ordered.has(`${job},${other}`) || ordered.has(`${other},${job}`)) continue;
      const first = column({ name: `${job} before ${other}`, cost: 0, most: 1, whole: true });
      const apart = (early: number, late: number, by: number, least: number) =>
        row({
          name: `${early} and ${late} apart`,
          terms: [
            [start(late), 1],
            [start(early), -1],
            [first, by],
          ],
          least,
        });
      apart(job, other, -horizon, workSeconds + change(job, other) - horizon);
      apart(other, job, horizon, (jobs[other]?.workSeconds ?? 0) + change(job, other));
    }
  });
  return program();
}
