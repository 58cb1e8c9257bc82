/**
 * How much a figure weighs, as the practice book marks it:
 * `practice` several practitioners agree · `one-voice` rests on one practitioner ·
 * `general` general knowledge of the trade · `published` physics or statistics with a source ·
 * `estimate` this program's guess · `yours` from the player's own record.
 */
export const MARKS = ['practice', 'one-voice', 'general', 'published', 'estimate', 'yours'] as const;
export type Mark = (typeof MARKS)[number];

/** A number with the weight it carries. The unit is in the name of the field that holds it. */
export type Marked = { readonly value: number; readonly mark: Mark };

/** A computed value together with the steps that led to it, first the rule, then what moved it. */
export type Explained<Value, Step extends { readonly rule: string }> = {
  readonly value: Value;
  readonly because: readonly Step[];
};

/** One line of a "Why" as it is shown: the words come from a feature's `*-words.ts`, never from a component. */
export type WhyLine = { readonly rule: string; readonly text: string; readonly mark: Mark };

export const practice = (value: number): Marked => ({ value, mark: 'practice' });
export const oneVoice = (value: number): Marked => ({ value, mark: 'one-voice' });
export const general = (value: number): Marked => ({ value, mark: 'general' });
export const estimate = (value: number): Marked => ({ value, mark: 'estimate' });
