import type { MethodId } from '#core/book/method-ids.ts';
import type { Method } from '#core/book/method.ts';
import { AFTER_PLAYING } from '#core/tables/methods/after-playing.ts';
import { CLEANING } from '#core/tables/methods/cleaning.ts';
import { JOINING } from '#core/tables/methods/joining.ts';
import { OIL_GREASE_BENCH } from '#core/tables/methods/oil-grease-bench.ts';

/** Every question on which practice differs and whose choice changes something the program does. */
export const METHODS = {
  ...JOINING,
  ...AFTER_PLAYING,
  ...CLEANING,
  ...OIL_GREASE_BENCH,
} as const satisfies Record<MethodId, Method>;
