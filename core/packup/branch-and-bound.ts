import { PartialSchedule, type Found, type Search } from '#core/packup/partial-schedule.ts';

const SEEN_LIMIT = 50_000;

/** States seen with the same jobs done: none better is reached from one that is later in every respect. */
export class Seen {
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

type Ready = { readonly job: number; readonly start: number };

/**
 * Depth-first branch and bound. Four things cut a branch; together they never cut the last way to a shortest order. The
 * first holds whatever else is asked of an order. **The others need least waits alone**: with a most, or a cost of changing
 * from one instrument to another, to begin at once is not always best, and a state is more than its times.
 *
 * 1. **Bound**: no completion is shorter than the best found.
 * 2. **Sooner** (`isLate`): another job could begin earlier than this one and be over by then. Put in front of it, the
 *    other begins earlier and nothing later.
 * 3. **Nothing waits** (`isIdle`): no wait runs, and some job that may come next leads to one. A job with work that leads
 *    to none is as well done after it, with whatever follows it; the one that leads to a wait then begins earlier.
 * 4. **Seen**: the same jobs were done with no time later in any respect; **mirrored** is the same, known beforehand: the
 *    last two jobs the other way round, both leading to no wait.
 *
 * 2 and 3 look at nothing but the state (jobs done, time, waits that run), and of the shortest completions of a state the
 * one whose starts of jobs that lead to a wait have the smallest sum, then that of all starts, breaks neither: 3 makes the
 * first smaller, 2 the first or, with the same first, the second. So a state always keeps a child that is as good; jobs
 * of no time that could begin at once are why 2 asks for an earlier begin or for work, and 3 for work. What 4 cuts is as
 * good as something before it in the order of the search: of two mirrored jobs the one that was first there was tried
 * first (it begins sooner or has the smaller rank), and neither 2 nor 3 can have cut it, since they would have cut the
 * last job as well, which has work. Everything before in the order has been looked at in full, so what 4 cuts cannot rest
 * on itself.
 */
export class BranchAndBound {
  private readonly partial: PartialSchedule;
  private readonly seen = new Seen();
  private readonly rankOf: readonly number[];
  isComplete = true;

  constructor(
    private readonly search: Search,
    public best: Found,
    /** It stops as soon as an order this short is found. */
    private readonly enough: number,
    private readonly budget: Budget,
  ) {
    this.partial = new PartialSchedule(search);
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

  /** The last two jobs the other way round lead to a state no later, which is looked at before this one. */
  private isMirrored({ job, start }: Ready): boolean {
    const last = this.partial.order.at(-1);
    if (last === undefined || this.search.leadsToWait[last] || this.search.leadsToWait[job]) return false;
    // Behind a job of no time the other way round may have been cut in favour of this one.
    if (this.workOf(last) === 0) return false;
    const couldGoFirst = this.partial.earliest(job) <= (this.partial.starts[last] ?? 0) && start === this.partial.now;
    return couldGoFirst && (this.rankOf[job] ?? 0) < (this.rankOf[last] ?? 0);
  }

  private workOf(job: number): number {
    return this.search.jobs[job]?.workSeconds ?? 0;
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
    if (!this.isPromising(ready)) return;
    for (const { job, start } of this.worthTrying(ready)) {
      const before = partial.push(job, start);
      this.explore();
      partial.pop(before);
    }
  }

  private isPromising(ready: readonly Ready[]): boolean {
    const { partial, best } = this;
    if (partial.bound(ready) >= best.elapsedSeconds || partial.sharperBound() >= best.elapsedSeconds) return false;
    return !this.seen.isDominated(partial.key(), partial.state());
  }

  /** Of the jobs that may come next, those no other order makes needless, the soonest and longest chain first. */
  private worthTrying(ready: readonly Ready[]): Ready[] {
    const { leadsToWait } = this.search;
    const isLate = (one: Ready): boolean =>
      ready.some(
        ({ job, start }) =>
          job !== one.job && start + this.workOf(job) <= one.start && (start < one.start || this.workOf(one.job) > 0),
      );
    const isIdle = this.partial.state().length === 1 && ready.some(({ job }) => leadsToWait[job]);
    const canWait = (job: number): boolean => isIdle && leadsToWait[job] !== true && this.workOf(job) > 0;
    return ready
      .filter((one) => !isLate(one) && !canWait(one.job) && !this.isMirrored(one))
      .toSorted((a, b) => a.start - b.start || (this.rankOf[a.job] ?? 0) - (this.rankOf[b.job] ?? 0));
  }
}
