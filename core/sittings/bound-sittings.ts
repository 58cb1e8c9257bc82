import {
  dive,
  NEARLY,
  restricted,
  shareOut,
  type Open,
  type Shared,
  type Solving,
} from '#core/sittings/share-sittings.ts';
import { columnsOf, costOfSet, openDays, planOf, Thought } from '#core/sittings/sitting-columns.ts';
import { checkSittings, costOfSittings, totalCost, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';

/** A part of all plans: those with so many sittings, that use some days and not others. */
type Node = { readonly open: Open; readonly thought: Thought; readonly shared: Shared };

/** A count or a share this near to a whole number is one. */
const WHOLE_ENOUGH = 1e-3;
const SIDE_ROUNDS = 20;
/** Parts that are looked at beyond the first two. */
const MOST_NODES = 6;
/** Nearer to the best plan nobody asks how near it is. */
const NEAR_ENOUGH = 0.047;

/** The sittings of a part, by their number: there are at most so many, or at least one more; null where it is whole. */
function byCount({ open, shared }: Node): Open[] | null {
  const count = shared.shares.reduce((sum, one) => sum + one, 0);
  const below = Math.floor(count + NEARLY);
  if (count - below < WHOLE_ENOUGH || below + 1 - count < WHOLE_ENOUGH) return null;
  const { least = 0, most = open.days.length } = open.count ?? {};
  return [
    { ...open, count: { least, most: below } },
    { ...open, count: { least: below + 1, most } },
  ];
}

/** The day of which it is least clear whether it is a sitting: it is none, or it is one; null where all are clear. */
function byDay({ open, thought, shared }: Node): Open[] | null {
  const shares = new Map<number, number>();
  thought.all.forEach(({ day }, at) => shares.set(day, (shares.get(day) ?? 0) + (shared.shares[at] ?? 0)));
  const [[day, share] = [0, 0]] = [...shares].toSorted(([, a], [, b]) => Math.abs(a - 0.5) - Math.abs(b - 0.5));
  if (share < WHOLE_ENOUGH || share > 1 - WHOLE_ENOUGH) return null;
  return [
    { ...open, days: open.days.filter((one) => one.day !== day) },
    { ...open, used: new Set([...(open.used ?? []), day]) },
  ];
}

/**
 * A better bound: all plans are taken apart, by how many sittings there are and then by whether a day is one of them,
 * the part with the lowest bound first; the lowest bound of the parts that are left holds for every plan.
 *
 * @param upper what the best plan costs: a part that cannot be better is done with
 */
async function boundByParts(
  problem: Sittings,
  root: Node,
  { upper, ...solving }: Solving & { readonly upper: number },
): Promise<number> {
  let parts: Node[] = [root];
  for (let looked = 0; looked < MOST_NODES && !solving.stop.aborted; looked++) {
    const [lowest, ...others] = parts.toSorted((a, b) => a.shared.bound - b.shared.bound);
    if (lowest === undefined || lowest.shared.bound >= upper * (1 - NEAR_ENOUGH)) break;
    const sides = byCount(lowest) ?? byDay(lowest);
    if (sides === null) break;
    const found: Node[] = [];
    for (const open of sides) {
      const isClosed = open.days.length < lowest.open.days.length;
      const thought = isClosed ? restricted(open, lowest.thought.all) : lowest.thought;
      const shared = await shareOut(problem, open, thought, { ...solving, rounds: SIDE_ROUNDS });
      // Where nothing came of it, what held for all of them holds for it.
      const bound = Math.max(lowest.shared.bound, shared?.bound ?? -Infinity);
      found.push({ open, thought, shared: { ...(shared ?? lowest.shared), bound } });
    }
    parts = [...others, ...found];
  }
  return Math.min(...parts.map(({ shared }) => shared.bound));
}

export type SittingsBounding = Solving & {
  /** Plans to begin with. */
  readonly start: readonly SittingPlan[];
};
export type BoundedSittings = { readonly bound: number | null; readonly plans: readonly SittingPlan[] };

const ROUNDS = 60;

/**
 * A lower bound of every plan, and plans near it, by columns that are whole sittings. The linear master's cost less what
 * the days would still save is a bound at every round (Lagrange); a plan comes from settling the surest sitting again and
 * again. (The best choice of all sittings thought of, as a program of whole columns, takes seconds for a hundredth.) Dantzig and Wolfe 1960; the bound as in Lübbecke and
 * Desrosiers 2005, Oper. Res. 53:1007–1023.
 */
export async function boundSittings(
  problem: Sittings,
  { start, ...solving }: SittingsBounding,
): Promise<BoundedSittings> {
  checkSittings(problem);
  const days = openDays(problem);
  const items = new Set(problem.items.flatMap((item, at) => (item.set === null ? [at] : [])));
  const open = { items, days };
  const thought = new Thought();
  for (const plan of start) for (const one of columnsOf(days, plan)) thought.add(one);
  const shared = await shareOut(problem, open, thought, { ...solving, rounds: ROUNDS });
  if (shared === null) return { bound: null, plans: [] };
  const dived = await dive(problem, open, thought, { ...solving, shared });
  const known = Math.min(...[...start, planOf(problem, dived)].map((plan) => totalCost(costOfSittings(problem, plan))));
  const bound = await boundByParts(
    problem,
    { open, thought, shared },
    { ...solving, upper: known - costOfSet(problem) },
  );
  return { bound: costOfSet(problem) + bound, plans: [planOf(problem, dived)] };
}
