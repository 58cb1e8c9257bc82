import type { SolveMilp, Stop } from '#core/solve/answer.ts';
import { draftProgram, type Program, type Term } from '#core/solve/program.ts';
import {
  itemCost,
  leftCost,
  mayBeOn,
  SITTING_PENALTY,
  type SittingPlan,
  type Sittings,
} from '#core/sittings/sittings.ts';

/** A whole sitting as a column of the master program: its day, the places of its items, and what it costs. */
type Column = { readonly day: number; readonly items: readonly number[]; readonly cost: number };

/** A day as far as new sittings ask: what it still holds, whether it is a sitting anyway, and who may be on it. */
type OpenDay = {
  readonly day: number;
  readonly room: number;
  readonly sitting: number;
  readonly may: readonly { readonly at: number; readonly minutes: number; readonly cost: number }[];
};

function openDays(of: Sittings): OpenDay[] {
  return of.time.flatMap((minutes, day): OpenDay[] => {
    const set = of.items.filter((item) => item.set === day);
    const room = minutes - set.reduce((sum, item) => sum + item.minutes, 0);
    const may = of.items.flatMap((item, at) =>
      item.set === null && mayBeOn(of, item, day)
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
function bestSitting({ day, room, sitting, may }: OpenDay, worth: readonly number[]): { column: Column; pays: number } {
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

/** What is still to be shared out: the places of items, and days that may become a sitting. */
type Open = {
  readonly items: ReadonlySet<number>;
  readonly days: readonly OpenDay[];
  /** How many sittings there shall be; any number where nothing is said. */
  readonly count?: { readonly least: number; readonly most: number };
};

type Master = {
  readonly program: Program;
  readonly columns: readonly number[];
  readonly once: ReadonlyMap<number, number>;
  readonly days: ReadonlyMap<number, number>;
  readonly counted: number | null;
};

/** Each item in a sitting or left, one sitting a day: the columns are whole sittings. */
function masterOf(of: Sittings, { items, days: open, count }: Open, all: readonly Column[], whole: boolean): Master {
  const { column, row, program } = draftProgram();
  const columns = all.map(({ day, cost }) => column({ name: `a sitting on ${day}`, cost, most: 1, whole }));
  const ofItem = new Map<number, Term[]>();
  const ofDay = new Map<number, Term[]>();
  const note = (terms: Map<number, Term[]>, key: number, term: Term): void => {
    const known = terms.get(key);
    if (known) known.push(term);
    else terms.set(key, [term]);
  };
  all.forEach(({ day, items: mine }, at) => {
    const term: Term = [columns[at] ?? 0, 1];
    note(ofDay, day, term);
    for (const one of mine) note(ofItem, one, term);
  });
  const once = new Map<number, number>();
  for (const at of items) {
    const item = of.items[at];
    if (item === undefined) continue;
    const left = column({ name: `${item.id} is left`, cost: leftCost(of, item), most: 1 });
    once.set(at, row({ name: `${item.id} once`, terms: [...(ofItem.get(at) ?? []), [left, 1]], least: 1 }));
  }
  const days = new Map(
    open.flatMap(({ day }): [number, number][] => {
      const terms = ofDay.get(day);
      return terms === undefined ? [] : [[day, row({ name: `day ${day}`, terms, most: 1 })]];
    }),
  );
  const counted = count
    ? row({ name: 'sittings', terms: columns.map((one): Term => [one, 1]), least: count.least, most: count.most })
    : null;
  return { program: program(), columns, once, days, counted };
}

/** Sittings that were thought of, each once. */
class Thought {
  readonly all: Column[] = [];
  readonly #known = new Set<string>();
  add(one: Column): void {
    const key = `${one.day}:${one.items.toSorted((a, b) => a - b).join()}`;
    if (this.#known.has(key)) return;
    this.#known.add(key);
    this.all.push(one);
  }
}

const NEARLY = 1e-6;
/** Close enough to the bound to stop: a share of it. */
const CLOSE = 5e-4;

type Shared = { readonly cost: number; readonly bound: number; readonly shares: readonly number[] };
type Solving = { readonly solve: SolveMilp; readonly stop: Stop; readonly seconds: number };

/**
 * Shares out the open items by a linear master, whose prices say what doing an item is worth, and for each day a
 * knapsack that finds the sitting that would pay best; null where nothing came of it.
 */
async function shareOut(
  of: Sittings,
  open: Open,
  thought: Thought,
  { solve, stop, seconds, rounds }: Solving & { readonly rounds: number },
): Promise<Shared | null> {
  let shared: Shared | null = null;
  let bound = -Infinity;
  for (let round = 0; round < rounds && !stop.aborted; round++) {
    const columns = [...thought.all];
    const master = masterOf(of, open, columns, false);
    const answer = await solve(master.program, { seconds, gap: 0 }, stop);
    if (answer.kind === 'none' || answer.prices === null) return shared;
    const { prices, cost, values } = answer;
    const worth = of.items.map((_, at) => prices[master.once.get(at) ?? -1] ?? 0);
    const ofCount = prices[master.counted ?? -1] ?? 0;
    let saved = 0;
    for (const day of open.days) {
      const { column, pays } = bestSitting(day, worth);
      const would = pays + (prices[master.days.get(day.day) ?? -1] ?? 0) + ofCount;
      if (would <= NEARLY) continue;
      saved += would;
      thought.add(column);
    }
    bound = Math.max(bound, cost - saved);
    shared = { cost, bound, shares: columns.map((_, at) => values[master.columns[at] ?? -1] ?? 0) };
    if (saved < Math.max(NEARLY, cost * CLOSE)) break;
  }
  return shared;
}

/** The same sittings without the items and days that are settled. */
function restricted({ items, days }: Open, all: readonly Column[]): Thought {
  const thought = new Thought();
  for (const { day, items: mine } of all) {
    const open = days.find((one) => one.day === day);
    const left = open?.may.filter(({ at }) => mine.includes(at) && items.has(at)) ?? [];
    if (open === undefined || left.length === 0) continue;
    const cost = left.reduce((sum, one) => sum + one.cost, open.sitting);
    thought.add({ day, items: left.map(({ at }) => at), cost });
  }
  return thought;
}

const DIVE_ROUNDS = 3;

/** A plan from the linear one: the sitting it is surest of is settled, and the rest shared out anew. */
async function dive(
  of: Sittings,
  from: Open,
  thought: Thought,
  { shared: first, ...solving }: Solving & { readonly shared: Shared },
): Promise<Column[]> {
  const chosen: Column[] = [];
  let [open, known, shared]: [Open, Thought, Shared | null] = [from, thought, first];
  while (shared !== null && !solving.stop.aborted) {
    const shares: readonly number[] = shared.shares;
    const surest = shares.reduce((best, share, at) => (share > (shares[best] ?? 0) ? at : best), 0);
    const sitting = known.all[surest];
    if (sitting === undefined || (shares[surest] ?? 0) < NEARLY) break;
    chosen.push(sitting);
    const items = new Set([...open.items].filter((at) => !sitting.items.includes(at)));
    const days = open.days
      .filter(({ day }) => day !== sitting.day)
      .map((day) => ({ ...day, may: day.may.filter(({ at }) => items.has(at)) }));
    open = { items, days };
    if (items.size === 0) break;
    known = restricted(open, known.all);
    shared = await shareOut(of, open, known, { ...solving, rounds: DIVE_ROUNDS });
  }
  return chosen;
}

/**
 * A better bound: sittings are whole, so that there are at most so many or at least one more; the lower of the two bounds
 * holds for every plan.
 */
async function boundByCount(
  of: Sittings,
  open: Open,
  thought: Thought,
  { shared, ...solving }: Solving & { readonly shared: Shared },
): Promise<number> {
  const count = shared.shares.reduce((sum, one) => sum + one, 0);
  const below = Math.floor(count + NEARLY);
  if (count - below < WHOLE_ENOUGH || below + 1 - count < WHOLE_ENOUGH) return shared.bound;
  const sides = [
    { least: 0, most: below },
    { least: below + 1, most: open.days.length },
  ];
  let least = Infinity;
  for (const side of sides) {
    const one = await shareOut(of, { ...open, count: side }, thought, { ...solving, rounds: SIDE_ROUNDS });
    least = Math.min(least, one?.bound ?? shared.bound);
  }
  return Math.max(shared.bound, least);
}
/** A count this near to a whole number is one. */
const WHOLE_ENOUGH = 1e-3;
const SIDE_ROUNDS = 20;

export type SittingsBounding = Solving & {
  /** Plans to begin with. */
  readonly start: readonly SittingPlan[];
};
export type BoundedSittings = { readonly bound: number | null; readonly plans: readonly SittingPlan[] };

const ROUNDS = 60;

/** The sittings of a plan as columns. */
function columnsOf(days: readonly OpenDay[], plan: SittingPlan): Column[] {
  return days.flatMap(({ day, sitting, may }): Column[] => {
    const mine = may.filter(({ at }) => plan[at] === day);
    const cost = mine.reduce((sum, one) => sum + one.cost, sitting);
    return mine.length === 0 ? [] : [{ day, items: mine.map(({ at }) => at), cost }];
  });
}

/** What is set costs what it costs, whatever the rest does. */
const costOfSet = (of: Sittings): number => {
  const set = of.items.filter((item) => item.set !== null);
  const days = new Set(set.map((item) => item.set));
  return set.reduce((sum, item) => sum + itemCost(item, item.set ?? 0), 0) + days.size * SITTING_PENALTY.sitting;
};

/** The plan the chosen sittings make: an item in two of them is done in the cheaper. */
function planOf(of: Sittings, chosen: readonly Column[]): SittingPlan {
  return of.items.map((item, at) => {
    if (item.set !== null) return item.set;
    const days = chosen.filter(({ items }) => items.includes(at)).map(({ day }) => day);
    return days.sort((a, b) => itemCost(item, a) - itemCost(item, b) || a - b)[0] ?? null;
  });
}

/**
 * A lower bound of every plan, and plans near it, by columns that are whole sittings. The linear master's cost less what
 * the days would still save is a bound at every round (Lagrange); plans come from settling the surest sitting again and
 * again, and from the best choice of all sittings thought of. Dantzig and Wolfe 1960; the bound as in Lübbecke and
 * Desrosiers 2005, Oper. Res. 53:1007–1023.
 */
export async function boundSittings(of: Sittings, { start, ...solving }: SittingsBounding): Promise<BoundedSittings> {
  const days = openDays(of);
  const items = new Set(of.items.flatMap((item, at) => (item.set === null ? [at] : [])));
  const open = { items, days };
  const thought = new Thought();
  for (const plan of start) for (const one of columnsOf(days, plan)) thought.add(one);
  const shared = await shareOut(of, open, thought, { ...solving, rounds: ROUNDS });
  if (shared === null) return { bound: null, plans: [] };
  const bound = await boundByCount(of, open, thought, { ...solving, shared });
  const dived = await dive(of, open, thought, { ...solving, shared });
  for (const one of dived) thought.add(one);
  const master = masterOf(of, open, thought.all, true);
  const { solve, stop, seconds } = solving;
  const answer = await solve(master.program, { seconds, gap: 0 }, stop);
  const whole =
    answer.kind === 'found'
      ? [thought.all.filter((_, at) => (answer.values[master.columns[at] ?? -1] ?? 0) > 0.5)]
      : [];
  return { bound: costOfSet(of) + bound, plans: [dived, ...whole].map((chosen) => planOf(of, chosen)) };
}
