import { type Job, jobsAmong } from '#core/packup/job.ts';
import type { Budget } from '#core/packup/branch-and-bound.ts';
import { fitsWithin, orderSteps, type Looking } from '#core/packup/order-steps.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** Work that is done whole or not at all: jobs by index, and what doing it protects. */
export type Unit = { readonly jobs: readonly number[]; readonly value: number };

export type ChoiceInput = {
  readonly jobs: readonly Job[];
  /** Done whatever the time. */
  readonly must: readonly number[];
  readonly units: readonly Unit[];
  /** What a job cannot be done without, by index: parting before swabbing. Closed already. */
  readonly requires: readonly (readonly number[])[];
  readonly limitSeconds: number;
  /** How long it takes to turn from one instrument to another. */
  readonly changeSeconds?: number;
};

export type Choice = {
  /** Job indices, ascending. */
  readonly chosen: readonly number[];
  /** Indices of the units that did not fit. */
  readonly leftOut: readonly number[];
  readonly value: number;
  /** What the must-jobs take by themselves. */
  readonly mustSeconds: number;
  /** Is no choice worth more? */
  readonly proved: boolean;
};

/** Subsets timed, and nodes looked at for all of them together. */
const TRIES = 2000;
/** The same where hands turn between instruments or a soak must not last: each is timed by orders that are listed. */
const HANDS_TRIES = 60;
const NODES = 6000;

const ascending = (jobs: Iterable<number>): number[] => [...jobs].toSorted((a, b) => a - b);

/** Does one of these jobs wait for another, or do hands turn from one instrument to another? */
function takesMoreThanWork(jobs: readonly Job[], chosen: readonly number[], changeSeconds: number): boolean {
  const among = new Set(chosen);
  if (changeSeconds > 0 && new Set(chosen.map((job) => jobs[job]?.instrument)).size > 1) return true;
  return chosen.some((job) =>
    jobs[job]?.after.some(({ job: before, waitSeconds }) => waitSeconds > 0 && among.has(before)),
  );
}

/**
 * Seconds the jobs take in their shortest order, and whether it is proved to be that.
 *
 * @param looking how long it takes to turn to another instrument, and how far the shortest order is looked for
 */
export function shortestSeconds(
  jobs: readonly Job[],
  chosen: readonly number[],
  looking: Looking = {},
): { seconds: number; proved: boolean } {
  // One pair of hands and nothing to wait for: every order takes as long as the work.
  const isTimed = chosen.every(
    (job) => Number.isSafeInteger(jobs[job]?.workSeconds) && (jobs[job]?.workSeconds ?? 0) >= 0,
  );
  if (isTimed && !takesMoreThanWork(jobs, chosen, looking.changeSeconds ?? 0))
    return { seconds: chosen.reduce((sum, job) => sum + (jobs[job]?.workSeconds ?? 0), 0), proved: true };
  const { elapsedSeconds, proved } = orderSteps(jobsAmong(jobs, chosen), looking);
  return { seconds: elapsedSeconds, proved };
}

const lookingOf = ({ changeSeconds = 0 }: ChoiceInput): Looking => ({ changeSeconds });

class Search {
  tries = 0;
  best: { chosen: Set<number>; taken: Set<number>; value: number } | null = null;
  unproved = false;
  private readonly budget: Budget = { nodes: NODES };
  private readonly order: readonly number[];
  /** The unit a job belongs to, by job. */
  private readonly unitOf: (readonly number[])[] = [];
  private readonly changeSeconds: number;
  private readonly mostTries: number;
  /** An order of all jobs: without those left out it is one of the rest. */
  private readonly anOrder: readonly number[];

  constructor(private readonly input: ChoiceInput) {
    const { units } = input;
    for (const { jobs } of units) for (const job of jobs) this.unitOf[job] = jobs;
    const hasMost = input.jobs.some(({ after }) => after.some(({ mostSeconds }) => mostSeconds !== undefined));
    this.changeSeconds = input.changeSeconds ?? 0;
    const isSeveral = this.changeSeconds > 0 && new Set(input.jobs.map(({ instrument }) => instrument)).size > 1;
    this.mostTries = isSeveral || hasMost ? HANDS_TRIES : TRIES;
    this.anOrder = orderSteps(input.jobs, { nodes: 0, changeSeconds: this.changeSeconds }).order;
    const density = (unit: Unit | undefined) =>
      (unit?.value ?? 0) / Math.max(1, unit?.jobs.reduce((sum, job) => sum + this.work(job), 0) ?? 1);
    this.order = units.map((_, index) => index).toSorted((a, b) => density(units[b]) - density(units[a]) || a - b);
  }

  private work(job: number): number {
    return this.input.jobs[job]?.workSeconds ?? 0;
  }

  /** A set of jobs with everything it cannot do without. */
  closed(base: ReadonlySet<number>, jobs: readonly number[]): Set<number> {
    const all = new Set(base);
    const queue = [...jobs];
    for (let job = queue.pop(); job !== undefined; job = queue.pop()) {
      if (all.has(job)) continue;
      all.add(job);
      // What is opened is closed: a job somebody needs brings the rest of its own unit along.
      queue.push(...(this.input.requires[job] ?? []), ...(this.unitOf[job] ?? []));
    }
    return all;
  }

  private activeSeconds(jobs: ReadonlySet<number>): number {
    let sum = 0;
    for (const job of jobs) sum += this.work(job);
    return sum;
  }

  /** What work and turning from instrument to instrument take at least. */
  private leastSeconds(jobs: ReadonlySet<number>): number {
    let sum = 0;
    const instruments = new Set<number | undefined>();
    for (const job of jobs) {
      sum += this.work(job);
      instruments.add(this.input.jobs[job]?.instrument);
    }
    return sum + (instruments.size - 1) * this.changeSeconds;
  }

  /** How long the order there is takes of these jobs, each as early as may be; Infinity where a most is not kept so. */
  private asOrdered(jobs: ReadonlySet<number>): number {
    const ends = new Map<number, number>();
    let [now, last] = [0, undefined as number | undefined];
    for (const job of this.anOrder) {
      const one = this.input.jobs[job];
      if (one === undefined || !jobs.has(job)) continue;
      let start = now + (ends.size > 0 && one.instrument !== last ? this.changeSeconds : 0);
      let latest = Infinity;
      for (const { job: before, waitSeconds, mostSeconds = Infinity } of one.after) {
        const end = ends.get(before);
        if (end === undefined) continue;
        start = Math.max(start, end + waitSeconds);
        latest = Math.min(latest, end + mostSeconds);
      }
      if (start > latest) return Infinity;
      now = start + one.workSeconds;
      ends.set(job, now);
      last = one.instrument;
    }
    return now;
  }

  private fits(jobs: ReadonlySet<number>): boolean {
    const { limitSeconds } = this.input;
    if (this.leastSeconds(jobs) > limitSeconds) return false;
    if (this.asOrdered(jobs) <= limitSeconds) return true;
    this.tries++;
    const { fits, proved } = fitsWithin(jobsAmong(this.input.jobs, ascending(jobs)), limitSeconds, {
      budget: this.budget,
      changeSeconds: this.changeSeconds,
    });
    if (!proved) this.unproved = true;
    return fits;
  }

  /**
   * No completion is worth more: of the rest all that takes no handwork of its own, or is done already, and of what does,
   * by its own handwork, the densest, cut where the time is up (the order is by density, so this is the best share).
   */
  private bound(from: number, chosen: ReadonlySet<number>, value: number): number {
    let left = this.input.limitSeconds - this.activeSeconds(chosen);
    let most = value;
    for (let at = from; at < this.order.length; at++) {
      const unit = this.input.units[this.order[at] ?? 0];
      if (unit === undefined) continue;
      const seconds = unit.jobs.reduce((sum, job) => sum + (chosen.has(job) ? 0 : this.work(job)), 0);
      most += seconds <= left ? unit.value : (unit.value * left) / seconds;
      left -= Math.min(left, seconds);
    }
    return most;
  }

  explore(at: number, chosen: Set<number>, taken: Set<number>, value: number): void {
    if (this.tries > this.mostTries) {
      this.unproved = true;
      return;
    }
    if (this.best === null || value > this.best.value + 1e-9) this.best = { chosen, taken, value };
    const index = this.order[at];
    if (index === undefined || this.bound(at, chosen, value) <= this.best.value + 1e-9) return;
    const unit = this.input.units[index];
    if (unit) {
      const grown = this.closed(chosen, unit.jobs);
      if (grown.size === chosen.size || this.fits(grown))
        this.explore(at + 1, grown, new Set(taken).add(index), value + unit.value);
    }
    this.explore(at + 1, chosen, taken, value);
  }
}

/**
 * What to do in the time there is: the must-jobs always, and of the rest the units of largest protected value that fit
 * with them, closed under what they require. If the must-jobs alone take longer, they are all there is. Branch and
 * bound over the units, each subset timed by its shortest order; within a fixed number of tries, otherwise the best
 * found and said so.
 *
 * @throws RangeError for times or values that are none
 */
export function chooseSteps(input: ChoiceInput): Choice {
  if (Number.isNaN(input.limitSeconds)) throw new RangeError('a limit of time is a number');
  for (const { value } of input.units) checkNumber('what a unit is worth', value);
  const search = new Search(input);
  const must = search.closed(new Set(), input.must);
  const mustTime = shortestSeconds(input.jobs, ascending(must), lookingOf(input));
  if (mustTime.seconds <= input.limitSeconds) search.explore(0, must, new Set(), 0);
  const { chosen, taken, value } = search.best ?? { chosen: must, taken: new Set<number>(), value: 0 };
  const jobs = ascending(chosen);
  return {
    chosen: jobs,
    // A unit all of whose jobs came along as somebody's requirement is done too.
    leftOut: input.units.flatMap((unit, index) =>
      taken.has(index) || unit.jobs.every((job) => chosen.has(job)) ? [] : [index],
    ),
    value,
    mustSeconds: mustTime.seconds,
    proved: !search.unproved && mustTime.proved,
  };
}
