import { checkNumber } from '#core/kernel/check-number.ts';

/** A sign and what shows it: each cause that is there fails to show it with its own chance (`misses`, 1 for no link). */
export type NoisySign = {
  /** The chance that the sign is there though no cause shows it. */
  readonly leak: number;
  /** For each cause, the chance that it does not show the sign. */
  readonly misses: readonly number[];
};

/** Causes that are there or not, independent of one another, and the signs they show. */
export type NoisyNet = {
  /** The chance of each cause before anything is known. */
  readonly priors: readonly number[];
  readonly signs: readonly NoisySign[];
  /** The share of answers that are wrong, either way. */
  readonly wrong: number;
  /** Sets of causes are weighed from this many (1: something is wrong, or nobody would ask) … */
  readonly least: 0 | 1;
  /** … up to three. */
  readonly most: 1 | 2 | 3;
};

/** An answer to one sign, by its place in the net. */
export type Observed = { readonly sign: number; readonly yes: boolean };

/** What is believed after answers: how likely each cause is, each two and each three together, and nothing else. */
export type Belief = {
  /** The chance of each cause, any other beside it. */
  readonly chance: Float64Array;
  /** The chance of each two, any other beside them, at `a * n + b` for a < b. */
  readonly together: Float64Array;
  /** The chance that exactly nothing, one, two or three causes are there, set by set. */
  readonly none: number;
  readonly one: Float64Array;
  /** At `a * n + b` for a < b. */
  readonly two: Float64Array;
  /** At `(a * n + b) * n + c` for a < b < c. */
  readonly three: Float64Array;
  /** The chance of the answers themselves, of all sets that were weighed. */
  readonly ofAnswers: number;
};

/**
 * The chance that a sign is there: 1 − (1 − leak) Π misses of the causes that are there (noisy-OR: Pearl 1988; figures
 * of Russell & Norvig, fig. 14.10).
 */
export function chanceOfSign({ leak, misses }: NoisySign, causes: readonly number[]): number {
  let missed = 1 - leak;
  for (const cause of causes) missed *= misses[cause] ?? 1;
  return 1 - missed;
}

/** The chance of the answer yes where the sign is there with this chance and some answers are wrong. */
export const chanceOfYes = (isThere: number, wrong: number): number => wrong + (1 - 2 * wrong) * isThere;

/** @throws RangeError naming the first figure of a net that is no chance, or a list that is not as long as the causes */
export function checkNet({ priors, signs, wrong }: NoisyNet): void {
  for (const prior of priors) checkNumber('a prior', prior, { most: 1 });
  if (priors.some((prior) => prior === 1)) throw new RangeError('a cause that is certain is no question');
  checkNumber('the share of wrong answers', wrong, { most: 0.5 });
  for (const { leak, misses } of signs) {
    checkNumber('a leak', leak, { most: 1 });
    if (misses.length !== priors.length) throw new RangeError('a sign does not name every cause');
    for (const one of misses) checkNumber('the chance of a miss', one, { most: 1 });
  }
}

/**
 * What the answers make of a set: each is a straight line over what its causes miss together, `base + slope × Π misses`.
 * A cause moves only the answers to signs it shows: `moves` names them, `misses` lie cause after cause.
 */
type Weighers = {
  readonly base: Float64Array;
  readonly slope: Float64Array;
  readonly misses: Float64Array;
  readonly moves: readonly (readonly number[])[];
};

function weighersOf({ priors, signs, wrong }: NoisyNet, answers: readonly Observed[]): Weighers {
  const count = answers.length;
  const base = new Float64Array(count);
  const slope = new Float64Array(count);
  const misses = new Float64Array(count * priors.length);
  const moves: number[][] = priors.map(() => []);
  answers.forEach(({ sign, yes }, index) => {
    const row = signs[sign];
    if (!row) throw new RangeError(`the net has no sign ${sign}`);
    const kept = (1 - row.leak) * (1 - 2 * wrong);
    base[index] = yes ? 1 - wrong : wrong;
    slope[index] = yes ? -kept : kept;
    priors.forEach((_, cause) => {
      const miss = row.misses[cause] ?? 1;
      misses[cause * count + index] = miss;
      if (miss !== 1) moves[cause]?.push(index);
    });
  });
  return { base, slope, misses, moves };
}

const at = (list: ArrayLike<number>, index: number): number => list[index] ?? 0;

/** A set of causes as it is built up: what it misses of each answer, and what the answers make of it. */
class Grown {
  readonly missed: Float64Array;
  weight = 1;

  constructor(private readonly weighers: Weighers) {
    this.missed = new Float64Array(weighers.base.length).fill(1);
    for (let answer = 0; answer < this.missed.length; answer++) this.weight *= this.factor(answer, 1);
  }

  private factor(answer: number, missed: number): number {
    return at(this.weighers.base, answer) + at(this.weighers.slope, answer) * missed;
  }

  /** What the answers make of the set with one more cause: only those it moves are weighed anew. */
  weightWith(cause: number): number {
    const { misses, moves, base } = this.weighers;
    let weight = this.weight;
    for (const answer of moves[cause] ?? []) {
      const missed = at(this.missed, answer);
      const before = this.factor(answer, missed);
      // What was impossible may be possible with it: then there is nothing to divide by.
      if (before === 0) return this.weighedWhole(cause);
      weight *= this.factor(answer, missed * at(misses, cause * base.length + answer)) / before;
    }
    return weight;
  }

  private weighedWhole(cause: number): number {
    const { misses, base } = this.weighers;
    let weight = 1;
    for (let answer = 0; answer < base.length; answer++)
      weight *= this.factor(answer, at(this.missed, answer) * at(misses, cause * base.length + answer));
    return weight;
  }

  /** Becomes another set with one more cause. */
  become(other: Grown, cause: number): number {
    const { misses, base } = this.weighers;
    for (let answer = 0; answer < base.length; answer++)
      this.missed[answer] = at(other.missed, answer) * at(misses, cause * base.length + answer);
    return (this.weight = other.weightWith(cause));
  }
}

/**
 * What is believed of the causes after these answers: exact over every set of `least` to `most` causes, each weighed by
 * its prior and by the chance of the answers.
 *
 * @throws RangeError where an answer names a sign the net has not, or no set of causes could have led to the answers
 */
export function beliefIn(net: NoisyNet, answers: readonly Observed[]): Belief {
  const { priors, least, most } = net;
  const n = priors.length;
  const odds = Float64Array.from(priors, (prior) => prior / (1 - prior));
  const nothing = priors.reduce((all, prior) => all * (1 - prior), 1);
  const weighers = weighersOf(net, answers);
  const one = new Float64Array(n);
  const two = new Float64Array(n * n);
  const three = new Float64Array(n * n * n);
  const [ofNone, ofFirst, ofBoth] = [new Grown(weighers), new Grown(weighers), new Grown(weighers)];

  const none = least === 0 ? ofNone.weight : 0;
  let total = none;
  for (let a = 0; a < n; a++) {
    const oddsA = at(odds, a);
    total += one[a] = oddsA * ofFirst.become(ofNone, a);
    for (let b = a + 1; most > 1 && b < n; b++) {
      const oddsAB = oddsA * at(odds, b);
      total += two[a * n + b] = oddsAB * ofBoth.become(ofFirst, b);
      for (let c = b + 1; most > 2 && c < n; c++)
        total += three[(a * n + b) * n + c] = oddsAB * at(odds, c) * ofBoth.weightWith(c);
    }
  }
  if (!(total > 0)) throw new RangeError('no set of causes leads to these answers');
  return normalised({ n, none, one, two, three, total, nothing });
}

type Weighed = {
  readonly n: number;
  readonly none: number;
  readonly one: Float64Array;
  readonly two: Float64Array;
  readonly three: Float64Array;
  readonly total: number;
  readonly nothing: number;
};

/** Makes chances of weights, and of them the chance of each cause and of each two together. */
function normalised({ n, none, one, two, three, total, nothing }: Weighed): Belief {
  const chance = one.map((weight) => weight / total);
  const together = new Float64Array(n * n);
  const add = (to: Float64Array, index: number, weight: number): void => void (to[index] = at(to, index) + weight);
  for (let a = 0; a < n; a++) {
    one[a] = at(one, a) / total;
    for (let b = a + 1; b < n; b++) {
      const ab = a * n + b;
      let both = (two[ab] = at(two, ab) / total);
      let withThird = 0;
      for (let c = b + 1; c < n; c++) {
        const ofThree = (three[ab * n + c] = at(three, ab * n + c) / total);
        withThird += ofThree;
        add(together, a * n + c, ofThree);
        add(together, b * n + c, ofThree);
        add(chance, c, ofThree);
      }
      both += withThird;
      add(together, ab, both);
      add(chance, a, both);
      add(chance, b, both);
    }
  }
  return { chance, together, none: none / total, one, two, three, ofAnswers: total * nothing };
}
