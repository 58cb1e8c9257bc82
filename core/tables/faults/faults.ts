import type { FaultPageUse, Faults } from '#core/book/fault.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { any, swabbed } from '#core/tables/faults/any.ts';
import { bits, brass, handSlide, piston, rotary, thirdSlide } from '#core/tables/faults/brass.ts';
import { bassoon, doubleReed, oboe } from '#core/tables/faults/double-reeds.ts';
import { FAULT_FIGURES } from '#core/tables/faults/figures.ts';
import { bamboo, flute, fluteFoot, pipes } from '#core/tables/faults/flutes-and-pipes.ts';
import { keyed, linked } from '#core/tables/faults/keyed.ts';
import { recorder } from '#core/tables/faults/recorder.ts';
import { SEEN_TOGETHER, WHAT_ELSE } from '#core/tables/faults/seen-together.ts';
import { clarinet, saxophone, singleReed } from '#core/tables/faults/single-reeds.ts';
import { corked, wooden } from '#core/tables/faults/wood-and-joints.ts';
import type { FaultPage } from '#core/book/fault.ts';

const pages = (...made: readonly (FaultPage | FaultPageUse)[]): readonly FaultPageUse[] =>
  made.map((one) => ('page' in one ? one : { page: one }));

const inWood: FaultPageUse = { page: wooden, when: { body: ['wood'] } };
const onCork: FaultPageUse = { page: corked, when: { tenons: ['cork', 'thread'] } };
const woodwind = [any, swabbed, keyed];
const sax = pages(...woodwind, singleReed, saxophone);
const pistons = pages(any, brass, piston);
const trumpets = pages(any, brass, piston, thirdSlide);

/** Which pages of what can go wrong each kind has, common pages first. */
const PAGES_OF = {
  clarinet: pages(...woodwind, linked, inWood, onCork, singleReed, clarinet),
  'bass-clarinet': pages(...woodwind, linked, inWood, onCork, singleReed, clarinet),
  'soprano-saxophone': sax,
  'alto-saxophone': sax,
  'tenor-saxophone': sax,
  'baritone-saxophone': sax,
  oboe: pages(...woodwind, linked, inWood, onCork, doubleReed, oboe),
  'cor-anglais': pages(...woodwind, linked, inWood, onCork, doubleReed, oboe),
  bassoon: pages(...woodwind, inWood, onCork, doubleReed, bassoon),
  flute: pages(...woodwind, flute, fluteFoot),
  piccolo: pages(...woodwind, inWood, onCork, flute),
  'bamboo-flute': pages(any, swabbed, bamboo),
  recorder: pages(any, swabbed, inWood, onCork, recorder),
  'highland-pipes': pages(any, pipes),
  trumpet: trumpets,
  cornet: trumpets,
  flugelhorn: trumpets,
  horn: pages(any, brass, rotary),
  trombone: pages(any, brass, handSlide, { page: rotary, when: { rotor: ['one'] } }),
  baritone: pistons,
  euphonium: pistons,
  tuba: pages(
    any,
    brass,
    { page: piston, when: { valves: ['piston'] } },
    { page: rotary, when: { valves: ['rotary'] } },
  ),
  sousaphone: pages(any, brass, bits, piston),
} as const satisfies Record<KindId, readonly FaultPageUse[]>;

export const FAULTS: Faults = {
  figures: FAULT_FIGURES,
  pagesOf: PAGES_OF,
  together: SEEN_TOGETHER,
  whatElse: WHAT_ELSE,
};
