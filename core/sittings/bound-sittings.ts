import { fullestDay, type BoundedDay } from '#core/sittings/best-day.ts';
import { ThingPaths } from '#core/sittings/thing-paths.ts';
import { checkSittings, SITTING_PENALTY, type Sittings } from '#core/sittings/sittings.ts';

/** How far a step goes at first, as a share of what the bound is away from the best plan, and what it shrinks by. */
const [FIRST_STEP, SHRINKS, LEAST_STEP] = [1, 0.6, 1e-4];
/** Rounds without a better bound after which steps shrink. */
const PATIENCE = 15;
/** So much of a direction is the last one's: steps that go to and fro cancel out. */
const INERTIA = 0.3;
/** So much of what is likely was likely a round before. */
const MEMORY = 0.92;

/**
 * What no plan can cost less than. What a thing does and what a day holds are taken apart: for prices on being there, each
 * thing takes its cheapest way and each day its best set of things, and whatever the prices, both together cost no more
 * than the best plan (Lagrange). Prices go up where a thing is and the day has not got it, and down the other way round
 * (subgradient with Polyak's step; Held, Wolfe and Crowder 1974, Math. Programming 6:62–88; Fisher 1981, Management
 * Science 27:1–18).
 */
export class SittingsBound {
  /** The best bound yet. */
  bound = -Infinity;
  readonly #paths: readonly ThingPaths[];
  readonly #days: readonly BoundedDay[];
  /** Where a thing may be on a day. */
  readonly #slots: readonly number[];
  readonly #set: number;
  /** By place of the thing, then by day: the price of being there, who is there by ways and by days, and the last direction. */
  readonly #price: Float64Array;
  readonly #best: Float64Array;
  readonly #goes: Uint8Array;
  readonly #held: Uint8Array;
  readonly #direction: Float64Array;
  /** By day, how likely it is a sitting. */
  readonly #likely: Float64Array;
  readonly #width: number;
  #scale = FIRST_STEP;
  #since = 0;

  constructor(problem: Sittings) {
    checkSittings(problem);
    const { time, things } = problem;
    this.#width = time.length;
    this.#paths = things.map((thing) => new ThingPaths(problem, thing));
    const setOn = time.map((_, day) => things.filter(({ set }) => set.includes(day)));
    this.#set = setOn.filter(({ length }) => length > 0).length * SITTING_PENALTY.sitting;
    this.#days = time.map((minutes, day) => ({
      room: Math.max(0, minutes - (setOn[day] ?? []).reduce((sum, thing) => sum + thing.minutes, 0)),
      opens: setOn[day]?.length === 0 ? SITTING_PENALTY.sitting : 0,
      who: this.#paths.flatMap(({ days }, at) => {
        const thing = things[at];
        return thing === undefined || !days.includes(day) || thing.set.includes(day)
          ? []
          : [{ minutes: thing.minutes, slot: at * time.length + day }];
      }),
    }));
    this.#slots = this.#days.flatMap(({ who }) => who.map(({ slot }) => slot));
    const size = things.length * time.length;
    this.#price = new Float64Array(size);
    // What a sitting costs is shared among all who may be there: a bound from the first round on.
    for (const { opens, who } of this.#days) for (const { slot } of who) this.#price[slot] = opens / who.length;
    this.#best = Float64Array.from(this.#price);
    this.#goes = new Uint8Array(size);
    this.#held = new Uint8Array(size);
    this.#direction = new Float64Array(size);
    this.#likely = new Float64Array(time.length);
  }

  /** Is it as good as it gets: proved, or its steps too small? */
  isDone(upper: number): boolean {
    return this.bound >= upper - 1e-6 || this.#scale < LEAST_STEP;
  }

  /** Days that are a sitting more often than so in the ways and days of the last rounds. */
  likelyDays(least: number): number[] {
    return [...this.#likely.keys()].filter((day) => (this.#likely[day] ?? 0) >= least);
  }

  /** Some rounds more; `upper` is what the best plan known costs. */
  improve(rounds: number, upper: number): void {
    for (let round = 0; round < rounds && !this.isDone(upper); round++) {
      const value = this.#value();
      this.#noted(value, upper);
      this.#step(value, upper);
    }
  }

  /** What ways and days cost together at these prices: no plan costs less. */
  #value(): number {
    let value = this.#set;
    this.#goes.fill(0);
    this.#held.fill(0);
    this.#paths.forEach((paths, at) => {
      const first = at * this.#width;
      const { days, cost } = paths.cheapest(this.#price.subarray(first, first + this.#width));
      value += cost;
      for (const day of days) this.#goes[first + day] = 1;
    });
    this.#days.forEach((day, index) => {
      const pays = fullestDay(day, this.#price, this.#held);
      const isSitting = pays > day.opens;
      if (isSitting) value += day.opens - pays;
      else for (const { slot } of day.who) this.#held[slot] = 0;
      this.#likely[index] = MEMORY * (this.#likely[index] ?? 0) + (isSitting ? 1 - MEMORY : 0);
    });
    return value;
  }

  #noted(value: number, upper: number): void {
    if (value > this.bound) {
      if (value > this.bound + 1e-4 * Math.abs(upper)) this.#since = 0;
      this.bound = value;
      this.#best.set(this.#price);
    } else this.#since++;
    if (this.#since <= PATIENCE) return;
    this.#scale *= SHRINKS;
    this.#since = 0;
    this.#price.set(this.#best);
  }

  /** Prices go where ways and days differ, as far as Polyak has it; none is below zero. */
  #step(value: number, upper: number): void {
    const norm = this.#slots.reduce((sum, slot) => sum + this.#turned(slot) ** 2, 0);
    if (norm === 0) return;
    const step = (this.#scale * (1.02 * upper - value)) / norm;
    for (const slot of this.#slots)
      this.#price[slot] = Math.max(0, (this.#price[slot] ?? 0) + step * (this.#direction[slot] ?? 0));
  }

  /** The direction of one price, turned to where ways and days differ now; a price of nothing goes no lower. */
  #turned(slot: number): number {
    const apart = (this.#goes[slot] ?? 0) - (this.#held[slot] ?? 0);
    const way = (1 - INERTIA) * apart + INERTIA * (this.#direction[slot] ?? 0);
    const turned = way < 0 && (this.#price[slot] ?? 0) <= 0 ? 0 : way;
    this.#direction[slot] = turned;
    return turned;
  }
}
