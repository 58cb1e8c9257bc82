import { checkNumber } from '#core/kernel/check-number.ts';
import { chanceOfYes, type Belief, type NoisyNet, type NoisySign } from '#core/faults/noisy-or.ts';

/** −p log₂ p; nothing for p = 0. */
const surprise = (chance: number): number => (chance > 0 ? -chance * Math.log2(chance) : 0);

/** How unsure one is, in bits: Σ −p log₂ p (Shannon 1948). */
export const entropyBits = (chances: readonly number[]): number =>
  chances.reduce((bits, chance) => bits + surprise(chance), 0);

/** The entropy of a yes or no that is yes with this chance, in bits. */
export const entropyOfYes = (chance: number): number => surprise(chance) + surprise(1 - chance);

/**
 * How much an answer is expected to tell, in bits: H(before) − Σ P(answer) H(after) = H(answer) − Σ P(case) H(answer | case).
 *
 * @param cases the chance of each case; together 1
 * @param yes the chance of the answer yes in each case
 * @throws RangeError where the lists differ in length or hold what is no chance
 */
export function expectedGain(cases: readonly number[], yes: readonly number[]): number {
  if (cases.length !== yes.length) throw new RangeError(`${cases.length} cases, ${yes.length} chances of yes`);
  let ofYes = 0;
  let known = 0;
  cases.forEach((chance, index) => {
    const here = yes[index] ?? 0;
    checkNumber('the chance of a case', chance, { most: 1 });
    checkNumber('the chance of yes', here, { most: 1 });
    ofYes += chance * here;
    known += chance * entropyOfYes(here);
  });
  return Math.max(0, entropyOfYes(ofYes) - known);
}

/** The causes that show one of these signs at all. */
function showing(signs: readonly NoisySign[], count: number): number[] {
  const causes: number[] = [];
  for (let cause = 0; cause < count; cause++) if (signs.some(({ misses }) => at(misses, cause) < 1)) causes.push(cause);
  return causes;
}

const at = (list: readonly number[], index: number): number => list[index] ?? 0;
const add = (to: Float64Array, index: number, chance: number): void => void (to[index] = (to[index] ?? 0) + chance);

/** No cause. */
const NONE = -1;

/** The cases some signs tell apart: their chances, and for each sign what the causes of each case miss together. */
class Cases {
  readonly chances: number[] = [];
  readonly missed: readonly number[][];
  /** What each parent misses, and last what no parent does: nothing. */
  private readonly misses: readonly Float64Array[];
  private readonly nobody: number;

  /** @param parents the causes that show the signs */
  constructor(
    signs: readonly NoisySign[],
    readonly parents: readonly number[],
  ) {
    this.missed = signs.map(() => []);
    this.nobody = parents.length;
    this.misses = signs.map(({ misses }) => Float64Array.from([...parents, NONE], (cause) => misses[cause] ?? 1));
  }

  /** One more case: the chance of a set of up to three of the causes, by their place among the parents. */
  note(chance: number, i = this.nobody, j = this.nobody, k = this.nobody): void {
    this.chances.push(chance);
    for (let sign = 0; sign < this.misses.length; sign++) {
      const miss = this.misses[sign];
      this.missed[sign]?.push((miss?.[i] ?? 1) * (miss?.[j] ?? 1) * (miss?.[k] ?? 1));
    }
  }
}

/** Sets that hold three of them; takes each out of what its twos and its single ones come to. */
function takeThrees(
  found: Cases,
  { chance: { length: n }, three, threeFrom }: Belief,
  [two, one]: readonly [Float64Array, Float64Array],
): void {
  const { parents } = found;
  const m = parents.length;
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) {
      const from = threeFrom[at(parents, i) * n + at(parents, j)] ?? 0;
      for (let k = j + 1; k < m; k++) {
        const chance = three[from + at(parents, k)] ?? 0;
        found.note(chance, i, j, k);
        add(two, i * m + j, -chance);
        add(two, i * m + k, -chance);
        add(two, j * m + k, -chance);
        add(one, i, -chance);
        add(one, j, -chance);
        add(one, k, -chance);
      }
    }
}

/**
 * The cases some signs tell apart: which of the causes that show them are there. Chances that a set holds two or three of
 * them are known from the belief; what holds exactly one, or none, is what is left.
 */
function casesOf(belief: Belief, signs: readonly NoisySign[]): Cases {
  const n = belief.chance.length;
  const parents = showing(signs, n);
  const found = new Cases(signs, parents);
  const m = parents.length;
  const one = Float64Array.from(parents, (cause) => belief.chance[cause] ?? 0);
  const two = new Float64Array(m * m);
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) two[i * m + j] = belief.together[at(parents, i) * n + at(parents, j)] ?? 0;
  takeThrees(found, belief, [two, one]);
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) {
      const chance = two[i * m + j] ?? 0;
      found.note(chance, i, j);
      add(one, i, -chance);
      add(one, j, -chance);
    }
  for (let i = 0; i < m; i++) found.note(one[i] ?? 0, i);
  found.note(1 - found.chances.reduce((sum, chance) => sum + chance, 0));
  return found;
}

// What is left after taking away may be a hair under nothing.
const weightOf = (chance: number): number => Math.max(0, chance);

function rowsOf(net: NoisyNet, signs: readonly number[]): NoisySign[] {
  return signs.map((sign) => {
    const row = net.signs[sign];
    if (!row) throw new RangeError(`the net has no sign ${sign}`);
    return row;
  });
}

/** The chance that a sign is said to be there, by what is missed of it. */
const saidThere = ({ leak }: NoisySign, missed: number, wrong: number): number =>
  chanceOfYes(1 - (1 - leak) * missed, wrong);

/**
 * How much the answer to one sign is expected to tell of which causes are there, in bits: the same as over every set of
 * causes, worked out from the few cases the sign tells apart.
 *
 * @throws RangeError where the net has no such sign
 */
export function gainOfSign(net: NoisyNet, belief: Belief, sign: number): number {
  const rows = rowsOf(net, [sign]);
  const { chances, missed } = casesOf(belief, rows);
  let ofYes = 0;
  let known = 0;
  for (const row of rows)
    chances.forEach((chance, index) => {
      const yes = saidThere(row, missed[0]?.[index] ?? 1, net.wrong);
      ofYes += weightOf(chance) * yes;
      known += weightOf(chance) * entropyOfYes(yes);
    });
  return Math.max(0, entropyOfYes(ofYes) - known);
}

/**
 * The chance that each of several things is the one that is named, and last that none is: of what is there one is named,
 * each as likely as another.
 *
 * @param there the chance of each, independent of the others
 */
export function namedOf(there: readonly number[]): number[] {
  const named = there.map((own, index) => {
    // The chance that so many of the others are there too.
    let others = [1];
    there.forEach((other, place) => {
      if (place === index) return;
      others = [...others, 0].map((stay, count) => stay * (1 - other) + (others[count - 1] ?? 0) * other);
    });
    return own * others.reduce((sum, chance, count) => sum + chance / (count + 1), 0);
  });
  return [...named, there.reduce((none, one) => none * (1 - one), 1)];
}

/**
 * How much it is expected to tell, in bits, which of several signs is named, or that none is.
 *
 * @throws RangeError where the net has no such sign
 */
export function gainOfNamed(net: NoisyNet, belief: Belief, signs: readonly number[]): number {
  const rows = rowsOf(net, signs);
  const { chances, missed } = casesOf(belief, rows);
  const all = [...signs, 0].map(() => 0);
  let known = 0;
  chances.forEach((chance, index) => {
    const answers = namedOf(rows.map((row, sign) => saidThere(row, missed[sign]?.[index] ?? 1, net.wrong)));
    answers.forEach((one, answer) => (all[answer] = (all[answer] ?? 0) + weightOf(chance) * one));
    known += weightOf(chance) * entropyBits(answers);
  });
  return Math.max(0, entropyBits(all) - known);
}
