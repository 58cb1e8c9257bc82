import type { MeasuredAfter } from '#core/book/measure.ts';

const LEAKS = ['keyed/pads-leaking', 'flute/pads-leaking'] as const;
const WOOD = ['bamboo/crack', 'bamboo/joint-gap', 'corked/fit'] as const;

/** What is looked at again at once after something happened to it (common practice). */
export const AFTER_MISHAPS: MeasuredAfter = {
  knocked: [
    'any/hinges-latches',
    'keyed/rattling-keys',
    'keyed/proud-rods',
    ...LEAKS,
    'saxophone/neck-holds',
    'saxophone/octave-pin-gap',
    'saxophone/neck-rocks',
    'bamboo/crack',
    'bamboo/joint-gap',
    'pipes/bag-holds',
    'brass/slide-pull',
    'third-slide/pull',
    'hand-slide/drag',
    'hand-slide/scrape',
    'piston/return',
    'rotary/play',
    'brass/water-key',
    'brass/dent-depth',
    'brass/dent-on-slide',
    'brass/shank',
  ],
  'hot-car': [...LEAKS, 'keyed/pads-leaking-at-rest', ...WOOD],
  'cold-night': ['bamboo/crack'],
  'in-water': [...LEAKS, 'keyed/rattling-keys', 'bamboo/joint-gap', 'piston/return'],
  rain: LEAKS,
  'sweet-drink': [],
};
