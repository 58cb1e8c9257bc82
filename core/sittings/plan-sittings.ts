import type { Stop } from '#core/solve/answer.ts';
import { SittingsBound } from '#core/sittings/bound-sittings.ts';
import { SittingsSearch } from '#core/sittings/search-sittings.ts';
import {
  costOfSittings,
  sittingBreaches,
  totalCost,
  type SittingPlan,
  type Sittings,
  type SittingsCost,
} from '#core/sittings/sittings.ts';

/** A plan, checked, with how far it may be from the best. */
export type PlannedSittings = {
  readonly plan: SittingPlan;
  readonly cost: SittingsCost;
  /** (cost − bound) ÷ cost: 0 is proved, null where nothing is known. */
  readonly gap: number | null;
};

/** What is asked: days that were given less time than they have are planned with it, and bounded without. */
export type SittingsAsked = { readonly problem: Sittings; readonly wholeTime?: readonly number[] };

/** Times a plan is sought in what a bound makes likely, and the rounds of the bound between two. */
const [SEARCHES, ROUNDS] = [8, 75];
/** How often a day has to be a sitting in the rounds of a bound to be likely, in turn. */
const LIKELY = [0.6, 0.35] as const;
/** Even rhythms that are gone on from. */
const RHYTHMS = 1;
/** Nearer than this the best plan is found, as far as anybody can tell. */
const PROVED = 1e-6;

/** The plan before, as far as things may still be on its days. */
const shownPlan = ({ things }: Sittings): SittingPlan =>
  things.map(({ set, shown }) => [...new Set([...set, ...shown])].sort((a, b) => a - b));

function begun(problem: Sittings): SittingsSearch {
  const search = new SittingsSearch(problem);
  search.fromRhythms(RHYTHMS);
  if (problem.things.some(({ shown }) => shown.length > 0)) search.fromPlan(shownPlan(problem));
  return search;
}

/** @throws Error where a plan breaks a rule: it is never shown */
function checked(problem: Sittings, plan: SittingPlan, bound: number | null): PlannedSittings {
  const [breach] = sittingBreaches(problem, plan);
  if (breach !== undefined) throw new Error(`a plan of sittings breaks its rules: ${breach}`);
  const cost = costOfSittings(problem, plan);
  const gap = bound === null ? null : Math.max(0, totalCost(cost) - bound) / Math.max(1, totalCost(cost));
  return { plan, cost, gap: gap !== null && gap < PROVED ? 0 : gap };
}

/** A good plan by search alone, a tenth of the time: how far it is from the best is not known. */
export const roughSittings = (problem: Sittings): PlannedSittings => checked(problem, begun(problem).best.plan, null);

/**
 * Packs what falls due into few sittings: a search begins from even rhythms and from the plan before, then goes on from
 * the days a bound makes likely, as far as a fixed number of rounds goes: the same question has the same answer. Every
 * plan is checked before it is told.
 */
export function planSittings({ problem, wholeTime }: SittingsAsked, stop: Stop = { aborted: false }): PlannedSittings {
  const search = begun(problem);
  const bound = new SittingsBound({ ...problem, time: wholeTime ?? problem.time });
  for (let turn = 0; turn < SEARCHES && !stop.aborted && !bound.isDone(search.best.cost); turn++) {
    bound.improve(ROUNDS, search.best.cost);
    search.fromDays(bound.likelyDays(LIKELY[turn % LIKELY.length] ?? 1));
  }
  return checked(problem, search.best.plan, bound.bound);
}
