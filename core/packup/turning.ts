import type { Marked } from '#core/explain/explained.ts';

/** To lay one instrument by and take up the next. */
export const TURN_SECONDS: Marked = { value: 15, mark: 'estimate' };
