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
  /** At `threeFrom[a * n + b] + c` for a < b < c: no room for the sets there are not, for untouched memory is slow. */
  readonly three: Float64Array;
  readonly threeFrom: Int32Array;
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
 * A cause moves only the answers to signs it shows: they lie cause after cause, those of the cause from `from[cause]` up to
 * `from[cause + 1]`, each with what the cause misses of it.
 */
type Weighers = {
  readonly base: Float64Array;
  readonly slope: Float64Array;
  readonly from: Int32Array;
  readonly answer: Int32Array;
  readonly misses: Float64Array;
};

function weighersOf({ priors, signs, wrong }: NoisyNet, answers: readonly Observed[]): Weighers {
  const rows = answers.map(({ sign }) => {
    const row = signs[sign];
    if (!row) throw new RangeError(`the net has no sign ${sign}`);
    return row;
  });
  const kept = (index: number): number => (1 - (rows[index]?.leak ?? 0)) * (1 - 2 * wrong);
  const from = new Int32Array(priors.length + 1);
  const moved: number[] = [];
  const misses: number[] = [];
  priors.forEach((_, cause) => {
    rows.forEach((row, index) => {
      const miss = row.misses[cause] ?? 1;
      if (miss === 1) return;
      moved.push(index);
      misses.push(miss);
    });
    from[cause + 1] = moved.length;
  });
  return {
    base: Float64Array.from(answers, ({ yes }) => (yes ? 1 - wrong : wrong)),
    slope: Float64Array.from(answers, ({ yes }, index) => (yes ? -kept(index) : kept(index))),
    from,
    answer: Int32Array.from(moved),
    misses: Float64Array.from(misses),
  };
}

/** A set of causes as it is built up: what it misses of each answer, and what the answers make of it. */
class Grown {
  readonly missed: Float64Array;
  /** One over what each answer makes of the set; 0 where it makes it impossible. */
  readonly inverse: Float64Array;
  weight = 1;

  constructor(private readonly weighers: Weighers) {
    this.missed = new Float64Array(weighers.base.length).fill(1);
    this.inverse = new Float64Array(weighers.base.length);
    for (let answer = 0; answer < this.missed.length; answer++) {
      const factor = this.factor(answer);
      this.weight *= factor;
      this.inverse[answer] = factor === 0 ? 0 : 1 / factor;
    }
  }

  private factor(answer: number): number {
    return (this.weighers.base[answer] ?? 0) + (this.weighers.slope[answer] ?? 0) * (this.missed[answer] ?? 0);
  }

  /** What the answers make of the set with one more cause: only those it moves are weighed anew. */
  weightWith(cause: number): number {
    const { base, slope, from, answer, misses } = this.weighers;
    let weight = this.weight;
    for (let index = from[cause] ?? 0, end = from[cause + 1] ?? 0; index < end; index++) {
      const its = answer[index] ?? 0;
      const inverse = this.inverse[its] ?? 0;
      // What was impossible may be possible with it: then there is nothing to divide by.
      if (inverse === 0) return this.weighedWhole(cause);
      weight *= ((base[its] ?? 0) + (slope[its] ?? 0) * (this.missed[its] ?? 0) * (misses[index] ?? 0)) * inverse;
    }
    return weight;
  }

  private weighedWhole(cause: number): number {
    const whole = new Grown(this.weighers);
    whole.missed.set(this.missed);
    whole.miss(cause);
    let weight = 1;
    for (let answer = 0; answer < this.missed.length; answer++) weight *= whole.factor(answer);
    return weight;
  }

  private miss(cause: number): void {
    const { from, answer, misses } = this.weighers;
    for (let index = from[cause] ?? 0, end = from[cause + 1] ?? 0; index < end; index++) {
      const its = answer[index] ?? 0;
      const missed = (this.missed[its] = (this.missed[its] ?? 0) * (misses[index] ?? 0));
      const factor = (this.weighers.base[its] ?? 0) + (this.weighers.slope[its] ?? 0) * missed;
      this.inverse[its] = factor === 0 ? 0 : 1 / factor;
    }
  }

  /** Becomes another set with one more cause. */
  become(other: Grown, cause: number): number {
    this.missed.set(other.missed);
    this.inverse.set(other.inverse);
    this.miss(cause);
    return (this.weight = other.weightWith(cause));
  }
}

const plus = (to: Float64Array, index: number, weight: number): void => void (to[index] = (to[index] ?? 0) + weight);

/** The sets of up to three causes with their weights, and what those of each cause and of each two come to. */
class Sets {
  readonly one: Float64Array;
  readonly two: Float64Array;
  readonly three: Float64Array;
  readonly threeFrom: Int32Array;
  readonly chance: Float64Array;
  readonly together: Float64Array;
  private noted = 0;

  constructor(private readonly n: number) {
    this.one = new Float64Array(n);
    this.two = new Float64Array(n * n);
    this.three = new Float64Array((n * (n - 1) * (n - 2)) / 6);
    this.threeFrom = new Int32Array(n * n);
    this.chance = new Float64Array(n);
    this.together = new Float64Array(n * n);
  }

  /** A set of one, with the weight of every set that begins with it. */
  noteOne(a: number, weight: number, withMore: number): void {
    this.one[a] = weight;
    plus(this.chance, a, withMore);
  }

  /** The first of the sets of three that begin with these two comes next. */
  begin(a: number, b: number): void {
    this.threeFrom[a * this.n + b] = this.noted - b - 1;
  }

  noteTwo(a: number, b: number, [weight, withThird]: readonly [number, number]): void {
    this.two[a * this.n + b] = weight;
    plus(this.together, a * this.n + b, withThird);
    plus(this.chance, b, withThird);
  }

  noteThree(a: number, b: number, c: number, weight: number): void {
    this.three[this.noted++] = weight;
    plus(this.together, a * this.n + c, weight);
    plus(this.together, b * this.n + c, weight);
    plus(this.chance, c, weight);
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
  const odds = priors.map((prior) => prior / (1 - prior));
  const nothing = priors.reduce((all, prior) => all * (1 - prior), 1);
  const weighers = weighersOf(net, answers);
  const sets = new Sets(n);
  const [ofNone, ofFirst, ofBoth] = [new Grown(weighers), new Grown(weighers), new Grown(weighers)];

  const none = least === 0 ? ofNone.weight : 0;
  let total = none;
  odds.forEach((oddsA, a) => {
    const alone = oddsA * ofFirst.become(ofNone, a);
    let withA = alone;
    for (let b = a + 1; most > 1 && b < n; b++) {
      const oddsAB = oddsA * (odds[b] ?? 0);
      const both = oddsAB * ofBoth.become(ofFirst, b);
      let withBoth = both;
      sets.begin(a, b);
      for (let c = b + 1; most > 2 && c < n; c++) {
        const weight = oddsAB * (odds[c] ?? 0) * ofBoth.weightWith(c);
        sets.noteThree(a, b, c, weight);
        withBoth += weight;
      }
      sets.noteTwo(a, b, [both, withBoth]);
      withA += withBoth;
    }
    sets.noteOne(a, alone, withA);
    total += withA;
  });
  if (!(total > 0)) throw new RangeError('no set of causes leads to these answers');
  const { chance, together, one, two, three, threeFrom } = sets;
  for (const weights of [chance, together, one, two, three]) normalise(weights, total);
  return { chance, together, none: none / total, one, two, three, threeFrom, ofAnswers: total * nothing };
}

/** Makes chances of weights. */
function normalise(weights: Float64Array, total: number): void {
  const scale = 1 / total;
  for (let index = 0; index < weights.length; index++) weights[index] = (weights[index] ?? 0) * scale;
}
