import type { Verdict } from '#core/book/agent.ts';

/** A verdict in the middle of a sentence. */
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  yes: 'yes',
  care: 'with care',
  'by-method': 'practice differs',
  no: 'no',
  'not-known': 'not known',
};
