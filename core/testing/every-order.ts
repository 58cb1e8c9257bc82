/**
 * Oracles for one pair of hands, written from the words of the problem alone; they share no function with the planner.
 * A piece of handwork as they know it: they share no type with the planner.
 */
export type OracleJob = {
  readonly workSeconds: number;
  readonly after: readonly {
    readonly job: number;
    /** The job begins at least so long after the end of the other. */
    readonly waitSeconds: number;
    /** And at most so long after it; no limit where nothing is said. */
    readonly mostSeconds?: number;
  }[];
  /** Which instrument it is done on, where changing over takes time. */
  readonly instrument?: number;
};

/**
 * The shortest time in which the jobs can be done one at a time, by trying every order that keeps what comes before what,
 * each job as early as may be. Only least waits: where there is a most, or changing over takes time, see
 * {@link shortestWithMost}. A beginning that is no shorter than the best whole order is not gone on with.
 */
export function shortestOfAll(jobs: readonly OracleJob[]): number {
  const ends = jobs.map(() => -1);
  let best = Infinity;
  const goOn = (now: number, left: number): void => {
    if (now >= best) return;
    if (left === 0) {
      best = now;
      return;
    }
    for (let job = 0; job < jobs.length; job++) {
      const one = jobs[job];
      if (one === undefined || ends[job] !== -1) continue;
      let start = now;
      let mayBegin = true;
      for (const { job: before, waitSeconds } of one.after) {
        const end = ends[before] ?? -1;
        if (end === -1) mayBegin = false;
        else start = Math.max(start, end + waitSeconds);
      }
      if (!mayBegin) continue;
      ends[job] = start + one.workSeconds;
      goOn(start + one.workSeconds, left - 1);
      ends[job] = -1;
    }
  };
  goOn(0, jobs.length);
  return best;
}

/** Every order of so many things. */
export function* everyOrder(count: number, begun: readonly number[] = []): Generator<readonly number[]> {
  if (begun.length === count) yield begun;
  else for (let next = 0; next < count; next++) if (!begun.includes(next)) yield* everyOrder(count, [...begun, next]);
}

/** A start is at least so long after another. */
type Apart = readonly [from: number, to: number, seconds: number];

/** The earliest starts that keep all of them apart; null where they contradict each other. */
function earliestStarts(count: number, apart: readonly Apart[]): number[] | null {
  const starts = Array.from({ length: count }, () => 0);
  for (let round = 0; round <= count; round++) {
    let moved = false;
    for (const [from, to, seconds] of apart) {
      const least = (starts[from] ?? 0) + seconds;
      if (least <= (starts[to] ?? 0)) continue;
      starts[to] = least;
      moved = true;
    }
    if (!moved) return starts;
  }
  return null;
}

/** Every wait, least and most. */
const waitsOf = (jobs: readonly OracleJob[]): Apart[] =>
  jobs.flatMap(({ after }, job) =>
    after.flatMap(({ job: before, waitSeconds, mostSeconds }): Apart[] => {
      const work = jobs[before]?.workSeconds ?? 0;
      const most: Apart[] = mostSeconds === undefined ? [] : [[job, before, -(work + mostSeconds)]];
      return [[before, job, work + waitSeconds], ...most];
    }),
  );

/**
 * The same with waits that may have a most, and with time for changing from one instrument to another: for each order the
 * starts are what the differences between them allow (longest paths), so that a job may begin later than it could.
 *
 * @returns Infinity where no order keeps every most
 */
export function shortestWithMost(jobs: readonly OracleJob[], changeSeconds = 0): number {
  let best = jobs.length === 0 ? 0 : Infinity;
  for (const order of everyOrder(jobs.length)) best = Math.min(best, timeOf(jobs, order, changeSeconds));
  return best;
}

/** How long this one order takes with every most kept and every change counted; Infinity where no starts do. */
export function timeOf(jobs: readonly OracleJob[], order: readonly number[], changeSeconds: number): number {
  const work = (job: number): number => jobs[job]?.workSeconds ?? 0;
  const hands = order.slice(1).map((job, at): Apart => {
    const before = order[at] ?? 0;
    const changes = jobs[before]?.instrument !== jobs[job]?.instrument;
    return [before, job, work(before) + (changes ? changeSeconds : 0)];
  });
  const starts = earliestStarts(jobs.length, [...waitsOf(jobs), ...hands]);
  const last = order.at(-1);
  return starts === null || last === undefined ? Infinity : (starts[last] ?? 0) + work(last);
}

/**
 * Is there an order shorter than `than`? Depth first, cut only where the work that is left, or the longest chain of work
 * and waits that is left, already takes as long: nothing is left out because something else is as good. A most, which may
 * make jobs begin later, is asked of whole orders only.
 *
 * @param most jobs placed at most; where they do not suffice, `complete` is false
 */
export function searchShorter(
  jobs: readonly OracleJob[],
  than: number,
  most: number,
  changeSeconds = 0,
): { readonly found: number | null; readonly complete: boolean } {
  const order: number[] = [];
  const turn = (job: number): number => {
    const last = order.at(-1);
    return last === undefined || jobs[last]?.instrument === jobs[job]?.instrument ? 0 : changeSeconds;
  };
  const chains = longestChains(jobs);
  const work = jobs.map(({ workSeconds }) => workSeconds);
  const ends = jobs.map(() => -1);
  let [placed, found] = [0, null as number | null];
  /** What may come next with its earliest start; null where some chain already takes as long as the order to be beaten. */
  const comesNext = (now: number): [start: number, job: number][] | null => {
    const next: [start: number, job: number][] = [];
    for (const [job, { after }] of jobs.entries()) {
      if (ends[job] !== -1 || after.some(({ job: before }) => ends[before] === -1)) continue;
      const start = Math.max(
        now + turn(job),
        ...after.map(({ job: before, waitSeconds }) => (ends[before] ?? 0) + waitSeconds),
      );
      if (start + (chains[job] ?? 0) >= than) return null;
      next.push([start, job]);
    }
    return next.sort(([a, one], [b, other]) => a - b || (chains[other] ?? 0) - (chains[one] ?? 0));
  };
  const goOn = (now: number, left: number, workLeft: number): void => {
    if (found !== null || placed > most || now + workLeft >= than) return;
    if (left === 0) {
      const seconds = timeOf(jobs, order, changeSeconds);
      if (seconds < than) found = seconds;
      return;
    }
    for (const [start, job] of comesNext(now) ?? []) {
      placed++;
      const end = start + (work[job] ?? 0);
      ends[job] = end;
      order.push(job);
      goOn(end, left - 1, workLeft - (work[job] ?? 0));
      order.pop();
      ends[job] = -1;
    }
  };
  const all = work.reduce((sum, seconds) => sum + seconds, 0);
  goOn(0, jobs.length, all);
  return { found, complete: placed <= most };
}

/** From each job on, the longest chain of work and waits to the end. */
function longestChains(jobs: readonly OracleJob[]): number[] {
  const known = new Map<number, number>();
  const chain = (job: number): number => {
    const before = known.get(job);
    if (before !== undefined) return before;
    const rest = jobs.flatMap(({ after }, later) =>
      after.flatMap(({ job: first, waitSeconds }) => (first === job ? [waitSeconds + chain(later)] : [])),
    );
    const whole = (jobs[job]?.workSeconds ?? 0) + Math.max(0, ...rest);
    known.set(job, whole);
    return whole;
  };
  return jobs.map((_, job) => chain(job));
}
