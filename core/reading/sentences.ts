import type { Step } from '#core/book/step.ts';

/** Where in a step a sentence stands. */
export type Place = 'heading' | 'how' | 'why' | 'harm' | 'caution' | 'supply' | 'look' | 'only-if';
export type Sentence = { readonly place: Place; readonly text: string };

const split = (text: string): string[] => text.split(/(?<=[.?!])\s+/);

/** Everything a step says, sentence by sentence, as it is printed. */
export function sentencesOf(step: Step): Sentence[] {
  const { heading, how, why, harm, cautions = [], supplies = [], look, onlyIf } = step;
  const of = (place: Place, text: string | undefined): Sentence[] =>
    text === undefined ? [] : split(text).map((one) => ({ place, text: one }));
  return [
    { place: 'heading', text: heading },
    ...of('how', how),
    ...of('why', why),
    ...of('harm', harm),
    ...cautions.flatMap((one) => of('caution', one)),
    ...supplies.map((text): Sentence => ({ place: 'supply', text })),
    ...of('look', look?.question),
    ...(look?.answers ?? []).flatMap(({ words }) => of('look', words)),
    ...of('only-if', onlyIf),
  ];
}

/** Heading and how: what is to be done. */
export const tellsWhat = ({ place }: Sentence): boolean => place === 'heading' || place === 'how';

/** Said only for a case that may not be this one. */
const CONDITIONAL = /^(?:if|where|without|only where|at the tap|for a|once|when|after food)\b/i;
export const isConditional = ({ text }: Sentence): boolean => CONDITIONAL.test(text);

/** What is not to be done, or not there. */
const DENIAL = /\b(?:never|not|no|nothing|neither|nor|without|none|only)\b/i;
export const denies = (text: string): boolean => DENIAL.test(text);

/** An order that is turned into its opposite by its second word: "Put no grease on it". */
const FORBIDS = /^\w+ (?:no|not|nothing|neither|none)\b/i;
export const forbids = (text: string): boolean => FORBIDS.test(text);

/** Words an order begins with: "and" parts two orders, and joins two things. */
const ORDERING =
  'blot|do|blow|brush|cap|clean|close|cream|draw|dry|empty|feel|grease|hang|hold|hook|join|keep|latch|lay|let|lift|lock|look|lower|lubricate|oil|open|part|pour|press|prop|pull|push|put|raise|release|rinse|rub|screw|set|shake|slacken|slide|soak|spray|stand|stow|swab|take|tighten|tip|try|turn|unhook|unlock|unscrew|wash|wax|wipe|work|wrap';

/** Clauses, each of which may begin with an order: "Take it out, wipe it and lay it down." has three. */
export const clausesOf = (text: string): string[] =>
  text
    .split(new RegExp(`[;:,]\\s+(?:and |then |but )?|\\s+(?:and|then)\\s+(?:then |also )?(?=(?:${ORDERING})\\b)`, 'i'))
    .map((one) => one.replace(/^(?:then|now|gently|first|also|meanwhile|and)\s+/i, '').trim())
    .filter((one) => one !== '');

export const wordsIn = (says: string): RegExp => new RegExp(`(?<![\\w-])(?:${says})(?![\\w-])`, 'i');
