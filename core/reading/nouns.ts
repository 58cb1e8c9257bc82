import type { Noun } from '#core/book/lexicon.ts';
import { thingsOfDeed } from '#core/book/deed-things.ts';
import { SPOTS, type Thing } from '#core/book/deed.ts';
import { isOneOf } from '#core/kernel/typed.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { hasAny } from '#core/reading/has.ts';
import type { Found, Read } from '#core/reading/misread.ts';
import { denies, sentencesOf, tellsWhat, wordsIn, type Sentence } from '#core/reading/sentences.ts';

const said = new WeakMap<Noun, RegExp>();
const patternOf = (noun: Noun): RegExp => {
  const known = said.get(noun) ?? wordsIn(noun.says);
  said.set(noun, known);
  return known;
};

type Named = { readonly noun: Noun; readonly word: string };

/** What was found in the sentences of a book: thousands of runs say the same few thousand. */
const foundIn = new WeakMap<readonly Noun[], Map<string, readonly Named[]>>();

/** The nouns a sentence says; of two that overlap the longer one. */
export function nounsIn(nouns: readonly Noun[], text: string): readonly Named[] {
  const sentences = foundIn.get(nouns) ?? new Map<string, readonly Named[]>();
  foundIn.set(nouns, sentences);
  const known = sentences.get(text) ?? findNouns(nouns, text);
  sentences.set(text, known);
  return known;
}

function findNouns(nouns: readonly Noun[], text: string): Named[] {
  const found = nouns.flatMap((noun) => {
    const match = patternOf(noun).exec(text);
    return match === null ? [] : [{ noun, word: match[0], from: match.index, to: match.index + match[0].length }];
  });
  return found.filter(
    (one) =>
      !found.some(
        (other) => other !== one && other.from <= one.from && other.to >= one.to && other.word.length > one.word.length,
      ),
  );
}

/** A part, place or material that this instrument, as built, has not got. */
export function nounsNotHere({ step, practice, lexicon }: Read): Found[] {
  return sentencesOf(step).flatMap(({ text }) =>
    nounsIn(lexicon.nouns, text).flatMap(({ noun, word }): Found[] => {
      if (hasAny(practice, noun.has) || (noun.material === true && denies(text))) return [];
      return [{ rule: 'noun-not-here', text, why: `there is no ${word} on it` }];
    }),
  );
}

/** What something is done for, or how long. */
const UNTIL = /\b(?:until|so that|because)\b.*$/i;

/** What a step touches, with what sits on it. */
function touched(step: Step, practice: Practice): Set<Thing> {
  const things = new Set<Thing>([step.part, ...step.does.flatMap((deed) => thingsOfDeed(practice, deed))]);
  if (step.holds) things.add(step.holds.part);
  if (step.thread) for (const end of [step.thread.in, step.thread.out]) things.add(end);
  const next = practice.anatomy.couplings.filter(({ of }) => of.some((one) => things.has(one)));
  for (const { of } of next) for (const one of of) things.add(one);
  return things;
}

const isAnywhere = (things: ReadonlySet<Thing>): boolean =>
  [...things].some((thing) => thing === 'everything' || thing === 'case' || isOneOf(SPOTS, thing));

/** Verbs whose first noun may be what stays where it is. */
const STAYS: readonly string[] = ['part', 'line', 'leave', 'run'];
/** What goes on and comes off together. */
const GUARDS: readonly Thing[] = ['ligature', 'cap'];

/** What a heading names first is what is moved, not what it is moved from or put onto. */
export function wrongObjects({ step, practice, lexicon }: Read): Found[] {
  const [verb] = step.heading.toLowerCase().split(' ');
  if (step.does.length === 0 || STAYS.includes(verb ?? '')) return [];
  const moved = new Set<Thing>(
    step.does.flatMap((deed) => {
      if (deed.do === 'cover' || deed.do === 'uncover') return [deed.thing, ...GUARDS];
      return thingsOfDeed(practice, 'with' in deed ? { do: 'take', thing: deed.thing } : deed);
    }),
  );
  if (isAnywhere(moved)) return [];
  const [first] = nounsIn(lexicon.nouns, step.heading)
    .filter(({ noun }) => noun.names !== undefined)
    .toSorted((one, other) => step.heading.indexOf(one.word) - step.heading.indexOf(other.word));
  if (first?.noun.names?.some((name) => moved.has(name) || isOneOf(SPOTS, name)) ?? true) return [];
  return [{ rule: 'wrong-part', text: step.heading, why: `${first?.word} is not what is moved` }];
}

/** Another part than the one that is touched. Places and warnings may name any; what is to be done names its own. */
export function wrongParts({ step, practice, lexicon }: Read): Found[] {
  const things = touched(step, practice);
  if (step.does.length === 0 || isAnywhere(things) || step.does.some((deed) => deed.do === 'stow')) return [];
  const isOff = ({ place, text }: Sentence): Found[] =>
    nounsIn(lexicon.nouns, text.replace(UNTIL, '')).flatMap(({ noun, word }): Found[] =>
      noun.names === undefined ||
      noun.names.some((name) => things.has(name) || isOneOf(SPOTS, name)) ||
      (place === 'how' && denies(text))
        ? []
        : [{ rule: 'wrong-part', text, why: `${word} is not what is touched here` }],
    );
  return sentencesOf(step).filter(tellsWhat).flatMap(isOff);
}
