import { BranchAndBound, type Budget } from '#core/packup/branch-and-bound.ts';
import { HandsPrefix } from '#core/packup/hands-prefix.ts';
import { HandsSearch, listWithMost, timed } from '#core/packup/hands-search.ts';
import type { Job } from '#core/packup/job.ts';
import { joinStays } from '#core/packup/join-stays.ts';
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
  /** False where no order was found that keeps every wait within its most. */
  readonly keepsMost: boolean;
};

/** Nodes looked at for one order, and for one question whether something fits. */
const NODE_LIMIT = 25_000;
const FITS_LIMIT = 1_000;
/** The same where a wait has a most, or there are several instruments: each node takes longer. */
const MOST_LIMIT = 2_000;
const TURNS_LIMIT = 1_000;

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

/** How an order is looked for. */
export type Looking = {
  /** What may be looked at; where that does not suffice, the best order found with a bound that holds. */
  readonly nodes?: number;
  /** How long it takes to turn from one instrument to another. */
  readonly changeSeconds?: number;
};

/**
 * The shortest order of the jobs for one pair of hands, with passive waits overlapped: one machine, precedence with
 * least and most time lags, the time of turning from one instrument to another, makespan. Waits at the very end, which
 * nothing waits for, do not count.
 *
 * The given order is kept wherever it costs nothing: it is tried first, then with the jobs that lead to a wait moved
 * forward, then longest chain first; branch and bound closes what gap is left, within a fixed number of nodes. Where a
 * wait has a most, the problem without it is solved first: an order of that which keeps every most is the shortest there
 * is. Sources of the problem and of the check instances: see the test.
 *
 * @throws Error when the precedence runs in a circle
 * @throws RangeError for times that are no whole seconds
 */
export function orderSteps(jobs: readonly Job[], { nodes = NODE_LIMIT, changeSeconds = 0 }: Looking = {}): Schedule {
  checkNumber('the nodes of a search', nodes, { whole: true });
  checkNumber('the time of a change', changeSeconds, { whole: true });
  return order(jobs, { enough: 0, changeSeconds }, { nodes });
}

type Wanted = {
  /** An order this short will do. */
  readonly enough: number;
  readonly changeSeconds: number;
};

const isSeveral = ({ jobs }: Search): boolean => new Set(jobs.map(({ instrument }) => instrument)).size > 1;

const NO_JOBS: Schedule = { order: [], starts: [], elapsedSeconds: 0, boundSeconds: 0, proved: true, keepsMost: true };

function order(jobs: readonly Job[], wanted: Wanted, budget: Budget): Schedule {
  if (jobs.length === 0) return NO_JOBS;
  const search = prepare(jobs);
  const { changeSeconds } = wanted;
  const hasMost = search.mosts.length > 0;
  const hasChanges = changeSeconds > 0 && isSeveral(search);
  if (!hasMost && !hasChanges) return leastOnly(search, wanted.enough, budget);
  // Without mosts and changes nothing takes longer: its bound holds here, too.
  const eased = leastOnly(search, wanted.enough, hasChanges ? { nodes: 0 } : budget);
  const asItIs = timed(search, changeSeconds, eased.order);
  if (asItIs?.elapsedSeconds === eased.boundSeconds)
    return { ...asItIs, ...SHORTEST, boundSeconds: eased.boundSeconds };
  return withMost(search, { eased, asItIs, ...wanted }, budget);
}

const SHORTEST = { proved: true, keepsMost: true } as const;

const ranksOf = ({ jobs, leadsToWait, tails }: Search): readonly Rank[] => [
  (job) => (leadsToWait[job] ? job - jobs.length : job),
  (job) => -(tails[job] ?? 0),
];

function leastOnly(search: Search, enough: number, budget: Budget): Schedule {
  const start = new PartialSchedule(search);
  const bound = Math.max(start.bound(start.available()), start.sharperBound());
  let best = listSchedule(search, (job) => job);
  for (const rank of ranksOf(search)) {
    // Nothing is shorter than the bound: as they were given is mostly as short as can be.
    if (best.elapsedSeconds <= Math.max(bound, enough)) break;
    const found = listSchedule(search, rank);
    if (found.elapsedSeconds < best.elapsedSeconds) best = found;
  }
  if (best.elapsedSeconds === bound) return { ...best, ...SHORTEST, boundSeconds: bound };
  // Asked only whether it fits, nothing is looked for where it cannot.
  if (enough > 0 && (best.elapsedSeconds <= enough || bound > enough))
    return { ...best, boundSeconds: bound, proved: bound > enough, keepsMost: true };
  const searched = new BranchAndBound(search, best, Math.max(bound, enough), budget);
  searched.explore();
  const isProved = searched.isComplete && searched.best.elapsedSeconds > enough;
  return {
    ...searched.best,
    boundSeconds: isProved ? searched.best.elapsedSeconds : bound,
    proved: isProved || searched.best.elapsedSeconds === bound,
    keepsMost: true,
  };
}

type Eased = { readonly eased: Schedule; readonly asItIs: Found | null };

const asGiven: Rank = (job) => job;

/** An order that is listed as the jobs were given, with nothing held back, else with all: enough to see that it fits. */
function anyWithMost(search: Search, first: Found | null, { enough, changeSeconds }: Wanted): Found | null {
  if (first !== null && first.elapsedSeconds <= enough) return first;
  const sets = heldBack(search);
  const listed = [sets[0], sets.at(-1)].flatMap((held) => {
    const found = held && listWithMost(search, changeSeconds, asGiven, held);
    return found ? [found] : [];
  });
  return (
    [...listed, ...(first === null ? [] : [first])].toSorted((a, b) => a.elapsedSeconds - b.elapsedSeconds)[0] ?? null
  );
}

/** Soaks that are held back are tried in every combination up to so many; of more, none and all. */
const MOST_COMBINED = 3;

/** Which of the jobs that begin a wait with a most are held back: none, some, all. */
function heldBack({ mosts }: Search): ReadonlySet<number>[] {
  const begins = [...new Set(mosts.map(({ before }) => before))];
  if (begins.length > MOST_COMBINED) return [new Set(), new Set(begins)];
  return begins.reduce<ReadonlySet<number>[]>(
    (sets, job) => [...sets, ...sets.map((set) => new Set([...set, job]))],
    [new Set()],
  );
}

/** The shortest of the orders that are listed without looking further; null where all come to a dead end. */
function listedWithMost(search: Search, first: Found | null, { enough, changeSeconds }: Wanted): Found | null {
  let best = first;
  for (const rank of [asGiven, ...ranksOf(search)])
    for (const held of heldBack(search)) {
      if (best !== null && best.elapsedSeconds <= enough) return best;
      const found = listWithMost(search, changeSeconds, rank, held);
      if (found !== null && found.elapsedSeconds < (best?.elapsedSeconds ?? Infinity)) best = found;
    }
  return best;
}

function withMost(search: Search, { eased, asItIs, ...wanted }: Wanted & Eased, budget: Budget): Schedule {
  const { enough, changeSeconds } = wanted;
  const bound = Math.max(eased.boundSeconds, new HandsPrefix(search, changeSeconds).bound());
  // Asked only whether it fits, as it is for every choice of steps, nothing further is looked for.
  if (enough > 0) {
    const found = bound > enough ? null : anyWithMost(search, asItIs, wanted);
    const elapsedSeconds = found?.elapsedSeconds ?? Infinity;
    return {
      ...(found ?? eased),
      elapsedSeconds,
      boundSeconds: bound,
      proved: bound > enough,
      keepsMost: found !== null,
    };
  }
  const listed = budget.nodes > 0 ? listedWithMost : anyWithMost;
  const first = listed(search, asItIs, { changeSeconds, enough: bound });
  const best = first === null || budget.nodes === 0 ? first : joinStays(search, changeSeconds, first, bound);
  if (best?.elapsedSeconds === bound) return { ...best, ...SHORTEST, boundSeconds: bound };
  return searchedWithMost(search, { eased, best, bound, ...wanted }, budget);
}

type Listed = { readonly eased: Schedule; readonly best: Found | null; readonly bound: number };

function searchedWithMost(
  search: Search,
  { eased, best, bound, ...wanted }: Wanted & Listed,
  budget: Budget,
): Schedule {
  const { enough, changeSeconds } = wanted;
  const given = Math.min(budget.nodes, changeSeconds > 0 && isSeveral(search) ? TURNS_LIMIT : MOST_LIMIT);
  const mine = { nodes: given };
  const searched = new HandsSearch(search, { enough: Math.max(bound, enough), changeSeconds }, best, mine);
  searched.explore();
  budget.nodes -= given - Math.max(0, mine.nodes);
  const found = searched.best;
  // No order keeps every most: it is said, and the rest is kept.
  if (found === null) return { ...eased, proved: false, keepsMost: false };
  const isProved = searched.isComplete && found.elapsedSeconds > enough;
  return {
    ...found,
    boundSeconds: isProved ? found.elapsedSeconds : bound,
    proved: isProved || found.elapsedSeconds === bound,
    keepsMost: true,
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
  {
    budget = { nodes: FITS_LIMIT },
    changeSeconds = 0,
  }: { readonly budget?: Budget; readonly changeSeconds?: number } = {},
): { fits: boolean; proved: boolean } {
  if (Number.isNaN(limitSeconds)) throw new RangeError('a limit of time is a number');
  const mine = { nodes: Math.min(budget.nodes, FITS_LIMIT) };
  const given = mine.nodes;
  const { elapsedSeconds, proved } = order(jobs, { enough: Math.max(1, limitSeconds), changeSeconds }, mine);
  budget.nodes -= given - Math.max(0, mine.nodes);
  const fits = elapsedSeconds <= limitSeconds;
  return { fits, proved: fits || proved };
}
