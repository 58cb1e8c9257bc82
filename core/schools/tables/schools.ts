import type { SchoolId } from '#core/schools/school-ids.ts';
import type { School } from '#core/schools/school.ts';
import { AFTER_PLAYING } from '#core/schools/tables/after-playing.ts';
import { CLEANING } from '#core/schools/tables/cleaning.ts';
import { JOINING } from '#core/schools/tables/joining.ts';
import { OIL_GREASE_BENCH } from '#core/schools/tables/oil-grease-bench.ts';

/** Every question on which practice differs and whose choice changes something the program does. */
export const SCHOOLS = {
  ...JOINING,
  ...AFTER_PLAYING,
  ...CLEANING,
  ...OIL_GREASE_BENCH,
} as const satisfies Record<SchoolId, School>;
