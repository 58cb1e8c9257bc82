import type { Mark } from '#core/explain/explained.ts';

/** How a reason says what it rests on. */
export const MARK_WORDS: Readonly<Record<Mark, string>> = {
  practice: 'practice',
  'one-voice': 'practice, one voice',
  general: 'practice, general',
  published: 'published',
  estimate: 'estimate',
  yours: 'from your record',
};
