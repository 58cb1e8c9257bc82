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

/** Nodes looked at for one order, and for one question whether something fits. */
const NODE_LIMIT = 25_000;
const FITS_LIMIT = 1_000;
const SEEN_LIMIT = 50_000;

type Search = {
  readonly jobs: readonly Job[];
  /** Longest chain of work and waits from the start of a job to the end. */
  readonly tails: readonly number[];
  readonly leadsToWait: readonly boolean[];
  readonly topological: readonly number[];
  /** The jobs that wait for each one, and how long after its end. */
  readonly followers: readonly (readonly { readonly job: number; readonly waitSeconds: number }[])[];
  /** Every wait, from the job that begins it to the job that waits. */
  readonly waits: readonly { readonly before: number; readonly job: number; readonly waitSeconds: number }[];
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
    for (let one = byHead[next]; one !== undefined && one.head <= now; one = byHead[++next]) {
      // Kept in the order of their tails; the longest is last.
      let at = ready.length;
      while (at > 0 && (ready[at - 1]?.tail ?? 0) > one.tail) at--;
      ready.splice(at, 0, { left: one.work, tail: one.tail });
    }
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

/** @throws RangeError for times that are no whole seconds from 0 on: sums of others never compare equal */
function checkTimes(jobs: readonly Job[]): void {
  const isTime = (seconds: number) => Number.isSafeInteger(seconds) && seconds >= 0;
  for (const { workSeconds, after } of jobs)
    if (!isTime(workSeconds) || !after.every(({ waitSeconds }) => isTime(waitSeconds)))
      throw new RangeError('the times of jobs are whole seconds from 0 on');
}

/** The same problem without what follows from the rest: a job that comes before another's forerunner need not be named. */
function reduced(jobs: readonly Job[]): Job[] {
  const all = jobs.map(({ after }) => new Set(after.map(({ job }) => job)));
  return jobs.map(({ workSeconds, after }) => ({
    workSeconds,
    after: after.filter(
      ({ job, waitSeconds }) => waitSeconds > 0 || !after.some((other) => all[other.job]?.has(job) === true),
    ),
  }));
}

function prepare(given: readonly Job[]): Search {
  checkTimes(given);
  topological(given);
  const jobs = reduced(given);
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
  const waits = jobs.flatMap(({ after }, job) =>
    after.flatMap(({ job: before, waitSeconds }) => (waitSeconds > 0 ? [{ before, job, waitSeconds }] : [])),
  );
  return { jobs, tails, leadsToWait, topological: order, followers, waits };
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

  /** When a job that has not been done could begin by what it waits for, whatever the hands do. */
  earliest(job: number): number {
    let start = 0;
    for (const { job: before, waitSeconds } of this.search.jobs[job]?.after ?? [])
      start = Math.max(start, (this.ends[before] ?? -1) + waitSeconds);
    return start;
  }

  /** Which jobs are done, as a word. */
  key(): string {
    let word = '';
    for (let at = 0; at < this.starts.length; at += 16) {
      let bits = 0;
      for (let bit = 0; bit < 16; bit++) if ((this.starts[at + bit] ?? -1) >= 0) bits |= 1 << bit;
      word += String.fromCharCode(bits);
    }
    return word;
  }

  /** The time, and when each job whose wait has begun could start: all that the rest depends on. */
  state(): number[] {
    const state = [this.now];
    for (const { before, job, waitSeconds } of this.search.waits)
      if ((this.ends[before] ?? -1) >= 0 && (this.starts[job] ?? -1) < 0)
        state.push(Math.max(this.now, (this.ends[before] ?? 0) + waitSeconds));
    return state;
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

/** States seen with the same jobs done: none better is reached from one that is later in every respect. */
class Seen {
  private readonly states = new Map<string, number[][]>();
  private count = 0;

  /** Has a state at least as good been here? If not, this one is remembered. */
  isDominated(key: string, state: number[]): boolean {
    const before = this.states.get(key);
    if (before?.some((other) => other.every((time, index) => time <= (state[index] ?? Infinity)))) return true;
    if (this.count++ < SEEN_LIMIT) this.states.set(key, [...(before ?? []), state]);
    return false;
  }
}

/** Nodes that may still be looked at; shared by the questions of one choice. */
export type Budget = { nodes: number };

/**
 * Depth-first branch and bound over active schedules. A branch is cut where its bound is no better than the best found,
 * where a state with the same jobs done was no later in any respect, and where two jobs nothing waits for stand next to
 * each other the wrong way round.
 *
 * @param enough stop as soon as an order this short is found
 */
class BranchAndBound {
  private readonly partial: Partial;
  private readonly seen = new Seen();
  private readonly rankOf: readonly number[];
  isComplete = true;

  constructor(
    private readonly search: Search,
    public best: Found,
    private readonly enough: number,
    private readonly budget: Budget,
  ) {
    this.partial = new Partial(search);
    const byRank = search.jobs
      .map((_, job) => job)
      .toSorted(
        (a, b) =>
          Number(search.leadsToWait[b]) - Number(search.leadsToWait[a]) ||
          (search.tails[b] ?? 0) - (search.tails[a] ?? 0) ||
          a - b,
      );
    const rankOf: number[] = [];
    byRank.forEach((job, rank) => (rankOf[job] = rank));
    this.rankOf = rankOf;
  }

  /** The same two jobs the other way round lead to the same state: only one of the two is looked at. */
  private isMirrored(job: number, start: number): boolean {
    const last = this.partial.order.at(-1);
    if (last === undefined || this.search.leadsToWait[last] || this.search.leadsToWait[job]) return false;
    const lastStart = this.partial.starts[last] ?? 0;
    const couldGoFirst = this.partial.earliest(job) <= lastStart && start === this.partial.now;
    return couldGoFirst && (this.rankOf[job] ?? 0) < (this.rankOf[last] ?? 0);
  }

  explore(): void {
    if (this.best.elapsedSeconds <= this.enough) return;
    if (this.budget.nodes-- <= 0) {
      this.isComplete = false;
      return;
    }
    const { partial, search } = this;
    if (partial.order.length === search.jobs.length) {
      if (partial.now < this.best.elapsedSeconds) this.best = partial.copy();
      return;
    }
    const ready = partial.available();
    const { elapsedSeconds } = this.best;
    if (partial.bound(ready) >= elapsedSeconds || partial.sharperBound() >= elapsedSeconds) return;
    if (this.seen.isDominated(partial.key(), partial.state())) return;
    // A job that could start only after another would already be finished is never worth starting first.
    const soonestEnd = Math.min(...ready.map(({ job, start }) => start + (search.jobs[job]?.workSeconds ?? 0)));
    const inOrder = ready.toSorted(
      (a, b) => a.start - b.start || (this.rankOf[a.job] ?? 0) - (this.rankOf[b.job] ?? 0),
    );
    // While no wait runs, nothing is gained by what leads to none: the same work fits a wait later as well as now.
    const isIdle = partial.state().length === 1 && ready.some(({ job }) => search.leadsToWait[job]);
    for (const { job, start } of inOrder) {
      if (isIdle && !search.leadsToWait[job]) continue;
      if (start >= soonestEnd && start + (search.jobs[job]?.workSeconds ?? 0) > soonestEnd) continue;
      if (this.isMirrored(job, start)) continue;
      const before = partial.push(job, start);
      this.explore();
      partial.pop(before);
    }
  }
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
 * @throws RangeError for times that are no whole seconds
 */
export function orderSteps(jobs: readonly Job[]): Schedule {
  return order(jobs, 0, { nodes: NODE_LIMIT });
}

function order(jobs: readonly Job[], enough: number, budget: Budget): Schedule {
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
  const mine = { nodes: Math.min(budget.nodes, FITS_LIMIT) };
  const given = mine.nodes;
  const { elapsedSeconds, proved } = order(jobs, Math.max(1, limitSeconds), mine);
  budget.nodes -= given - Math.max(0, mine.nodes);
  const fits = elapsedSeconds <= limitSeconds;
  return { fits, proved: fits || proved };
}
