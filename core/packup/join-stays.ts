import { timed } from '#core/packup/hands-search.ts';
import type { Found, Search } from '#core/packup/partial-schedule.ts';

type Order = readonly number[];

/** The stays of an order: as long as hands are at one instrument. */
function staysOf({ jobs }: Search, order: Order): Order[] {
  const stays: number[][] = [];
  for (const job of order) {
    const stay = stays.at(-1);
    if (stay?.[0] !== undefined && jobs[stay[0]]?.instrument === jobs[job]?.instrument) stay.push(job);
    else stays.push([job]);
  }
  return stays;
}

/** Does every job come after those it must come after? */
function keepsPrecedence({ jobs }: Search, order: Order): boolean {
  const done = new Set<number>();
  return order.every((job) => {
    const isNext = jobs[job]?.after.every((one) => done.has(one.job)) === true;
    done.add(job);
    return isNext;
  });
}

/** Orders with one stay less: a stay put right behind an earlier one at its instrument, or that one right before it. */
function* joined(search: Search, order: Order): Generator<Order> {
  const stays = staysOf(search, order);
  const at = (index: number) => search.jobs[stays[index]?.[0] ?? -1]?.instrument;
  for (let later = 2; later < stays.length; later++)
    for (let earlier = later - 2; earlier >= 0; earlier--) {
      if (at(earlier) !== at(later)) continue;
      const [before, between, after] = [
        stays.slice(0, earlier),
        stays.slice(earlier + 1, later),
        stays.slice(later + 1),
      ];
      const both = [...(stays[earlier] ?? []), ...(stays[later] ?? [])];
      yield [...before, both, ...between, ...after].flat();
      yield [...before, ...between, both, ...after].flat();
    }
}

/** The order as it is, then with each wait that has a most begun later and later in its stay: it lasts shorter by that. */
function* begunLater(search: Search, order: Order): Generator<Order> {
  yield order;
  const stays = staysOf(search, order);
  for (const begins of new Set(search.mosts.map(({ before }) => before))) {
    const at = stays.findIndex((stay) => stay.includes(begins));
    const stay = stays[at] ?? [];
    // What comes after it comes along, behind it.
    const along = new Set([begins]);
    for (const job of stay) if (search.jobs[job]?.after.some((one) => along.has(one.job))) along.add(job);
    const rest = stay.filter((job) => !along.has(job));
    for (let first = stay.indexOf(begins) + 1; first <= rest.length; first++) {
      const later = [...rest.slice(0, first), ...along, ...rest.slice(first)];
      yield stays.flatMap((one, index) => (index === at ? later : one));
    }
  }
}

/**
 * A shorter order with fewer turns between instruments, where joining two stays at one of them makes it so; the order as
 * it is, where not.
 *
 * @param enough an order this short will do
 */
export function joinStays(search: Search, changeSeconds: number, order: Found, enough: number): Found {
  let best = order;
  const shorter = (): Found | undefined => {
    for (const one of joined(search, best.order))
      for (const next of begunLater(search, one)) {
        const found = keepsPrecedence(search, next) ? timed(search, changeSeconds, next) : null;
        if (found !== null && found.elapsedSeconds < best.elapsedSeconds) return found;
      }
    return undefined;
  };
  while (best.elapsedSeconds > enough) {
    const found = shorter();
    if (found === undefined) return best;
    best = found;
  }
  return best;
}
