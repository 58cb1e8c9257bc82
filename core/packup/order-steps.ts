import type { Job } from '#core/packup/job.ts';

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

const NODE_LIMIT = 200_000;

type Search = {
  readonly jobs: readonly Job[];
  /** Longest chain of work and waits from the start of a job to the end. */
  readonly tails: readonly number[];
  readonly leadsToWait: readonly boolean[];
  readonly topological: readonly number[];
  /** The jobs that wait for each one, and how long after its end. */
  readonly followers: readonly (readonly { readonly job: number; readonly waitSeconds: number }[])[];
};

/**
 * Jackson's preemptive schedule: no order of jobs with heads and tails on one pair of hands ends earlier.
 * Source: Jackson 1955, as used by Carlier 1982 (EJOR 11:42–47).
 *
 * @param jobs head: earliest start; work; tail: what must follow the end of the work
 */
export function preemptiveBound(jobs: readonly { head: number; work: number; tail: number }[]): number {
  const byHead = jobs.toSorted((a, b) => a.head - b.head);
  const ready: { left: number; tail: number }[] = [];
  let [now, next, bound] = [0, 0, 0];
  while (next < byHead.length || ready.length > 0) {
    if (ready.length === 0) now = Math.max(now, byHead[next]?.head ?? now);
    for (let one = byHead[next]; one !== undefined && one.head <= now; one = byHead[++next])
      ready.push({ left: one.work, tail: one.tail });
    ready.sort((a, b) => a.tail - b.tail);
    const longest = ready.at(-1);
    if (longest === undefined) continue;
    const until = Math.min(now + longest.left, byHead[next]?.head ?? Infinity);
    longest.left -= until - now;
    now = until;
    if (longest.left === 0) {
      ready.pop();
      bound = Math.max(bound, now + longest.tail);
    }
  }
  return bound;
}

/** Jobs in an order that keeps every precedence. @throws Error when the precedence runs in a circle */
function topological(jobs: readonly Job[]): number[] {
  const order: number[] = [];
  const state = new Uint8Array(jobs.length);
  const visit = (job: number): void => {
    if (state[job] === 2) return;
    if (state[job] === 1) throw new Error('the precedence of the steps runs in a circle');
    state[job] = 1;
    for (const before of jobs[job]?.after ?? []) visit(before.job);
    state[job] = 2;
    order.push(job);
  };
  jobs.forEach((_, job) => visit(job));
  return order;
}

function prepare(jobs: readonly Job[]): Search {
  const tails = jobs.map(({ workSeconds }) => workSeconds);
  const leadsToWait = jobs.map(() => false);
  const order = topological(jobs);
  for (const job of order.toReversed())
    for (const { job: before, waitSeconds } of jobs[job]?.after ?? []) {
      const chain = (jobs[before]?.workSeconds ?? 0) + waitSeconds + (tails[job] ?? 0);
      tails[before] = Math.max(tails[before] ?? 0, chain);
      if (waitSeconds > 0 || leadsToWait[job]) leadsToWait[before] = true;
    }
  const followers: { job: number; waitSeconds: number }[][] = jobs.map(() => []);
  jobs.forEach(({ after }, job) => {
    for (const { job: before, waitSeconds } of after) followers[before]?.push({ job, waitSeconds });
  });
  return { jobs, tails, leadsToWait, topological: order, followers };
}

/** A partial schedule that grows by one job at a time and can be stepped back. */
class Partial {
  readonly starts: number[];
  readonly order: number[] = [];
  now = 0;
  workLeft: number;
  private readonly ends: number[];

  constructor(private readonly search: Search) {
    this.starts = search.jobs.map(() => -1);
    this.ends = search.jobs.map(() => -1);
    this.workLeft = search.jobs.reduce((sum, { workSeconds }) => sum + workSeconds, 0);
  }

  /** Earliest start of every job that may come next. */
  available(): { job: number; start: number }[] {
    const found: { job: number; start: number }[] = [];
    this.search.jobs.forEach((candidate, job) => {
      if ((this.starts[job] ?? -1) >= 0) return;
      let start = this.now;
      for (const { job: before, waitSeconds } of candidate.after) {
        const end = this.ends[before] ?? -1;
        if (end < 0) return;
        start = Math.max(start, end + waitSeconds);
      }
      found.push({ job, start });
    });
    return found;
  }

  push(job: number, start: number): number {
    const before = this.now;
    const work = this.search.jobs[job]?.workSeconds ?? 0;
    this.starts[job] = start;
    this.ends[job] = start + work;
    this.now = start + work;
    this.workLeft -= work;
    this.order.push(job);
    return before;
  }

  pop(now: number): void {
    const job = this.order.pop();
    if (job === undefined) return;
    this.workLeft += this.search.jobs[job]?.workSeconds ?? 0;
    this.starts[job] = -1;
    this.ends[job] = -1;
    this.now = now;
  }

  /** No completion of this partial schedule ends earlier. */
  bound(available: readonly { job: number; start: number }[]): number {
    return Math.max(
      this.now + this.workLeft,
      ...available.map(({ job, start }) => start + (this.search.tails[job] ?? 0)),
    );
  }

  /** A sharper bound than {@link bound}, and a dearer one. */
  sharperBound(): number {
    const heads: number[] = this.search.jobs.map(() => this.now);
    const left: { head: number; work: number; tail: number }[] = [];
    for (const job of this.search.topological) {
      if ((this.starts[job] ?? -1) >= 0) continue;
      const { workSeconds, after } = this.search.jobs[job] ?? { workSeconds: 0, after: [] };
      let head = this.now;
      for (const { job: before, waitSeconds } of after) {
        const end = this.ends[before] ?? -1;
        const earliest = end >= 0 ? end : (heads[before] ?? 0) + (this.search.jobs[before]?.workSeconds ?? 0);
        head = Math.max(head, earliest + waitSeconds);
      }
      heads[job] = head;
      left.push({ head, work: workSeconds, tail: (this.search.tails[job] ?? 0) - workSeconds });
    }
    return Math.max(this.now, preemptiveBound(left));
  }

  copy(): { order: number[]; starts: number[]; elapsedSeconds: number } {
    return { order: [...this.order], starts: [...this.starts], elapsedSeconds: this.now };
  }
}

type Found = ReturnType<Partial['copy']>;

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

/** Depth-first branch and bound over active schedules; returns the best found and whether all was seen. */
function branchAndBound(search: Search, first: Found): { best: Found; complete: boolean } {
  const partial = new Partial(search);
  let best = first;
  let nodes = 0;
  const explore = (): void => {
    if (nodes++ >= NODE_LIMIT) return;
    if (partial.order.length === search.jobs.length) {
      if (partial.now < best.elapsedSeconds) best = partial.copy();
      return;
    }
    const ready = partial.available();
    if (partial.bound(ready) >= best.elapsedSeconds || partial.sharperBound() >= best.elapsedSeconds) return;
    // A job that could start only after another would already be finished is never worth starting first.
    const soonestEnd = Math.min(...ready.map(({ job, start }) => start + (search.jobs[job]?.workSeconds ?? 0)));
    for (const { job, start } of ready) {
      if (start >= soonestEnd && start + (search.jobs[job]?.workSeconds ?? 0) > soonestEnd) continue;
      const before = partial.push(job, start);
      explore();
      partial.pop(before);
    }
  };
  explore();
  return { best, complete: nodes < NODE_LIMIT };
}

/**
 * The shortest order of the jobs for one pair of hands, with passive waits overlapped: one machine, precedence with
 * minimum time lags, makespan. Waits at the very end, which nothing waits for, do not count.
 *
 * The given order is kept wherever it costs nothing: it is tried first, then with the jobs that lead to a wait moved
 * forward, then longest chain first; branch and bound closes what gap is left, within a fixed number of nodes.
 * Sources of the problem and of the check instances: see the test.
 *
 * @throws Error when the precedence runs in a circle
 */
export function orderSteps(jobs: readonly Job[]): Schedule {
  if (jobs.length === 0) return { order: [], starts: [], elapsedSeconds: 0, boundSeconds: 0, proved: true };
  const search = prepare(jobs);
  const start = new Partial(search);
  const bound = Math.max(start.bound(start.available()), start.sharperBound());
  const ranks: readonly Rank[] = [
    (job) => (search.leadsToWait[job] ? job - jobs.length : job),
    (job) => -(search.tails[job] ?? 0),
  ];
  let best = listSchedule(search, (job) => job);
  for (const rank of ranks) {
    // Nothing is shorter than the bound: as they were given is mostly as short as can be.
    if (best.elapsedSeconds === bound) break;
    const found = listSchedule(search, rank);
    if (found.elapsedSeconds < best.elapsedSeconds) best = found;
  }
  if (best.elapsedSeconds === bound) return { ...best, boundSeconds: bound, proved: true };
  const searched = branchAndBound(search, best);
  return {
    ...searched.best,
    boundSeconds: searched.complete ? searched.best.elapsedSeconds : bound,
    proved: searched.complete || searched.best.elapsedSeconds === bound,
  };
}

/**
 * Can the jobs be done in so many seconds? Any order that can says so; only where the plain one is too long is the
 * shortest looked for.
 *
 * @returns `proved` false where no order was found that fits and none is proved not to exist
 * @throws Error when the precedence runs in a circle
 */
export function fitsWithin(jobs: readonly Job[], limitSeconds: number): { fits: boolean; proved: boolean } {
  if (listSchedule(prepare(jobs), (job) => job).elapsedSeconds <= limitSeconds) return { fits: true, proved: true };
  const { elapsedSeconds, proved } = orderSteps(jobs);
  return { fits: elapsedSeconds <= limitSeconds, proved: proved || elapsedSeconds <= limitSeconds };
}
