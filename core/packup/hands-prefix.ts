import type { Job } from '#core/packup/job.ts';
import { bitsOf, type Search } from '#core/packup/partial-schedule.ts';
import { preemptiveBound } from '#core/packup/preemptive-bound.ts';
import { turningBound, type LeftAt } from '#core/packup/turning-bound.ts';

/** What brings a prefix back to how it was before its last job. */
export type Undo = { readonly now: number; readonly clock: number; readonly starts: readonly number[] | null };

/**
 * The beginning of an order, with the earliest starts that keep every wait, the least and the most, and the time it takes
 * to turn from one instrument to another. Where a job would come too late for a most, what began the wait begins later.
 */
export class HandsPrefix {
  readonly order: number[] = [];
  now = 0;
  private starts: number[];
  private readonly jobs: readonly Job[];
  /** Work and changes so far, without idle hands; and as it was at the end of each job that is done. */
  private clock = 0;
  private readonly clockAt: number[];

  constructor(
    private readonly search: Search,
    private readonly changeSeconds: number,
  ) {
    this.jobs = search.jobs;
    this.starts = this.jobs.map(() => -1);
    this.clockAt = this.jobs.map(() => 0);
  }

  private work(job: number): number {
    return this.jobs[job]?.workSeconds ?? 0;
  }

  private end(job: number): number {
    return (this.starts[job] ?? 0) + this.work(job);
  }

  isDone(job: number): boolean {
    return (this.starts[job] ?? -1) >= 0;
  }

  private change(before: number | undefined, job: number): number {
    return before === undefined || this.jobs[before]?.instrument === this.jobs[job]?.instrument
      ? 0
      : this.changeSeconds;
  }

  /** When a job could begin if it came next, as the jobs before it begin now. */
  startOf(job: number): number {
    let start = this.now + this.change(this.order.at(-1), job);
    for (const { job: before, waitSeconds } of this.jobs[job]?.after ?? [])
      start = Math.max(start, this.end(before) + waitSeconds);
    return start;
  }

  /** The jobs of which everything before is done. */
  ready(): number[] {
    const ready: number[] = [];
    for (const job of this.jobs.keys())
      if (!this.isDone(job) && this.jobs[job]?.after.every((one) => this.isDone(one.job)) === true) ready.push(job);
    return ready;
  }

  /** Does it come too late for a most as the jobs before it begin now, or by the work between, whenever they begin? */
  private lateFor(job: number, start: number, change: number): 'no' | 'as-it-begins' | 'by-work' {
    let late: 'no' | 'as-it-begins' = 'no';
    for (const { job: before, mostSeconds = Infinity } of this.jobs[job]?.after ?? []) {
      if (start <= this.end(before) + mostSeconds) continue;
      late = 'as-it-begins';
      if (this.clock + change - (this.clockAt[before] ?? 0) > mostSeconds) return 'by-work';
    }
    return late;
  }

  /** Puts a job behind the others; null, and nothing is changed, where no starts keep every most. */
  push(job: number): Undo | null {
    const undo = { now: this.now, clock: this.clock, starts: null };
    const change = this.change(this.order.at(-1), job);
    const start = this.startOf(job);
    const late = this.lateFor(job, start, change);
    const moved = late === 'as-it-begins' ? this.laterStarts([...this.order, job], start) : null;
    if (late !== 'no' && moved === null) return null;
    const kept = moved === null ? null : this.starts;
    if (moved !== null) this.starts = moved;
    else this.starts[job] = start;
    this.order.push(job);
    this.now = this.end(job);
    this.clock += change + this.work(job);
    this.clockAt[job] = this.clock;
    return { ...undo, starts: kept };
  }

  pop({ now, clock, starts }: Undo): void {
    const job = this.order.pop();
    if (job === undefined) return;
    if (starts === null) this.starts[job] = -1;
    else this.starts = [...starts];
    this.now = now;
    this.clock = clock;
  }

  /** The earliest starts of an order that keep everything: longest paths, from the starts there are; null where none do. */
  private laterStarts(order: readonly number[], last: number): number[] | null {
    const starts = [...this.starts];
    const job = order.at(-1);
    if (job !== undefined) starts[job] = last;
    const endOf = (one: number) => (starts[one] ?? 0) + this.work(one);
    const among = new Set(order);
    const mosts = this.search.mosts.filter(({ before, job: later }) => among.has(before) && among.has(later));
    for (let round = 0; round <= order.length; round++) {
      let isMoved = false;
      const atLeast = (one: number, start: number) => {
        if ((starts[one] ?? 0) >= start) return;
        starts[one] = start;
        isMoved = true;
      };
      for (const { before, job: later, mostSeconds } of mosts)
        atLeast(before, (starts[later] ?? 0) - mostSeconds - this.work(before));
      order.forEach((one, at) => {
        const previous = order[at - 1];
        if (previous !== undefined) atLeast(one, endOf(previous) + this.change(previous, one));
        for (const { job: before, waitSeconds } of this.jobs[one]?.after ?? [])
          atLeast(one, endOf(before) + waitSeconds);
      });
      if (!isMoved) return starts;
    }
    return null;
  }

  /** Once this job is done, is there nothing left to do before the end of a wait with a most that it begins? */
  canEndWhatItBegins(job: number): boolean {
    return this.search.mosts.every(
      (most) =>
        most.before !== job ||
        this.jobs[most.job]?.after.every((one) => one.job === job || this.isDone(one.job)) === true,
    );
  }

  /** Has a wait begun whose end is still to come? */
  isInAMost(): boolean {
    return this.search.mosts.some(({ before, job }) => this.isDone(before) && !this.isDone(job));
  }

  /** Is a wait over its most by work alone, so that no starts can keep it any more? */
  isTooLate(): boolean {
    return this.search.mosts.some(
      ({ before, job, mostSeconds }) =>
        this.isDone(before) && !this.isDone(job) && this.clock - (this.clockAt[before] ?? 0) > mostSeconds,
    );
  }

  /** When a job that is not done can begin by what is done before it. */
  private freed(job: number): number {
    let freed = this.now;
    for (const { job: before, waitSeconds } of this.jobs[job]?.after ?? [])
      if (this.isDone(before)) freed = Math.max(freed, this.end(before) + waitSeconds);
    return freed;
  }

  /** When a job that is not done can begin at the soonest, where those before it begin as soon as `heads` says. */
  private head(job: number, heads: readonly number[]): number {
    let head = this.now;
    for (const { job: before, waitSeconds } of this.jobs[job]?.after ?? []) {
      const end = this.isDone(before) ? this.end(before) : (heads[before] ?? 0) + this.work(before);
      head = Math.max(head, end + waitSeconds);
    }
    return head;
  }

  /**
   * No completion ends earlier: work, changes and waits that are left, none of them counted twice.
   *
   * @param enough a bound as long as this will do
   */
  bound(enough = Infinity): number {
    const { topological, tails } = this.search;
    const heads = this.jobs.map(() => this.now);
    const todo = topological.filter((job) => !this.isDone(job));
    const left = todo.map((job) => {
      const head = this.head(job, heads);
      heads[job] = head;
      return { head, work: this.work(job), tail: (tails[job] ?? 0) - this.work(job) };
    });
    const work = left.reduce((sum, one) => sum + one.work, 0);
    const there = new Set(todo.map((job) => this.jobs[job]?.instrument));
    const last = this.order.at(-1);
    // At the very beginning hands are nowhere: the first instrument costs no turn.
    if (last === undefined) {
      const bound = Math.max(work + (there.size - 1) * this.changeSeconds, preemptiveBound(left));
      return bound >= enough || there.size < 2
        ? bound
        : Math.max(bound, this.turningBound(todo, undefined) - this.changeSeconds);
    }
    const here = this.jobs[last]?.instrument;
    const elsewhere = there.size - (there.has(here) ? 1 : 0);
    const bound = Math.max(this.now + work + elsewhere * this.changeSeconds, preemptiveBound(left));
    return bound >= enough || elsewhere === 0 ? bound : Math.max(bound, this.now + this.turningBound(todo, here));
  }

  /** What turning and waits take beside the work that is left, each instrument's waits by themselves. */
  private turningBound(todo: readonly number[], here: number | undefined): number {
    const at = (instrument: number | undefined) => todo.filter((job) => this.jobs[job]?.instrument === instrument);
    const elsewhere = new Set(todo.map((job) => this.jobs[job]?.instrument));
    const isHere = this.order.length > 0 && elsewhere.delete(here);
    const leftHere = isHere
      ? { ...this.leftAt(at(here)), atOnce: this.inOneGo(at(here), (job) => this.freed(job) - this.now) }
      : null;
    return turningBound(
      this.changeSeconds,
      leftHere,
      [...elsewhere].map((instrument) => this.leftAt(at(instrument))),
    );
  }

  /** Jobs of one instrument that are begun some time: what waits for what is done may have waited long enough by then. */
  private leftAt(jobs: readonly number[]): LeftAt {
    return { work: jobs.reduce((sum, job) => sum + this.work(job), 0), inOneGo: this.inOneGo(jobs, () => 0) };
  }

  /** The least that jobs of one instrument, before which others may be done, take one after the other, waits sat out. */
  private inOneGo(jobs: readonly number[], headOf: (job: number) => number): number {
    const heads = new Map<number, number>();
    const left = jobs.map((job) => {
      let head = headOf(job);
      for (const { job: before, waitSeconds } of this.jobs[job]?.after ?? []) {
        const earlier = heads.get(before);
        if (earlier !== undefined) head = Math.max(head, earlier + this.work(before) + waitSeconds);
      }
      heads.set(job, head);
      return { head, work: this.work(job), tail: (this.search.tailsThere[job] ?? 0) - this.work(job) };
    });
    return preemptiveBound(left);
  }

  /** The same jobs are done, and hands are at the same instrument. */
  key(): string {
    const last = this.order.at(-1);
    return `${bitsOf(this.starts)} ${last === undefined ? '' : (this.jobs[last]?.instrument ?? '')}`;
  }

  /** The time, and when each job whose wait has begun could start; without a most that runs, all the rest depends on. */
  state(): number[] {
    const state = [this.now];
    for (const { before, job, waitSeconds } of this.search.waits)
      if (this.isDone(before) && !this.isDone(job)) state.push(Math.max(this.now, this.end(before) + waitSeconds));
    return state;
  }

  copy(): { order: number[]; starts: number[]; elapsedSeconds: number } {
    return { order: [...this.order], starts: [...this.starts], elapsedSeconds: this.now };
  }
}
