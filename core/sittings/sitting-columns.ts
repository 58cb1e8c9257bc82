import { itemCost, mayBeOn, SITTING_PENALTY, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';

/** A whole sitting as a column of the master program: its day, the places of its items, and what it costs. */
export type Column = { readonly day: number; readonly items: readonly number[]; readonly cost: number };

/** A day as far as new sittings ask: what it still holds, whether it is a sitting anyway, and who may be on it. */
export type OpenDay = {
  readonly day: number;
  readonly room: number;
  readonly sitting: number;
  readonly may: readonly { readonly at: number; readonly minutes: number; readonly cost: number }[];
};

export function openDays(problem: Sittings): OpenDay[] {
  return problem.time.flatMap((minutes, day): OpenDay[] => {
    const set = problem.items.filter((item) => item.set === day);
    const room = minutes - set.reduce((sum, item) => sum + item.minutes, 0);
    const may = problem.items.flatMap((item, at) =>
      item.set === null && mayBeOn(problem, item, day)
        ? [{ at, minutes: Math.ceil(item.minutes), cost: itemCost(item, day) }]
        : [],
    );
    const sitting = set.length > 0 ? 0 : SITTING_PENALTY.sitting;
    return may.length === 0 || room <= 0 ? [] : [{ day, room: Math.floor(room), sitting, may }];
  });
}

/**
 * The sitting of a day that pays best for what each item is worth: a knapsack over its minutes, exact in whole minutes.
 * O(items × minutes).
 */
export function bestSitting(
  { day, room, sitting, may }: OpenDay,
  worth: readonly number[],
): { column: Column; pays: number } {
  const value = new Float64Array(room + 1);
  const took = may.map(() => new Uint8Array(room + 1));
  may.forEach(({ at, minutes, cost }, index) => {
    const gain = (worth[at] ?? 0) - cost;
    if (gain <= 0) return;
    const taken = took[index];
    for (let left = room; left >= minutes; left--) {
      const withIt = (value[left - minutes] ?? 0) + gain;
      if (withIt <= (value[left] ?? 0) || taken === undefined) continue;
      value[left] = withIt;
      taken[left] = 1;
    }
  });
  const items: number[] = [];
  let [left, cost] = [room, sitting];
  for (let index = may.length - 1; index >= 0; index--) {
    const one = may[index];
    if (one === undefined || took[index]?.[left] !== 1) continue;
    items.push(one.at);
    cost += one.cost;
    left -= one.minutes;
  }
  return { column: { day, items, cost }, pays: (value[room] ?? 0) - sitting };
}

/** Sittings that were thought of, each once. */
export class Thought {
  readonly all: Column[] = [];
  readonly #known = new Set<string>();
  add(one: Column): void {
    const key = `${one.day}:${one.items.toSorted((a, b) => a - b).join()}`;
    if (this.#known.has(key)) return;
    this.#known.add(key);
    this.all.push(one);
  }
}

/** The sittings of a plan as columns. */
export function columnsOf(days: readonly OpenDay[], plan: SittingPlan): Column[] {
  return days.flatMap(({ day, sitting, may }): Column[] => {
    const mine = may.filter(({ at }) => plan[at] === day);
    const cost = mine.reduce((sum, one) => sum + one.cost, sitting);
    return mine.length === 0 ? [] : [{ day, items: mine.map(({ at }) => at), cost }];
  });
}

/** What is set costs what it costs, whatever the rest does. */
export const costOfSet = (problem: Sittings): number => {
  const set = problem.items.filter((item) => item.set !== null);
  const days = new Set(set.map((item) => item.set));
  return set.reduce((sum, item) => sum + itemCost(item, item.set ?? 0), 0) + days.size * SITTING_PENALTY.sitting;
};

/** The plan the chosen sittings make: an item in two of them is done in the cheaper. */
export function planOf(problem: Sittings, chosen: readonly Column[]): SittingPlan {
  return problem.items.map((item, at) => {
    if (item.set !== null) return item.set;
    const days = chosen.filter(({ items }) => items.includes(at)).map(({ day }) => day);
    return days.sort((a, b) => itemCost(item, a) - itemCost(item, b) || a - b)[0] ?? null;
  });
}
