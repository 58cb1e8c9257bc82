import { brokenWords } from '#core/handling/handling-words.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { misreadWords } from '#core/reading/misread.ts';
import { BOOK } from '#core/tables/book.ts';
import { casesOf } from '#core/testing/cases.ts';
import { proveRun, type LookedAgain } from '#core/testing/prove-run.ts';
import { severalInstruments, situationsOf, type Situation } from '#core/testing/situations.ts';
import { added, emptyTally, type Tally } from '#tools/prove/tally.ts';

/** What one process proves at a time: all situations of a kind, or of two and three instruments of which it is the first. */
export type Part = { readonly kind: KindId; readonly several: boolean };

/** All parts; the short ones, of several instruments, come last, so that no process is left alone with a long one. */
export const partsOf = (kinds: readonly KindId[]): Part[] => [
  ...kinds.map((kind) => ({ kind, several: false })),
  ...(kinds.length === KIND_IDS.length ? kinds.map((kind) => ({ kind, several: true })) : []),
];

function* situationsIn({ kind, several }: Part): Generator<Situation> {
  if (several) yield* severalInstruments(kind);
  else for (const [row, instrument] of casesOf(BOOK, kind).entries()) yield* situationsOf(BOOK, instrument, row);
}

function prove(situation: Situation, looked: LookedAgain): Tally {
  const { excepted, proof, broken, misread } = proveRun(BOOK, situation, looked);
  const { run, answers, skip } = situation;
  const texts = broken.map((one) => `${one.instrument.replace(/^\d+-/, '')}: ${brokenWords(one)}`);
  texts.push(...misread.map(misreadWords));
  if (proof === 'false') texts.push('an order called the shortest is not');
  const first = JSON.stringify({ ...run, answers: answers && [...answers], skip });
  return {
    plans: 1,
    excepted: Object.fromEntries(excepted.map(({ why }) => [why, 1])),
    proofs: proof === null ? {} : { [proof]: 1 },
    faults: Object.fromEntries(texts.map((text) => [text, { count: 1, first }])),
  };
}

/** Plays and reads every so-manieth situation of a part. */
export function provePart(part: Part, every: number): Tally {
  const looked: LookedAgain = new Map();
  let tally = emptyTally();
  let at = 0;
  for (const situation of situationsIn(part)) if (at++ % every === 0) tally = added(tally, prove(situation, looked));
  return tally;
}
