import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { Mark } from '#core/explain/explained.ts';

/** What a surface is made of, as far as an agent cares. */
export type Material =
  | 'wood'
  | 'plastic'
  | 'hard-rubber'
  | 'metal'
  | 'bamboo'
  | 'glass'
  | 'cork'
  | 'thread'
  | 'skin'
  | 'leather'
  | 'synthetic'
  | 'lacquer'
  | 'silver'
  | 'bare-brass'
  | 'nickel-silver'
  | 'plated'
  | 'stainless'
  | 'cane'
  | 'felt'
  | 'hide';

/** Places on an instrument that an agent may touch. */
export const SURFACE_IDS = [
  'bore',
  'tube',
  'bocal',
  'body',
  'finish',
  'tenons',
  'metal-tenons',
  'neck-tenon',
  'neck-cork',
  'tube-cork',
  'hemp-joints',
  'pads',
  'pad-seats',
  'tone-holes',
  'keys',
  'rods',
  'mouthpiece',
  'brass-mouthpiece',
  'reed',
  'double-reed',
  'pistons',
  'valve-felts',
  'valve-ports',
  'rotors',
  'tuning-slides',
  'hand-slide',
  'lip-plate',
  'blowing-edge',
  'bamboo-joint',
  'bag',
  'blowpipe',
] as const;
export type SurfaceId = (typeof SURFACE_IDS)[number];

export const VERDICTS = ['yes', 'care', 'by-method', 'no', 'not-known'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Instruments a line may be confined to, and what they are called together. */
export type Among = { readonly words: string; readonly kinds: readonly KindId[] };

/** One line of the book about an agent: the first that fits a surface is its verdict. */
export type VerdictRow = {
  readonly on: readonly SurfaceId[];
  /** Only on these instruments. */
  readonly among?: Among;
  /** Only on instruments built so: a seat is as delicate as the pad that lies on it. */
  readonly when?: BuildCondition;
  /** Only on instruments without that surface: where no pads are, no water runs into them. */
  readonly lacks?: SurfaceId;
  /** Only where the surface is of one of these; without it, of whatever it is. */
  readonly of?: readonly Material[];
  readonly verdict: Exclude<Verdict, 'not-known'>;
  /** Where practice differs: the question, the choices under which it is used, and how, with care, it then is. */
  readonly byMethod?: { readonly method: MethodId; readonly allowedBy: readonly string[]; readonly then: string };
  /** The damage of a "no", the condition of a "care", why a "yes". */
  readonly why: string;
  readonly mark?: Mark;
};

/** What must never meet in one vessel or one routine without a rinse between. */
export const HAZARDS = ['bleach', 'acid', 'ammonia', 'alcohol', 'peroxide', 'soda'] as const;
export type Hazard = (typeof HAZARDS)[number];

export type AgentGroup = 'Grease and oil' | 'Water and soap' | 'Cleaners' | 'Polish' | 'Cloth, paper, brush' | 'Tools';

export type Agent = {
  readonly id: string;
  readonly name: string;
  readonly group: AgentGroup;
  /** Other words people type for it. */
  readonly alsoCalled?: readonly string[];
  readonly rows: readonly VerdictRow[];
  readonly hazards?: readonly Hazard[];
  /** Cautions that hold wherever it is used. */
  readonly cautions?: readonly string[];
};
