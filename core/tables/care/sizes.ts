import type { StepSaid } from '#core/book/page.ts';
import type { StepId } from '#core/book/care-ids.ts';

/** How long the steps of a bath take on a trumpet, minutes (estimates). */
const BATH_MINUTES = {
  'piston-brass/bath-fill': 3,
  'piston-brass/bath-slides-out': 3,
  'piston-brass/bath-soak': 0.5,
  'piston-brass/bath-brush': 6,
  'piston-brass/bath-rinse': 3,
  'piston-brass/bath-dry': 4,
} as const satisfies Partial<Record<StepId, number>>;

/**
 * A bath of an instrument so many times a trumpet: more water to carry, longer tubes to brush, more metal to dry. A
 * baritone or euphonium counts as one and a half, a tuba or sousaphone as two and a half trumpets (estimates).
 */
export const bathOf = (trumpets: number): Readonly<Partial<Record<StepId, StepSaid>>> =>
  Object.fromEntries(
    Object.entries(BATH_MINUTES).map(([id, minutes]) => [id, { minutes: Math.round(minutes * trumpets * 10) / 10 }]),
  );

/** How long a drop at every joint of the keys takes, and wiping it off again: it goes by how many keys there are (estimates). */
export const keysTake = (minutes: number): Readonly<Partial<Record<StepId, StepSaid>>> => ({
  'keyed/oil-rods': { minutes },
  'keyed/wipe-key-oil': { minutes: Math.round(minutes * 2.5) / 10 },
});
