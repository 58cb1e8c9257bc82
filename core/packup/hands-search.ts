import { Seen, type Budget } from '#core/packup/branch-and-bound.ts';
import { HandsPrefix } from '#core/packup/hands-prefix.ts';
import type { Found, Search } from '#core/packup/partial-schedule.ts';

type Rank = (job: number) => number;

/** Of the jobs that may come next, the one that can begin soonest; of several, the first by rank. */
const soonestFirst = (prefix: HandsPrefix, ready: readonly number[], rank: Rank): number[] =>
  ready
    .map((job) => ({ job, start: prefix.startOf(job) }))
    .toSorted((a, b) => a.start - b.start || rank(a.job) - rank(b.job) || a.job - b.job)
    .map(({ job }) => job);

/**
 * One order, always going on with the soonest job that leaves every most to be kept; null where that comes to a dead end.
 *
 * @param held jobs that begin a wait with a most, and are left until nothing but themselves stands before the end of it
 */
export function listWithMost(
  search: Search,
  changeSeconds: number,
  rank: Rank,
  held: ReadonlySet<number>,
): Found | null {
  const prefix = new HandsPrefix(search, changeSeconds);
  const missing = search.jobs.map(({ after }) => after.length);
  let ready = prefix.ready();
  while (prefix.order.length < search.jobs.length) {
    const soonest = soonestFirst(prefix, ready, rank);
    const ending = soonest.filter((job) => !held.has(job) || prefix.canEndWhatItBegins(job));
    const next = (ending.length > 0 ? ending : soonest).find((job) => {
      const undo = prefix.push(job);
      if (undo === null) return false;
      if (!prefix.isTooLate()) return true;
      prefix.pop(undo);
      return false;
    });
    if (next === undefined) return null;
    const freed = (search.followers[next] ?? []).flatMap(({ job }) => {
      const left = (missing[job] ?? 0) - 1;
      missing[job] = left;
      return left === 0 ? [job] : [];
    });
    ready = [...ready.filter((job) => job !== next), ...freed];
  }
  return prefix.copy();
}

/** An order as it is, with the earliest starts that keep everything; null where none do. */
export function timed(search: Search, changeSeconds: number, order: readonly number[]): Found | null {
  const prefix = new HandsPrefix(search, changeSeconds);
  return order.every((job) => prefix.push(job) !== null) ? prefix.copy() : null;
}

/**
 * Depth first over all orders, where a wait has a most or turning to another instrument takes time. Cut are only: a
 * beginning that no completion makes shorter than the best found; one that a most can no longer be kept with; and, while
 * no most runs, one whose jobs have been done before with no time later in any respect and the hands at the same
 * instrument (what comes after it could come after the other as well, no later).
 */
export class HandsSearch {
  private readonly prefix: HandsPrefix;
  private readonly seen = new Seen();
  private readonly enough: number;
  isComplete = true;

  /** @param wanted it stops as soon as an order as short as `enough` is found */
  constructor(
    private readonly search: Search,
    wanted: { readonly enough: number; readonly changeSeconds: number },
    public best: Found | null,
    private readonly budget: Budget,
  ) {
    this.enough = wanted.enough;
    this.prefix = new HandsPrefix(search, wanted.changeSeconds);
  }

  explore(): void {
    if (this.best !== null && this.best.elapsedSeconds <= this.enough) return;
    if (this.budget.nodes-- <= 0) {
      this.isComplete = false;
      return;
    }
    const { prefix, search } = this;
    if (prefix.order.length === search.jobs.length) {
      if (prefix.now < (this.best?.elapsedSeconds ?? Infinity)) this.best = prefix.copy();
      return;
    }
    if (!this.isPromising()) return;
    for (const job of soonestFirst(prefix, prefix.ready(), (one) => -(search.tails[one] ?? 0))) {
      const undo = prefix.push(job);
      if (undo === null) continue;
      this.explore();
      prefix.pop(undo);
    }
  }

  private isPromising(): boolean {
    const { prefix } = this;
    const best = this.best?.elapsedSeconds ?? Infinity;
    if (prefix.isTooLate() || prefix.bound(best) >= best) return false;
    return prefix.isInAMost() || !this.seen.isDominated(prefix.key(), prefix.state());
  }
}
