import { FilledDays, type Change } from '#core/sittings/filled-days.ts';
import { checkSittings, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';

/** A sitting moves to a day near it. */
const NEAR_DAYS = 4;
/** Days that all later sittings move by together. */
const SHIFTS = [1, -1, 2, -2] as const;
/** Rhythms that are tried first, days from sitting to sitting. */
const [SHORTEST, LONGEST] = [3, 10];
/** Less is no gain. */
const LEAST_GAIN = 1e-6;
/** A change that costs so much more at first is not looked at further, penalty minutes. */
const HOPELESS = 20;

export type FoundSittings = { readonly plan: SittingPlan; readonly cost: number };

/**
 * A search for good plans of one question. It goes on from whatever it is given: sittings are given up, added, exchanged
 * and moved on together as long as that makes it better, each thing taking its cheapest way through the days there are.
 * It keeps the best it has seen; the same questions in the same order have the same answer.
 */
export class SittingsSearch {
  readonly #days: FilledDays;
  #best: FoundSittings;

  /** @throws RangeError for a question of which the numbers are none */
  constructor(problem: Sittings) {
    checkSittings(problem);
    this.#days = new FilledDays(problem);
    this.#days.settle();
    this.#best = { plan: this.#days.plan(), cost: this.#days.cost() };
  }

  get best(): FoundSittings {
    return this.#best;
  }

  /** Begins from a plan. */
  fromPlan(plan: SittingPlan): void {
    this.#days.fill(plan);
    this.#improve();
  }

  /** Begins with these days as the only sittings. */
  fromDays(wanted: readonly number[]): void {
    this.#only(wanted);
    this.#improve();
  }

  /** Begins from the best few of all even rhythms. */
  fromRhythms(count: number): void {
    const found: { readonly days: readonly number[]; readonly cost: number }[] = [];
    for (let rhythm = SHORTEST; rhythm <= LONGEST; rhythm++)
      for (let first = 0; first < rhythm; first++) {
        const days = this.#days.useful.filter((day) => day % rhythm === first);
        this.#only(days);
        found.push({ days, cost: this.#days.cost() });
      }
    for (const { days } of found.toSorted((a, b) => a.cost - b.cost).slice(0, count)) this.fromDays(days);
  }

  #only(wanted: readonly number[]): void {
    this.#days.clear();
    this.#days.try({ closed: this.#days.useful.filter((day) => !wanted.includes(day)), wanted });
  }

  /** One sitting given up or added; one moved to a day near; all from one on moved together. */
  *#changes(): Generator<Change> {
    const days = this.#days;
    for (const day of days.useful)
      yield days.isOpen(day) ? { closed: [day], wanted: [] } : { closed: [], wanted: [day] };
    for (const day of days.useful)
      for (let near = day - NEAR_DAYS; near <= day + NEAR_DAYS; near++)
        if (days.isOpen(day) && !days.isOpen(near)) yield { closed: [day], wanted: [near] };
    for (const day of days.useful)
      for (const shift of SHIFTS) {
        // What comes every week is counted from the time before: all that follow move on with it.
        const later = days.useful.filter((one) => one >= day && days.isOpen(one));
        const wanted = later.map((one) => one + shift);
        if (days.isOpen(day)) yield { closed: later.filter((one) => !wanted.includes(one)), wanted };
      }
  }

  /** Changes it until no change makes it better. */
  #improve(): void {
    const days = this.#days;
    days.settle();
    let [cost, filling] = [days.cost(), days.filling()];
    for (let isBetter = true; isBetter;) {
      isBetter = false;
      for (const change of this.#changes()) {
        days.try(change);
        if (days.cost() < cost + HOPELESS) days.settle();
        const now = days.cost();
        if (now < cost - LEAST_GAIN) [cost, filling, isBetter] = [now, days.filling(), true];
        else days.back(filling);
      }
    }
    if (cost < this.#best.cost - LEAST_GAIN) this.#best = { plan: days.plan(), cost };
  }
}
