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
function showing(signs: readonly NoisySign[]): number[] {
  const causes = new Set<number>();
  for (const { misses } of signs) for (const [cause, miss] of misses.entries()) if (miss < 1) causes.add(cause);
  return [...causes].sort((a, b) => a - b);
}

const at = (list: ArrayLike<number>, index: number): number => list[index] ?? 0;
const add = (to: Float64Array, index: number, chance: number): void => void (to[index] = at(to, index) + chance);

/** The cases some signs tell apart: their chances, and for each sign what the causes of each case miss together. */
type Cases = { readonly chances: number[]; readonly missed: readonly number[][] };

/** The causes that show the signs, and for each sign what each of them misses. */
type Shown = { readonly parents: readonly number[]; readonly misses: readonly (readonly number[])[] };

/** One more case: the chance of a set of one, two or three of the causes, or of none of them. */
function note({ chances, missed }: Cases, { misses }: Shown, chance: number, ...some: readonly number[]): void {
  chances.push(chance);
  for (let sign = 0; sign < misses.length; sign++) {
    let product = 1;
    const miss = misses[sign] ?? [];
    for (let place = 0; place < some.length; place++) product *= at(miss, at(some, place));
    missed[sign]?.push(product);
  }
}

/** Sets that hold three of them; takes each out of what its twos and its single ones come to. */
function takeThrees(
  found: Cases,
  shown: Shown,
  { chance: { length: n }, three }: Belief,
  [two, one]: readonly [Float64Array, Float64Array],
): void {
  const { parents } = shown;
  const m = parents.length;
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) {
      const ab = (at(parents, i) * n + at(parents, j)) * n;
      for (let k = j + 1; k < m; k++) {
        const chance = at(three, ab + at(parents, k));
        note(found, shown, chance, i, j, k);
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
  const parents = showing(signs);
  const shown: Shown = { parents, misses: signs.map(({ misses }) => parents.map((cause) => at(misses, cause))) };
  const found: Cases = { chances: [], missed: signs.map(() => []) };
  const [m, n] = [parents.length, belief.chance.length];
  const one = Float64Array.from(parents, (cause) => at(belief.chance, cause));
  const two = new Float64Array(m * m);
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) two[i * m + j] = at(belief.together, at(parents, i) * n + at(parents, j));
  takeThrees(found, shown, belief, [two, one]);
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) {
      const chance = at(two, i * m + j);
      note(found, shown, chance, i, j);
      add(one, i, -chance);
      add(one, j, -chance);
    }
  for (let i = 0; i < m; i++) note(found, shown, at(one, i), i);
  note(found, shown, 1 - found.chances.reduce((sum, chance) => sum + chance, 0));
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
