import { mayBeOn, mayFollow, stepCost, type SittingThing, type Sittings } from '#core/sittings/sittings.ts';

const sum = ({ early, late, moved, left }: ReturnType<typeof stepCost>): number => early + late + moved + left;

/** The steps that end on one day: the places they come from, the cheapest first, and what each costs. */
type Into = { readonly from: Int32Array; readonly cost: Float64Array };

/**
 * The ways of one thing through the weeks: each a path from the start over days to the end, each step of which costs
 * what being early, late or elsewhere than shown costs. Worked out once, asked for the cheapest again and again.
 */
export class ThingPaths {
  /** The days it may be done on, in order. A day has its place there, one up: 0 is the start, the last place is the end. */
  readonly days: readonly number[];
  readonly #places = new Map<number, number>();
  /** By place. */
  readonly #into: readonly Into[];
  readonly #best: Float64Array;
  readonly #from: Int32Array;

  constructor(problem: Sittings, thing: SittingThing) {
    this.days = problem.time.flatMap((_, day) => (mayBeOn(problem, thing, day) ? [day] : []));
    this.days.forEach((day, at) => this.#places.set(day, at + 1));
    const end = this.days.length + 1;
    const into = Array.from({ length: end + 1 }, (): [from: number, cost: number][] => []);
    for (let from = 0; from < end; from++) {
      const before = this.days[from - 1] ?? null;
      for (let to = from + 1; to <= end; to++) {
        const day = this.days[to - 1] ?? null;
        if (before === null || day === null || mayFollow(thing, before, day))
          into[to]?.push([from, sum(stepCost(problem, thing, before, day))]);
        // A day that is set is not passed over.
        if (day !== null && thing.set.includes(day)) break;
      }
    }
    this.#into = into.map((steps) => {
      const ordered = steps.toSorted(([, a], [, b]) => a - b);
      return {
        from: Int32Array.from(ordered, ([from]) => from),
        cost: Float64Array.from(ordered, ([, cost]) => cost),
      };
    });
    this.#best = new Float64Array(end + 1);
    this.#from = new Int32Array(end + 1);
  }

  /**
   * The cheapest way, given what being on each day costs besides: nothing or more, Infinity where it may not.
   * O(days²) at worst; most steps are never looked at, for they cost more by themselves than a whole way known.
   *
   * @param besides by the number of the day
   * @returns its days, and what it costs with what was given; Infinity where there is no way
   */
  cheapest(besides: Float64Array): { readonly days: number[]; readonly cost: number } {
    const { days } = this;
    const end = days.length + 1;
    this.#best[0] = 0;
    days.forEach((day, at) => {
      const there = besides[day] ?? 0;
      this.#best[at + 1] = there === Infinity ? Infinity : this.#cheapestTo(at + 1) + there;
    });
    const cost = this.#cheapestTo(end);
    this.#best[end] = cost;
    const way: number[] = [];
    for (let at = this.#from[end] ?? 0; cost < Infinity && at > 0; at = this.#from[at] ?? 0)
      way.push(days[at - 1] ?? 0);
    return { days: way.reverse(), cost };
  }

  /** What the cheapest way to a place costs, and where it comes from. */
  #cheapestTo(to: number): number {
    const steps = this.#into[to];
    if (steps === undefined) return Infinity;
    const { from, cost } = steps;
    let least = Infinity;
    for (let at = 0; at < cost.length; at++) {
      const step = cost[at] ?? Infinity;
      // The steps that follow cost more by themselves.
      if (step >= least) break;
      const whole = step + (this.#best[from[at] ?? 0] ?? Infinity);
      if (whole >= least) continue;
      least = whole;
      this.#from[to] = from[at] ?? 0;
    }
    return least;
  }

  #stepCost(from: number, to: number): number {
    const steps = this.#into[to];
    return steps?.cost[steps.from.indexOf(from)] ?? Infinity;
  }

  /** What a way costs by itself; Infinity where it may not be gone. */
  costOf(days: readonly number[]): number {
    let [cost, from] = [0, 0];
    for (const day of days) {
      const to = this.#places.get(day) ?? -1;
      cost += this.#stepCost(from, to);
      from = to;
    }
    return cost + this.#stepCost(from, this.days.length + 1);
  }
}
