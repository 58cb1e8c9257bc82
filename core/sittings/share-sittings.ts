import type { Limits, SolveMilp, Stop } from '#core/solve/answer.ts';
import { draftProgram, type Program, type Term } from '#core/solve/program.ts';
import { bestSitting, Thought, type Column, type OpenDay } from '#core/sittings/sitting-columns.ts';
import { leftCost, type Sittings } from '#core/sittings/sittings.ts';

/** What is still to be shared out: the places of items, and days that may become a sitting. */
export type Open = {
  readonly items: ReadonlySet<number>;
  readonly days: readonly OpenDay[];
  /** Days that are a sitting in any case. */
  readonly used?: ReadonlySet<number>;
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
export function masterOf(
  problem: Sittings,
  { items, days: open, used, count }: Open,
  all: readonly Column[],
  whole: boolean,
): Master {
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
    const item = problem.items[at];
    if (item === undefined) continue;
    const left = column({ name: `${item.id} is left`, cost: leftCost(problem, item), most: 1 });
    once.set(at, row({ name: `${item.id} once`, terms: [...(ofItem.get(at) ?? []), [left, 1]], least: 1 }));
  }
  const days = new Map(
    open.flatMap(({ day }): [number, number][] => {
      const terms = ofDay.get(day);
      return terms === undefined
        ? []
        : [[day, row({ name: `day ${day}`, terms, most: 1, ...(used?.has(day) && { least: 1 }) })]];
    }),
  );
  const counted = count
    ? row({ name: 'sittings', terms: columns.map((one): Term => [one, 1]), least: count.least, most: count.most })
    : null;
  return { program: program(), columns, once, days, counted };
}

export const NEARLY = 1e-6;
/** Close enough to the bound to stop: a share of it. */
const CLOSE = 5e-4;

/** A sitting that would lose so much at the prices of a round is left out of the next, penalty minutes. */
const FAR = 20;

export type Shared = { readonly cost: number; readonly bound: number; readonly shares: readonly number[] };
export type Solving = { readonly solve: SolveMilp; readonly stop: Stop };

/** Far more than a linear master of six weeks takes; the last stop is there for a machine that stands still. */
const LINEAR: Limits = { gap: 0, iterations: 20_000, nodes: 0, seconds: 30 };

/**
 * Shares out the open items by a linear master, whose prices say what doing an item is worth, and for each day a
 * knapsack that finds the sitting that would pay best; null where nothing came of it.
 */
export async function shareOut(
  problem: Sittings,
  open: Open,
  thought: Thought,
  { solve, stop, rounds }: Solving & { readonly rounds: number },
): Promise<Shared | null> {
  let shared: Shared | null = null;
  let bound = -Infinity;
  /** Whether a sitting is worth knowing at the prices of the last round; all are at first. */
  let isNear: (one: Column) => boolean = () => true;
  for (let round = 0; round < rounds && !stop.aborted; round++) {
    const all = [...thought.all];
    const near = all.flatMap((one, at) => (isNear(one) ? [at] : []));
    const columns = near.flatMap((at) => all[at] ?? []);
    const master = masterOf(problem, open, columns, false);
    const answer = await solve(master.program, LINEAR, stop);
    if (answer.kind === 'none' || answer.prices === null) return shared;
    const { prices, cost, values } = answer;
    const worth = problem.items.map((_, at) => prices[master.once.get(at) ?? -1] ?? 0);
    const ofCount = prices[master.counted ?? -1] ?? 0;
    const ofDay = (day: number): number => (prices[master.days.get(day) ?? -1] ?? 0) + ofCount;
    let saved = 0;
    for (const day of open.days) {
      const { column, pays } = bestSitting(day, worth);
      const would = pays + ofDay(day.day);
      if (would <= NEARLY) continue;
      saved += would;
      thought.add(column);
    }
    isNear = ({ day, items, cost: costs }) =>
      items.reduce((sum, at) => sum + (worth[at] ?? 0), ofDay(day) - costs) > -FAR;
    bound = Math.max(bound, cost - saved);
    const shares = new Map(near.map((at, index) => [at, values[master.columns[index] ?? -1] ?? 0]));
    shared = { cost, bound, shares: all.map((_, at) => shares.get(at) ?? 0) };
    if (saved < Math.max(NEARLY, cost * CLOSE)) break;
  }
  return shared;
}

/** The same sittings without the items and days that are settled. */
export function restricted({ items, days }: Open, all: readonly Column[]): Thought {
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
export async function dive(
  problem: Sittings,
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
    shared = await shareOut(problem, open, known, { ...solving, rounds: DIVE_ROUNDS });
  }
  return chosen;
}
