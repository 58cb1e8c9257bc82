import { ThingPaths } from '#core/sittings/thing-paths.ts';
import { SITTING_PENALTY, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';

/** Days that are no sitting this time, and days on which one costs nothing more. */
export type Change = { readonly closed: readonly number[]; readonly wanted: readonly number[] };

/** How the days are filled at a moment, to go back to. */
export type Filling = {
  readonly plan: readonly (readonly number[])[];
  readonly costs: Float64Array;
  readonly room: Float64Array;
  readonly counts: Int32Array;
};

/** Less is no gain. */
const LEAST_GAIN = 1e-9;
/** A day in a change. */
const [CLOSED, WANTED] = [1, 2] as const;

/** Days as they are filled by and by: what each thing does, how full each day is, and how many things it holds. */
export class FilledDays {
  /** Days on which anything may be done. */
  readonly useful: readonly number[];
  readonly #problem: Sittings;
  readonly #paths: readonly ThingPaths[];
  readonly #set: readonly ReadonlySet<number>[];
  #plan: (readonly number[])[];
  readonly #costs: Float64Array;
  readonly #room: Float64Array;
  readonly #counts: Int32Array;
  readonly #besides: Float64Array;
  readonly #change: Uint8Array;

  constructor(problem: Sittings) {
    const { time, things } = problem;
    this.#problem = problem;
    this.#paths = things.map((thing) => new ThingPaths(problem, thing));
    this.#set = things.map(({ set }) => new Set(set));
    this.useful = [...new Set(this.#paths.flatMap(({ days }) => days))].sort((a, b) => a - b);
    this.#plan = things.map(() => []);
    this.#costs = new Float64Array(things.length);
    this.#room = new Float64Array(time.length);
    this.#counts = new Int32Array(time.length);
    this.#besides = new Float64Array(time.length);
    this.#change = new Uint8Array(time.length);
    this.clear();
  }

  /** Is it a sitting? */
  isOpen(day: number): boolean {
    return (this.#counts[day] ?? 0) > 0;
  }

  /** Nothing is done but what is set. */
  clear(): void {
    this.fill(this.#problem.things.map(({ set }) => set));
  }

  /** The days are those of a plan. */
  fill(plan: SittingPlan): void {
    this.#room.set(this.#problem.time);
    this.#counts.fill(0);
    this.#plan = this.#problem.things.map((_, at) => plan[at] ?? []);
    this.#plan.forEach((days, at) => {
      this.#costs[at] = this.#paths[at]?.costOf(days) ?? 0;
      this.#take(at, days, 1);
    });
  }

  /** How it is now, to go back to. */
  filling(): Filling {
    return {
      plan: [...this.#plan],
      costs: this.#costs.slice(),
      room: this.#room.slice(),
      counts: this.#counts.slice(),
    };
  }

  /** Goes back to how it was. */
  back({ plan, costs, room, counts }: Filling): void {
    this.#plan = [...plan];
    this.#costs.set(costs);
    this.#room.set(room);
    this.#counts.set(counts);
  }

  #take(at: number, days: readonly number[], sign: 1 | -1): void {
    const { minutes = 0 } = this.#problem.things[at] ?? {};
    for (const day of days) {
      this.#room[day] = (this.#room[day] ?? 0) - sign * minutes;
      this.#counts[day] = (this.#counts[day] ?? 0) + sign;
    }
  }

  plan(): SittingPlan {
    return [...this.#plan];
  }

  /** What the plan costs. */
  cost(): number {
    let cost = 0;
    for (const count of this.#counts) if (count > 0) cost += SITTING_PENALTY.sitting;
    for (const one of this.#costs) cost += one;
    return cost;
  }

  /** Each thing, one after the other, takes its cheapest way through what the others leave it, until none finds a better. */
  settle(): void {
    this.#change.fill(0);
    for (let isBetter = true; isBetter;) {
      isBetter = false;
      for (let at = 0; at < this.#plan.length; at++) isBetter = this.#reroute(at) || isBetter;
    }
  }

  /** Each thing takes its cheapest way once, with some days closed and others wanted. */
  try({ closed, wanted }: Change): void {
    this.#change.fill(0);
    for (const day of closed) this.#change[day] = CLOSED;
    for (const day of wanted) this.#change[day] = WANTED;
    this.#plan.forEach((days, at) => {
      // What is on no day that is closed, and is offered no new one, has the way it had.
      if (wanted.length > 0 || days.some((day) => this.#change[day] === CLOSED)) this.#reroute(at);
    });
  }

  /** What being on each day costs a thing besides: full or closed, never; alone, a sitting; with others, nothing. */
  #weigh(paths: ThingPaths, set: ReadonlySet<number>, minutes: number): void {
    for (const day of paths.days) {
      const isFull = (this.#room[day] ?? 0) < minutes || this.#change[day] === CLOSED;
      const isSitting = (this.#counts[day] ?? 0) > 0 || this.#change[day] === WANTED;
      this.#besides[day] = isFull && !set.has(day) ? Infinity : isSitting ? 0 : SITTING_PENALTY.sitting;
    }
  }

  /** Gives one thing its cheapest way through what the others leave; is it better than the one it had? */
  #reroute(at: number): boolean {
    const [thing, paths, set, before] = [this.#problem.things[at], this.#paths[at], this.#set[at], this.#plan[at]];
    if (thing === undefined || paths === undefined || set === undefined || before === undefined) return false;
    this.#take(at, before, -1);
    this.#weigh(paths, set, thing.minutes);
    let was = this.#costs[at] ?? 0;
    for (const day of before) was += this.#besides[day] ?? 0;
    const found = paths.cheapest(this.#besides);
    const isBetter = found.cost < was - LEAST_GAIN;
    if (isBetter) {
      this.#plan[at] = found.days;
      this.#costs[at] = paths.costOf(found.days);
    }
    this.#take(at, isBetter ? found.days : before, 1);
    return isBetter;
  }
}
