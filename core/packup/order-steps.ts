import { BranchAndBound, type Budget } from '#core/packup/branch-and-bound.ts';
import type { Job } from '#core/packup/job.ts';
import { PartialSchedule, prepare, type Found, type Search } from '#core/packup/partial-schedule.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

export type Schedule = {
  /** Job indices in the order they are done. */
  readonly order: readonly number[];
  /** Start of each job by index, seconds from the beginning. */
  readonly starts: readonly number[];
  readonly elapsedSeconds: number;
  /** No order can be shorter than this. */
  readonly boundSeconds: number;
  /** Is `elapsedSeconds` the shortest there is? */
  readonly proved: boolean;
};

/** Nodes looked at for one order, and for one question whether something fits. */
const NODE_LIMIT = 25_000;
const FITS_LIMIT = 1_000;

type Rank = (job: number) => number;

/** By rank, and where that is the same, as they were given. */
const isBefore = (rank: Rank, one: number, other: number): boolean =>
  rank(one) < rank(other) || (rank(one) === rank(other) && one < other);

/** Of the jobs that may come next, the one that can start soonest; of several, the first by rank. */
function soonestOf(
  ready: ReadonlySet<number>,
  startOf: (job: number) => number,
  rank: Rank,
): [job: number, start: number] {
  let [next, soonest] = [-1, Infinity];
  for (const job of ready) {
    const start = startOf(job);
    if (start < soonest || (start === soonest && isBefore(rank, job, next))) [next, soonest] = [job, start];
  }
  return [next, soonest];
}

/** Never idles while something can be done; among what can be done now, the smallest `rank` first. */
function listSchedule({ jobs, followers }: Search, rank: Rank): Found {
  const missing = Int32Array.from(jobs, ({ after }) => after.length);
  const earliest = new Float64Array(jobs.length);
  const starts = jobs.map(() => -1);
  const order: number[] = [];
  const ready = new Set<number>();
  missing.forEach((count, job) => count === 0 && ready.add(job));
  let now = 0;
  while (ready.size > 0) {
    const [next, start] = soonestOf(ready, (job) => Math.max(now, earliest[job] ?? 0), rank);
    ready.delete(next);
    order.push(next);
    starts[next] = start;
    now = start + (jobs[next]?.workSeconds ?? 0);
    for (const { job, waitSeconds } of followers[next] ?? []) {
      earliest[job] = Math.max(earliest[job] ?? 0, now + waitSeconds);
      missing[job] = (missing[job] ?? 0) - 1;
      if (missing[job] === 0) ready.add(job);
    }
  }
  return { order, starts, elapsedSeconds: now };
}

/**
 * The shortest order of the jobs for one pair of hands, with passive waits overlapped: one machine, precedence with
 * minimum time lags, makespan. Waits at the very end, which nothing waits for, do not count.
 *
 * The given order is kept wherever it costs nothing: it is tried first, then with the jobs that lead to a wait moved
 * forward, then longest chain first; branch and bound closes what gap is left, within a fixed number of nodes.
 * Sources of the problem and of the check instances: see the test.
 *
 * @param nodes what may be looked at; where that does not suffice, the best order found with a bound that holds
 * @throws Error when the precedence runs in a circle
 * @throws RangeError for times that are no whole seconds
 */
export function orderSteps(jobs: readonly Job[], nodes: number = NODE_LIMIT): Schedule {
  checkNumber('the nodes of a search', nodes, { whole: true });
  return order(jobs, 0, { nodes });
}

function order(jobs: readonly Job[], enough: number, budget: Budget): Schedule {
  if (jobs.length === 0) return { order: [], starts: [], elapsedSeconds: 0, boundSeconds: 0, proved: true };
  const search = prepare(jobs);
  const start = new PartialSchedule(search);
  const bound = Math.max(start.bound(start.available()), start.sharperBound());
  const ranks: readonly Rank[] = [
    (job) => (search.leadsToWait[job] ? job - jobs.length : job),
    (job) => -(search.tails[job] ?? 0),
  ];
  let best = listSchedule(search, (job) => job);
  for (const rank of ranks) {
    // Nothing is shorter than the bound: as they were given is mostly as short as can be.
    if (best.elapsedSeconds <= Math.max(bound, enough)) break;
    const found = listSchedule(search, rank);
    if (found.elapsedSeconds < best.elapsedSeconds) best = found;
  }
  if (best.elapsedSeconds === bound) return { ...best, boundSeconds: bound, proved: true };
  // Asked only whether it fits, nothing is looked for where it cannot.
  if (enough > 0 && (best.elapsedSeconds <= enough || bound > enough))
    return { ...best, boundSeconds: bound, proved: bound > enough };
  const searched = new BranchAndBound(search, best, Math.max(bound, enough), budget);
  searched.explore();
  const isProved = searched.isComplete && searched.best.elapsedSeconds > enough;
  return {
    ...searched.best,
    boundSeconds: isProved ? searched.best.elapsedSeconds : bound,
    proved: isProved || searched.best.elapsedSeconds === bound,
  };
}

/**
 * Can the jobs be done in so many seconds? Any order that can says so; only where the plain one is too long is a
 * shorter one looked for.
 *
 * @param budget what may be looked at in this and further questions; what this one takes is taken from it
 * @returns `proved` false where no order was found that fits and none is proved not to exist
 * @throws Error when the precedence runs in a circle
 * @throws RangeError for times that are no whole seconds
 */
export function fitsWithin(
  jobs: readonly Job[],
  limitSeconds: number,
  budget: Budget = { nodes: FITS_LIMIT },
): { fits: boolean; proved: boolean } {
  if (Number.isNaN(limitSeconds)) throw new RangeError('a limit of time is a number');
  const mine = { nodes: Math.min(budget.nodes, FITS_LIMIT) };
  const given = mine.nodes;
  const { elapsedSeconds, proved } = order(jobs, Math.max(1, limitSeconds), mine);
  budget.nodes -= given - Math.max(0, mine.nodes);
  const fits = elapsedSeconds <= limitSeconds;
  return { fits, proved: fits || proved };
}
