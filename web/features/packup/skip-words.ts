import type { SkipReason } from '#core/packup/run-event.ts';

/** Why a step is left out, as its button says it. */
export const SKIP_WORDS: Readonly<Record<SkipReason, string>> = {
  'no-time': 'No time now',
  'not-needed': 'Looked: not needed',
  'done-already': 'Done already',
  'no-supplies': 'Something is missing',
  'my-own-way': 'I do it my own way',
  'not-today': 'Not today',
};
