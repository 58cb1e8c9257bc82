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

/** The causes that show a sign at all. */
function showing({ misses }: NoisySign): number[] {
  const causes: number[] = [];
  for (const [cause, miss] of misses.entries()) if (miss < 1) causes.push(cause);
  return causes;
}

const at = (list: ArrayLike<number>, index: number): number => list[index] ?? 0;
const add = (to: Float64Array, index: number, chance: number): void => void (to[index] = at(to, index) + chance);

/** Cases with what the causes that are there in each miss together. */
type Cases = { readonly cases: number[]; readonly missed: number[] };

/** The causes that show a sign, and what each misses of it. */
type Shown = { readonly parents: readonly number[]; readonly miss: readonly number[] };

/** Sets that hold three of them; takes each out of what its twos and its single ones come to. */
function takeThrees(
  { parents, miss }: Shown,
  { chance: { length: n }, three }: Belief,
  two: Float64Array,
  one: Float64Array,
) {
  const m = parents.length;
  const found: Cases = { cases: [], missed: [] };
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) {
      const ab = (at(parents, i) * n + at(parents, j)) * n;
      const both = at(miss, i) * at(miss, j);
      for (let k = j + 1; k < m; k++) {
        const chance = at(three, ab + at(parents, k));
        found.cases.push(chance);
        found.missed.push(both * at(miss, k));
        add(two, i * m + j, -chance);
        add(two, i * m + k, -chance);
        add(two, j * m + k, -chance);
        add(one, i, -chance);
        add(one, j, -chance);
        add(one, k, -chance);
      }
    }
  return found;
}

/**
 * The cases a sign tells apart: which of the causes that show it are there. Chances that a set holds two or three of them
 * are known from the belief; what holds exactly one, or none, is what is left.
 */
function casesOf(belief: Belief, sign: NoisySign): Cases {
  const parents = showing(sign);
  const shown: Shown = { parents, miss: parents.map((cause) => at(sign.misses, cause)) };
  const { miss } = shown;
  const [m, n] = [parents.length, belief.chance.length];
  const one = Float64Array.from(parents, (cause) => at(belief.chance, cause));
  const two = new Float64Array(m * m);
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) two[i * m + j] = at(belief.together, at(parents, i) * n + at(parents, j));
  const { cases, missed } = takeThrees(shown, belief, two, one);
  for (let i = 0; i < m; i++)
    for (let j = i + 1; j < m; j++) {
      const chance = at(two, i * m + j);
      cases.push(chance);
      missed.push(at(miss, i) * at(miss, j));
      add(one, i, -chance);
      add(one, j, -chance);
    }
  for (let i = 0; i < m; i++) {
    cases.push(at(one, i));
    missed.push(at(miss, i));
  }
  cases.push(1 - cases.reduce((sum, chance) => sum + chance, 0));
  missed.push(1);
  return { cases, missed };
}

/**
 * How much the answer to one sign is expected to tell of which causes are there, in bits: the same as over every set of
 * causes, worked out from the few cases the sign tells apart.
 *
 * @throws RangeError where the net has no such sign
 */
export function gainOfSign(
  net: NoisyNet,
  belief: Belief,
  sign: number,
): { readonly bits: number; readonly yes: number } {
  const row = net.signs[sign];
  if (!row) throw new RangeError(`the net has no sign ${sign}`);
  const { cases, missed } = casesOf(belief, row);
  let ofYes = 0;
  let known = 0;
  cases.forEach((chance, index) => {
    // What is left after taking away may be a hair under nothing.
    const weight = Math.max(0, chance);
    const yes = chanceOfYes(1 - (1 - row.leak) * (missed[index] ?? 1), net.wrong);
    ofYes += weight * yes;
    known += weight * entropyOfYes(yes);
  });
  return { bits: Math.max(0, entropyOfYes(ofYes) - known), yes: ofYes };
}
