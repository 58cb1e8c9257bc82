import { SURFACE_IDS, type SurfaceId } from '#core/book/agent.ts';

/** What makes up the body of a woodwind: none of it goes into water. */
export const WOODWIND_BODY: readonly SurfaceId[] = [
  'bore',
  'body',
  'tenons',
  'metal-tenons',
  'neck-tenon',
  'neck-cork',
  'tube-cork',
  'lip-plate',
  'tone-holes',
  'bamboo-joint',
  'pads',
  'pad-seats',
  'keys',
  'rods',
];

/** Corks that are no tenon's: these are of cork on every instrument that has them. */
export const CORKS: readonly SurfaceId[] = ['neck-cork', 'tube-cork'];

/** What is of metal on every instrument that has it. */
export const METAL_PARTS: readonly SurfaceId[] = [
  'tube',
  'finish',
  'metal-tenons',
  'neck-tenon',
  'bocal',
  'keys',
  'rods',
  'brass-mouthpiece',
  'pistons',
  'rotors',
  'tuning-slides',
  'hand-slide',
];

export const ALL_BUT_MOUTHPIECES: readonly SurfaceId[] = SURFACE_IDS.filter(
  (id) => id !== 'mouthpiece' && id !== 'brass-mouthpiece',
);
