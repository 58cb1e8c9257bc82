import { PartialSchedule, type Found, type Search } from '#core/packup/partial-schedule.ts';

const SEEN_LIMIT = 50_000;

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

type Ready = { readonly job: number; readonly start: number };

/**
 * Depth-first branch and bound over active schedules. A branch is cut where its bound is no better than the best found,
 * where a state with the same jobs done was no later in any respect, and where two jobs nothing waits for stand next to
 * each other the wrong way round.
 *
 * @param enough stop as soon as an order this short is found
 */
export class BranchAndBound {
  private readonly partial: PartialSchedule;
  private readonly seen = new Seen();
  private readonly rankOf: readonly number[];
  isComplete = true;

  constructor(
    private readonly search: Search,
    public best: Found,
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
    const { partial, search } = this;
    const endOf = ({ job, start }: Ready) => start + (search.jobs[job]?.workSeconds ?? 0);
    // A job that could start only after another would already be finished is never worth starting first.
    const soonestEnd = Math.min(...ready.map(endOf));
    // While no wait runs, nothing is gained by what leads to none: the same work fits a wait later as well as now.
    const isIdle = partial.state().length === 1 && ready.some(({ job }) => search.leadsToWait[job]);
    return ready
      .filter((one) => one.start < soonestEnd || endOf(one) <= soonestEnd)
      .filter(({ job, start }) => (!isIdle || search.leadsToWait[job] === true) && !this.isMirrored(job, start))
      .toSorted((a, b) => a.start - b.start || (this.rankOf[a.job] ?? 0) - (this.rankOf[b.job] ?? 0));
  }
}
