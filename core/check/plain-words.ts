import type { Lexicon } from '#core/book/lexicon.ts';
import type { Step } from '#core/book/step.ts';

const LONGEST_HEADING = 45;
const MOST_SENTENCES = 3;
const LONGEST_SENTENCE = 20;

export const sentences = (text: string): string[] => text.split(/(?<=[.?])\s+/);

/** What is wrong, and with which words. */
type Refusal = readonly [what: string, text: string];
const when = (isWrong: boolean, what: string, text: string): Refusal[] => (isWrong ? [[what, text]] : []);

/** A heading is short and begins as a teacher says it, with what hands or eyes do. */
function ofHeading(heading: string, { headings }: Lexicon): Refusal[] {
  const [first = ''] = heading.split(/[\s,]/);
  return [
    ...when(heading.length > LONGEST_HEADING, 'too long a heading', heading),
    ...when(!/^[A-Z]/.test(first) || !Object.hasOwn(headings, first.toLowerCase()), 'begins with no verb', heading),
    ...when(heading.endsWith('.'), 'a heading ends without a full stop', heading),
  ];
}

function ofHow(how: string | undefined, heading: string): Refusal[] {
  if (how === undefined || how === '') return [['nothing says how', heading]];
  const all = sentences(how);
  return [
    ...when(all.length > MOST_SENTENCES, 'too many sentences', how),
    ...all.flatMap((one) => [
      ...when(one.split(/\s+/).length > LONGEST_SENTENCE, 'too long a sentence', one),
      ...when(!/^[A-Z0-9].*[.?]$/.test(one), 'no whole sentence', one),
    ]),
  ];
}

/** Harm goes on from "If you skip this:": a clause of three words at least, which may begin with the name of a note. */
const goesOn = (harm: string): boolean =>
  !/[.;]$/.test(harm) && harm.split(/\s+/).length >= 3 && /^([a-z]|[A-G],? )/.test(harm);

/** What is wrong with the words of a step, in words; nothing where nothing is. */
export function plainWordRefusals(
  { id, heading, how, harm, cautions = [], supplies = [] }: Step,
  lexicon: Lexicon,
): string[] {
  const refusals: Refusal[] = [
    ...ofHeading(heading, lexicon),
    ...ofHow(how, heading),
    ...cautions.flatMap(sentences).flatMap((one) => when(!/^[A-Z].*\.$/.test(one), 'no whole sentence', one)),
    ...when(harm !== undefined && !goesOn(harm), 'does not go on from “If you skip this:”', harm ?? ''),
    ...supplies.flatMap((one) => when(/[.;]/.test(one), 'a supply is a thing, not prose', one)),
  ];
  return refusals.map(([what, text]) => `${id}: ${what}: “${text}”`);
}
