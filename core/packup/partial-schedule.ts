import type { Job } from '#core/packup/job.ts';
import { preemptiveBound } from '#core/packup/preemptive-bound.ts';

/** The jobs of an order with what the search for it asks again and again. */
export type Search = {
  readonly jobs: readonly Job[];
  /** Longest chain of work and waits from the start of a job to the end. */
  readonly tails: readonly number[];
  /** The same along jobs at its own instrument. */
  readonly tailsThere: readonly number[];
  readonly leadsToWait: readonly boolean[];
  readonly topological: readonly number[];
  /** The jobs that wait for each one, and how long after its end. */
  readonly followers: readonly (readonly { readonly job: number; readonly waitSeconds: number }[])[];
  /** Every wait, from the job that begins it to the job that waits. */
  readonly waits: readonly { readonly before: number; readonly job: number; readonly waitSeconds: number }[];
  /** Every wait with a most, from the job that begins it to the job that ends it. */
  readonly mosts: readonly { readonly before: number; readonly job: number; readonly mostSeconds: number }[];
};

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
    if (
      !isTime(workSeconds) ||
      !after.every(({ waitSeconds, mostSeconds = 0 }) => isTime(waitSeconds) && isTime(mostSeconds))
    )
      throw new RangeError('the times of jobs are whole seconds from 0 on');
}

const WORD = 32;

/**
 * The same problem without what follows from the rest: a job that comes before another's forerunner need not be named.
 * Forerunners as bits of one row for each job: a run of twelve instruments names tens of thousands of them.
 */
function reduced(jobs: readonly Job[]): Job[] {
  const words = Math.ceil(jobs.length / WORD);
  const rows = new Uint32Array(jobs.length * words);
  jobs.forEach(({ after }, job) => {
    for (const { job: before } of after) {
      const word = job * words + Math.floor(before / WORD);
      rows[word] = (rows[word] ?? 0) | (1 << (before % WORD));
    }
  });
  const further = new Uint32Array(words);
  return jobs.map((one) => {
    further.fill(0);
    for (const { job: before } of one.after)
      for (let word = 0; word < words; word++)
        further[word] = (further[word] ?? 0) | (rows[before * words + word] ?? 0);
    const after: Job['after'][number][] = [];
    for (const earlier of one.after) {
      const isFurther = ((further[Math.floor(earlier.job / WORD)] ?? 0) & (1 << (earlier.job % WORD))) !== 0;
      if (earlier.waitSeconds > 0 || earlier.mostSeconds !== undefined || !isFurther) after.push(earlier);
    }
    return { ...one, after };
  });
}

type Chains = Pick<Search, 'tails' | 'tailsThere' | 'leadsToWait'>;

const raise = (list: number[], at: number, to: number): void => void (list[at] = Math.max(list[at] ?? 0, to));

/** Each job with the next it leads to and the seconds from its start to the other's, what comes later first. */
function linksBackwards(
  jobs: readonly Job[],
  order: readonly number[],
): { job: number; later: number; first: number }[] {
  return order.toReversed().flatMap((later) =>
    (jobs[later]?.after ?? []).map(({ job, waitSeconds }) => ({
      job,
      later,
      first: (jobs[job]?.workSeconds ?? 0) + waitSeconds,
    })),
  );
}

/** The longest chains from each job on, along an order that keeps every precedence. */
function chainsOf(jobs: readonly Job[], order: readonly number[]): Chains {
  const tails = jobs.map(({ workSeconds }) => workSeconds);
  const tailsThere = [...tails];
  const leadsToWait = jobs.map(() => false);
  for (const { job, later, first } of linksBackwards(jobs, order)) {
    raise(tails, job, first + (tails[later] ?? 0));
    if (jobs[job]?.instrument === jobs[later]?.instrument) raise(tailsThere, job, first + (tailsThere[later] ?? 0));
    if (leadsToWait[later] === true || first > (jobs[job]?.workSeconds ?? 0)) leadsToWait[job] = true;
  }
  return { tails, tailsThere, leadsToWait };
}

/** @throws Error when the precedence runs in a circle @throws RangeError for times that are no whole seconds */
export function prepare(given: readonly Job[]): Search {
  checkTimes(given);
  topological(given);
  const jobs = reduced(given);
  const order = topological(jobs);
  const followers: { job: number; waitSeconds: number }[][] = jobs.map(() => []);
  jobs.forEach(({ after }, job) => {
    for (const { job: before, waitSeconds } of after) followers[before]?.push({ job, waitSeconds });
  });
  const waits: { before: number; job: number; waitSeconds: number }[] = [];
  const mosts: { before: number; job: number; mostSeconds: number }[] = [];
  for (const [job, { after }] of jobs.entries())
    for (const { job: before, waitSeconds, mostSeconds } of after) {
      if (waitSeconds > 0) waits.push({ before, job, waitSeconds });
      if (mostSeconds !== undefined) mosts.push({ before, job, mostSeconds });
    }
  return { jobs, ...chainsOf(jobs, order), topological: order, followers, waits, mosts };
}

/** Which jobs have a start, as a word of bits. */
export function bitsOf(starts: readonly number[]): string {
  let word = '';
  for (let at = 0; at < starts.length; at += 16) {
    let bits = 0;
    for (let bit = 0; bit < 16; bit++) if ((starts[at + bit] ?? -1) >= 0) bits |= 1 << bit;
    word += String.fromCharCode(bits);
  }
  return word;
}

/** A partial schedule that grows by one job at a time and can be stepped back. */
export class PartialSchedule {
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
    return bitsOf(this.starts);
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

export type Found = ReturnType<PartialSchedule['copy']>;
