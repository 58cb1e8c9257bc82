import type { MeasurePage, MeasurePageUse, Measures } from '#core/book/measure.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { AFTER_MISHAPS } from '#core/tables/bench/after-mishaps.ts';
import { any, brass, handSlide, piston, rotary, thirdSlide } from '#core/tables/bench/brass-measures.ts';
import {
  bamboo,
  bassoonReed,
  corAnglaisReed,
  corked,
  flute,
  heldShut,
  keyed,
  oboeReed,
  pipes,
  saxophone,
  wingHeldShut,
} from '#core/tables/bench/woodwind-measures.ts';

const pages = (...made: readonly (MeasurePage | MeasurePageUse)[]): readonly MeasurePageUse[] =>
  made.map((one) => ('page' in one ? one : { page: one }));

const onCork: MeasurePageUse = { page: corked, when: { tenons: ['cork', 'thread'] } };
/** Its neck carries the one cork a saxophone has. */
const neckCork: MeasurePageUse = { page: corked, places: { 'corked/fit': ['mouthpiece'] } };
const keysOfFlute: MeasurePageUse = { page: keyed, without: ['keyed/pads-leaking'] };
const sax = pages(any, keyed, saxophone, neckCork);

const FOUR_VALVES = ['first-valve', 'second-valve', 'third-valve', 'fourth-valve'] as const;
const FOUR_SLIDES = ['main-slide', 'first-slide', 'second-slide', 'third-slide', 'fourth-slide'] as const;
const fourPistons: MeasurePageUse = {
  page: piston,
  places: { 'piston/return': FOUR_VALVES, 'piston/side-play': FOUR_VALVES },
};
const fourRotors: MeasurePageUse = {
  page: rotary,
  places: { 'rotary/play': FOUR_VALVES, 'rotary/string': FOUR_VALVES },
};
const oneRotor: MeasurePageUse = {
  page: rotary,
  when: { rotor: ['one'] },
  places: { 'rotary/play': ['first-valve'], 'rotary/string': ['first-valve'] },
};
const fourSlides: MeasurePageUse = { page: brass, places: { 'brass/slide-pull': FOUR_SLIDES } };
/** First and third are moved while playing, and are read for themselves. */
const restingSlides: MeasurePageUse = {
  page: brass,
  places: { 'brass/slide-pull': ['main-slide', 'second-slide'] },
};
const tuningSlide: MeasurePageUse = { page: brass, places: { 'brass/slide-pull': ['main-slide'] } };
const trumpets = pages(any, restingSlides, thirdSlide, piston);

/** Which pages of what can be measured each kind has, common pages first. How many valves and slides is what is usual. */
const PAGES_OF = {
  clarinet: pages(any, keyed, heldShut, onCork),
  'bass-clarinet': pages(any, keyed, heldShut, onCork),
  'soprano-saxophone': pages(any, keyed, { page: saxophone, when: { pieces: ['two-piece'] } }, neckCork),
  'alto-saxophone': sax,
  'tenor-saxophone': sax,
  'baritone-saxophone': sax,
  oboe: pages(any, keyed, heldShut, onCork, oboeReed),
  'cor-anglais': pages(any, keyed, heldShut, onCork, corAnglaisReed),
  bassoon: pages(any, keyed, wingHeldShut, onCork, bassoonReed),
  flute: pages(any, keysOfFlute, flute),
  piccolo: pages(any, keysOfFlute, flute, onCork),
  'bamboo-flute': pages(any, bamboo),
  recorder: pages(any, onCork),
  'highland-pipes': pages(any, pipes),
  trumpet: trumpets,
  cornet: trumpets,
  flugelhorn: trumpets,
  horn: pages(any, fourSlides, fourRotors),
  trombone: pages(any, tuningSlide, handSlide, oneRotor),
  baritone: pages(any, brass, piston),
  euphonium: pages(any, fourSlides, fourPistons),
  tuba: pages(
    any,
    fourSlides,
    { ...fourPistons, when: { valves: ['piston'] } },
    { ...fourRotors, when: { valves: ['rotary'] } },
  ),
  sousaphone: pages(any, brass, piston),
} as const satisfies Record<KindId, readonly MeasurePageUse[]>;

export const MEASURES: Measures = {
  pagesOf: PAGES_OF,
  placeNames: {
    'first-valve': 'first valve',
    'second-valve': 'second valve',
    'third-valve': 'third valve',
    'fourth-valve': 'fourth valve',
    'main-slide': 'tuning slide',
    'first-slide': 'first slide',
    'second-slide': 'second slide',
    'third-slide': 'third slide',
    'fourth-slide': 'fourth slide',
  },
  after: AFTER_MISHAPS,
};
