import type { HeldKey } from '#core/book/step.ts';

/** The keys a free hand holds or presses while something is joined, parted, pulled or drained. */

/** Pressed, they lift the upper half of the clarinet's link. */
export const RING_KEYS: HeldKey = { words: 'hold the ring keys down', part: 'upper-joint', at: 'bell-end' };

/** The bass clarinet has covered keys where the clarinet has rings. */
export const COVERED_KEYS: HeldKey = { words: 'hold the covered keys down', part: 'upper-joint', at: 'bell-end' };

/** Pressed, it lets air in behind the slide. */
export const OWN_VALVE: HeldKey = { words: 'press the slide’s own valve', part: 'valve-slides', at: 'mouth-end' };

export const WATER_KEY_OF_THE_LOOP: HeldKey = { words: 'hold the water key open', part: 'body', at: 'mouth-end' };
