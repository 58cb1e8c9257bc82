import type { CauseId, SignId } from '#core/book/fault.ts';
import type { Answer } from '#core/faults/stops.ts';

/** One thing said, in its order; a sign said again takes the place of what was said of it before. */
export type Said = {
  readonly sign: SignId;
  readonly answer: Answer;
  readonly noticed: boolean;
  /** There where everything else was asked about at once: what is so besides the sign. */
  readonly also?: readonly SignId[];
  /** Asked about with it: no to these, where the answer is yes or no; nobody can tell, where it is that. */
  readonly beside?: readonly SignId[];
};
/** A remedy that was tried, and whether it helped. */
export type Tried = { readonly cause: CauseId; readonly helped: boolean };

/** Each sign that one thing said speaks of, with what it says of it. */
const eachOf = ({ sign, answer, also = [], beside = [] }: Said): [SignId, Answer][] => [
  [sign, answer],
  ...also.map((one): [SignId, Answer] => [one, answer]),
  ...beside.map((one): [SignId, Answer] => [one, answer === 'cannot-tell' ? answer : 'no']),
];

/** What was said last of each sign, in the order it was said. */
export function answersOf(said: readonly Said[]): Map<SignId, Answer> {
  const answers = new Map<SignId, Answer>();
  for (const [sign, answer] of said.flatMap(eachOf)) {
    // Said again, it is the last word of the interview.
    answers.delete(sign);
    answers.set(sign, answer);
  }
  return answers;
}

/** One thing said, with the signs of it that nothing later speaks of. */
export type StillSaid<T extends Said = Said> = {
  readonly said: T;
  readonly answers: readonly (readonly [SignId, Answer])[];
};

/** What still stands of everything said, question by question; what was said anew of every sign is left out. */
export function stillSaid<T extends Said>(said: readonly T[]): StillSaid<T>[] {
  const later = new Set<SignId>();
  return said
    .toReversed()
    .map((one): StillSaid<T> => {
      const answers = eachOf(one).filter(([sign]) => !later.has(sign));
      for (const [sign] of answers) later.add(sign);
      return { said: one, answers };
    })
    .filter(({ answers }) => answers.length > 0)
    .toReversed();
}

/**
 * What an answer says: yes, no or nobody can tell of one sign; of several that one look shows the one that is named, or
 * none of them.
 *
 * @param asked the signs that were asked about, at least one
 * @param named of several, the one that is so; with the answer yes
 */
export function answered(asked: readonly SignId[], answer: Answer, named = asked[0]): Said {
  if (named === undefined) throw new RangeError('nothing was asked');
  const beside = asked.filter((sign) => sign !== named);
  return { sign: named, answer, noticed: false, ...(beside.length > 0 && { beside }) };
}

/**
 * What is said of everything asked about at once: each of these is so and the others are not, or nobody can tell.
 *
 * @param asked the signs that were asked about, at least one
 */
export function answeredOfAll(asked: readonly SignId[], so: readonly SignId[] | 'cannot-tell'): Said {
  const named = so === 'cannot-tell' ? [] : so;
  const [sign = asked[0], ...also] = named;
  if (sign === undefined) throw new RangeError('nothing was asked');
  const answer = so === 'cannot-tell' ? so : named.length > 0 ? 'yes' : 'no';
  return { sign, answer, noticed: false, also, beside: asked.filter((one) => one !== sign && !also.includes(one)) };
}

/** The same without the signs an instrument does not show any more; null where nothing is left of it. */
export function saidOfKnown<T extends Said>(said: T, isKnown: (sign: SignId) => boolean): T | null {
  if (isKnown(said.sign) && said.also === undefined && said.beside === undefined) return said;
  const left = eachOf(said).filter(([sign]) => isKnown(sign));
  // What was named comes first: without it, that the others are not so still stands.
  const [first] = left;
  if (first === undefined) return null;
  const [sign, answer] = first;
  const others = (is: (its: Answer) => boolean) => left.slice(1).flatMap(([one, its]) => (is(its) ? [one] : []));
  const also = others((its) => answer === 'yes' && its === 'yes');
  const beside = others((its) => answer !== 'yes' || its !== 'yes');
  return { ...said, sign, answer, ...(said.also && { also }), ...(said.beside && { beside }) };
}
