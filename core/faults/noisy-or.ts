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
 * The misses lie cause after cause, those of one cause side by side.
 */
type Weighers = { readonly base: Float64Array; readonly slope: Float64Array; readonly misses: Float64Array };

function weighersOf({ priors, signs, wrong }: NoisyNet, answers: readonly Observed[]): Weighers {
  const count = answers.length;
  const base = new Float64Array(count);
  const slope = new Float64Array(count);
  const misses = new Float64Array(count * priors.length);
  answers.forEach(({ sign, yes }, index) => {
    const row = signs[sign];
    if (!row) throw new RangeError(`the net has no sign ${sign}`);
    const kept = (1 - row.leak) * (1 - 2 * wrong);
    base[index] = yes ? 1 - wrong : wrong;
    slope[index] = yes ? -kept : kept;
    priors.forEach((_, cause) => (misses[cause * count + index] = row.misses[cause] ?? 1));
  });
  return { base, slope, misses };
}

/** The weight of a set by its answers, where `from` is missed already and one more cause comes; keeps what it misses. */
function weigh({ base, slope, misses }: Weighers, from: Float64Array, cause: number, keep: Float64Array): number {
  const count = base.length;
  const at = cause * count;
  let weight = 1;
  for (let answer = 0; answer < count; answer++) {
    const missed = (from[answer] ?? 1) * (misses[at + answer] ?? 1);
    keep[answer] = missed;
    weight *= (base[answer] ?? 0) + (slope[answer] ?? 0) * missed;
  }
  return weight;
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
  const ofNone = new Float64Array(answers.length).fill(1);
  const [ofFirst, ofBoth, ofAll] = [ofNone.slice(), ofNone.slice(), ofNone.slice()];

  const { base, slope } = weighers;
  const none = least === 0 ? base.reduce((all, start, answer) => all * (start + (slope[answer] ?? 0)), 1) : 0;
  let total = none;
  for (let a = 0; a < n; a++) {
    const oddsA = odds[a] ?? 0;
    total += one[a] = oddsA * weigh(weighers, ofNone, a, ofFirst);
    for (let b = a + 1; most > 1 && b < n; b++) {
      const oddsAB = oddsA * (odds[b] ?? 0);
      total += two[a * n + b] = oddsAB * weigh(weighers, ofFirst, b, ofBoth);
      for (let c = b + 1; most > 2 && c < n; c++)
        total += three[(a * n + b) * n + c] = oddsAB * (odds[c] ?? 0) * weigh(weighers, ofBoth, c, ofAll);
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
  const chance = new Float64Array(n);
  const together = new Float64Array(n * n);
  const add = (to: Float64Array, at: number, weight: number): void => {
    to[at] = (to[at] ?? 0) + weight;
  };
  for (let a = 0; a < n; a++) {
    add(chance, a, (one[a] = (one[a] ?? 0) / total));
    for (let b = a + 1; b < n; b++) {
      const ab = a * n + b;
      const ofTwo = (two[ab] = (two[ab] ?? 0) / total);
      add(together, ab, ofTwo);
      add(chance, a, ofTwo);
      add(chance, b, ofTwo);
      for (let c = b + 1; c < n; c++) {
        const ofThree = (three[ab * n + c] = (three[ab * n + c] ?? 0) / total);
        add(together, ab, ofThree);
        add(together, a * n + c, ofThree);
        add(together, b * n + c, ofThree);
        add(chance, a, ofThree);
        add(chance, b, ofThree);
        add(chance, c, ofThree);
      }
    }
  }
  return { chance, together, none: none / total, one, two, three, ofAnswers: total * nothing };
}
