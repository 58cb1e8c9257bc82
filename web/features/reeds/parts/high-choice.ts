import { HIGH_SHARES, type HighShare } from '#core/reeds/reed.ts';

const HIGH_WORDS: Readonly<Record<HighShare, string>> = { none: 'Not high', some: 'Some of it', much: 'Much of it' };

/** How much of a play lay high, as choices. */
export const HIGH = HIGH_SHARES.map((value) => ({ value, words: HIGH_WORDS[value] }));
