import type { Lexicon } from '#core/book/lexicon.ts';
import type { Practice } from '#core/book/practice.ts';
import type { StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';

/** What may be wrong with words beside hands. */
export const READING_RULES = [
  'noun-not-here',
  'wrong-part',
  'deed-not-said',
  'order-not-done',
  'not-so',
  'wrong-way',
  'wrong-count',
  'wrong-turn',
  'out-of-turn',
  'wrong-supply',
  'contradicts',
  'stray-line',
] as const;
export type ReadingRule = (typeof READING_RULES)[number];

/** A line that does not say what hands do, or speaks of what is not there. */
export type Misread = {
  readonly rule: ReadingRule;
  readonly instrument: string;
  readonly step: StepId;
  /** The sentence, and what about it is wrong. */
  readonly text: string;
  readonly why: string;
};
export type Found = Pick<Misread, 'rule' | 'text' | 'why'>;

/** A step as one instrument has it, to be read. */
export type Read = { readonly step: Step; readonly practice: Practice; readonly lexicon: Lexicon };

/** A misreading in words, for the proof. */
export const misreadWords = ({ step, text, why, rule }: Misread): string => `${step} says “${text}”: ${why} (${rule})`;
