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
const showing = ({ misses }: NoisySign): number[] => misses.flatMap((miss, cause) => (miss < 1 ? [cause] : []));

/**
 * The cases a sign tells apart: which of the causes that show it are there. Chances that a set holds two or three of them
 * are known from the belief; what holds exactly one, or none, is what is left.
 */
function casesOf(belief: Belief, sign: NoisySign): { readonly cases: number[]; readonly missed: number[] } {
  const n = belief.chance.length;
  const parents = showing(sign);
  const missOf = (cause: number): number => sign.misses[cause] ?? 1;
  const exactlyTwo = new Map<number, number>();
  const cases: number[] = [];
  const missed: number[] = [];
  const alone = new Map(parents.map((cause) => [cause, belief.chance[cause] ?? 0]));
  const take = (cause: number, chance: number) => alone.set(cause, (alone.get(cause) ?? 0) - chance);

  parents.forEach((a, i) => {
    for (let j = i + 1; j < parents.length; j++) {
      const b = parents[j] ?? 0;
      exactlyTwo.set(a * n + b, (exactlyTwo.get(a * n + b) ?? 0) + (belief.together[a * n + b] ?? 0));
      for (let k = j + 1; k < parents.length; k++) {
        const c = parents[k] ?? 0;
        const chance = belief.three[(a * n + b) * n + c] ?? 0;
        cases.push(chance);
        missed.push(missOf(a) * missOf(b) * missOf(c));
        for (const pair of [a * n + b, a * n + c, b * n + c])
          exactlyTwo.set(pair, (exactlyTwo.get(pair) ?? 0) - chance);
        for (const cause of [a, b, c]) take(cause, chance);
      }
    }
  });
  for (const [pair, chance] of exactlyTwo) {
    const [a, b] = [Math.floor(pair / n), pair % n];
    cases.push(chance);
    missed.push(missOf(a) * missOf(b));
    take(a, chance);
    take(b, chance);
  }
  for (const [cause, chance] of alone) {
    cases.push(chance);
    missed.push(missOf(cause));
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
