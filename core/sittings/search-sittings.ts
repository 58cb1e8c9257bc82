import prand from 'pure-rand';
import { polishSittings } from '#core/sittings/polish-sittings.ts';
import {
  checkSittings,
  costOfSittings,
  itemCost,
  leftCost,
  mayBeOn,
  SITTING_PENALTY,
  totalCost,
  type SittingItem,
  type SittingPlan,
  type Sittings,
} from '#core/sittings/sittings.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** What is set on each day already, minutes. */
const setMinutes = ({ time, items }: Sittings): number[] =>
  time.map((_, day) => items.reduce((sum, { set, minutes }) => sum + (set === day ? minutes : 0), 0));

/** The days of an item in the order it would like them, with what each costs. */
type Wishes = readonly { readonly day: number; readonly cost: number }[];
const wishesOf = (problem: Sittings, item: SittingItem): Wishes =>
  problem.time
    .flatMap((_, day) => (mayBeOn(problem, item, day) ? [{ day, cost: itemCost(item, day) }] : []))
    .sort((a, b) => a.cost - b.cost || a.day - b.day);

/** What does not change while days are opened and closed. */
type Ground = {
  readonly of: Sittings;
  readonly wishes: readonly Wishes[];
  /** What leaving each item costs. */
  readonly left: readonly number[];
  /** Minutes each day has beside what is set. */
  readonly room: readonly number[];
};

/** How much an item loses by its second choice, given the days that are sittings. */
function regretOf({ wishes, left }: Ground, at: number, open: Uint8Array): number {
  const leaving = left[at] ?? 0;
  let first: number | null = null;
  for (const { day, cost } of wishes[at] ?? []) {
    if (open[day] !== 1) continue;
    if (first !== null) return Math.min(leaving, cost) - first;
    first = cost;
  }
  return first === null ? 0 : leaving - first;
}

/**
 * The best days for the items when only these days are sittings: whoever loses most by its second choice chooses first,
 * the larger first among equals.
 */
function assigned(ground: Ground, open: Uint8Array): { readonly plan: SittingPlan; readonly cost: number } {
  const { of, wishes, left } = ground;
  const room = [...ground.room];
  const plan: (number | null)[] = of.items.map(({ set }) => set);
  const regrets = of.items.map((_, at) => regretOf(ground, at, open));
  const order = of.items
    .map((_, at) => at)
    .sort((a, b) => (regrets[b] ?? 0) - (regrets[a] ?? 0) || (of.items[b]?.minutes ?? 0) - (of.items[a]?.minutes ?? 0));
  const used = new Set(plan.filter((day) => day !== null));
  let cost = 0;
  for (const at of order) {
    const item = of.items[at];
    if (item === undefined) continue;
    const { minutes, set } = item;
    const wish =
      set === null ? (wishes[at] ?? []).find(({ day }) => open[day] === 1 && (room[day] ?? 0) >= minutes) : null;
    if (set !== null) cost += itemCost(item, set);
    else if (!wish || wish.cost >= (left[at] ?? 0)) cost += left[at] ?? 0;
    else {
      plan[at] = wish.day;
      room[wish.day] = (room[wish.day] ?? 0) - minutes;
      used.add(wish.day);
      cost += wish.cost;
    }
  }
  return { plan, cost: cost + used.size * SITTING_PENALTY.sitting };
}

/** The items of these sittings placed as well as may be. */
function polished(ground: Ground, open: Uint8Array): { readonly plan: SittingPlan; readonly cost: number } {
  const plan = polishSittings(ground.of, assigned(ground, open).plan);
  return { plan, cost: totalCost(costOfSittings(ground.of, plan)) };
}

/** Times the search is shaken and goes on from there. */
const SHAKES = 40;
/** Days that are opened or closed at once when it is shaken. */
const SHAKEN = 3;

export type Searching = {
  /** A plan whose sittings it begins from; with no sitting where none is given. */
  readonly from?: SittingPlan;
  readonly shakes?: number;
};

/**
 * A good plan at once: days are opened, closed and exchanged as long as that makes it better; then a few are changed at
 * random and it goes on from there. The dice are seeded: the same question has the same answer.
 *
 * @throws RangeError for a question of which the numbers are none
 */
export function searchSittings(problem: Sittings, { from = [], shakes = SHAKES }: Searching = {}): SittingPlan {
  checkSittings(problem);
  checkNumber('the shakes of a search', shakes, { whole: true });
  const room = setMinutes(problem).map((used, day) => Math.max(0, (problem.time[day] ?? 0) - used));
  const ground = {
    of: problem,
    wishes: problem.items.map((item) => (item.set === null ? wishesOf(problem, item) : [])),
    left: problem.items.map((item) => leftCost(problem, item)),
    room,
  };
  const useful = [...new Set(ground.wishes.flatMap((all) => all.map(({ day }) => day)))].sort((a, b) => a - b);
  if (useful.length === 0) return problem.items.map(({ set }) => set);
  const dice = prand.xoroshiro128plus(problem.items.length * 1000 + useful.length);
  const pick = () => useful[prand.unsafeUniformIntDistribution(0, useful.length - 1, dice)] ?? 0;
  const begin = new Uint8Array(problem.time.length);
  for (const day of from) if (day !== null) begin[day] = 1;
  let open = settledDays(ground, useful, begin);
  let best = polished(ground, open);
  for (let shake = 0; shake < shakes; shake++) {
    const shaken = Uint8Array.from(open);
    for (let count = 0; count < SHAKEN; count++) {
      const day = pick();
      shaken[day] = 1 - (shaken[day] ?? 0);
    }
    const tried = settledDays(ground, useful, shaken);
    const now = polished(ground, tried);
    if (now.cost <= best.cost - LEAST_GAIN) [best, open] = [now, tried];
  }
  return best.plan;
}

/** Opens, closes and exchanges days until nothing makes it better. */
function settledDays(ground: Ground, useful: readonly number[], from: Uint8Array): Uint8Array {
  const open = Uint8Array.from(from);
  let { cost } = assigned(ground, open);
  /** Keeps the change where it is better, and takes it back where it is not. */
  const tryFlip = (...days: readonly number[]): boolean => {
    for (const day of days) open[day] = 1 - (open[day] ?? 0);
    const now = assigned(ground, open).cost;
    if (now < cost - LEAST_GAIN) {
      cost = now;
      return true;
    }
    for (const day of days) open[day] = 1 - (open[day] ?? 0);
    return false;
  };
  for (;;) {
    let isBetter = false;
    for (const day of useful) isBetter = tryFlip(day) || isBetter;
    for (const one of useful) {
      if (open[one] !== 1) continue;
      // A sitting moves to a day near it.
      const near = useful.filter((day) => open[day] !== 1 && Math.abs(day - one) <= NEAR_DAYS);
      for (const day of near)
        if (tryFlip(one, day)) {
          isBetter = true;
          break;
        }
    }
    if (!isBetter) return open;
  }
}
const NEAR_DAYS = 5;
/** Less is no gain; a sitting is worth fifteen minutes. */
const LEAST_GAIN = SITTING_PENALTY.sitting * 1e-7;

/** Each item on its own date, or the nearest day it may be on: what a plan is compared with. */
export function eachOnItsOwnDate(problem: Sittings): SittingPlan {
  const room = setMinutes(problem).map((used, day) => (problem.time[day] ?? 0) - used);
  return problem.items.map((item) => {
    if (item.set !== null) return item.set;
    if (item.due >= problem.time.length) return null;
    const near = problem.time
      .map((_, day) => day)
      .filter((day) => mayBeOn(problem, item, day) && (room[day] ?? 0) >= item.minutes)
      .sort((a, b) => Math.abs(a - item.due) - Math.abs(b - item.due) || a - b);
    const [day] = near;
    if (day === undefined) return null;
    room[day] = (room[day] ?? 0) - item.minutes;
    return day;
  });
}

/** Days there would be something to do on if each thing were done on the very day it falls due. */
export const ownDates = ({ time, items }: Sittings): number =>
  new Set(items.flatMap(({ due, set }) => (due < time.length ? [set ?? due] : []))).size;
