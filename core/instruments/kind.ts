import type { Mark, Marked } from '#core/explain/explained.ts';
import { buildMeets } from '#core/instruments/build.ts';
import type { Build, BuildCondition, BuildField, BuildOption } from '#core/instruments/build.ts';

/** Every kind of instrument the program knows. The order is the order of the "add" screen. */
export const KIND_IDS = ['clarinet', 'trumpet'] as const;
export type KindId = (typeof KIND_IDS)[number];

/** Every part that occurs in some kind, in the trade's own words. */
export const PART_IDS = [
  'mouthpiece',
  'ligature',
  'reed',
  'barrel',
  'upper-joint',
  'lower-joint',
  'bell',
  'mouthpipe',
  'main-slide',
  'valve-block',
  'valve-slides',
  'case',
  'swab',
] as const;
export type PartId = (typeof PART_IDS)[number];

/** Where near-mouth-first puts a part (practice book: weights 1, 0.6, 0.3, 0.1, estimates). */
export type Nearness = 'at-the-mouth' | 'next-to-it' | 'first-half' | 'the-rest';

/** A segment of the tube. Lengths and bores only serve the drawing and the water shares: estimates, all of them. */
export type TubePart = {
  readonly id: PartId;
  readonly name: string;
  readonly lengthMm: number;
  /** Inner diameter at the mouth end and at the far end, mm. */
  readonly boreMm: readonly [number, number];
  readonly nearness: Nearness;
  /** Share of the water blown in that gathers here; the shares of a kind sum to 1. Estimate after the book's words. */
  readonly waterShare: number;
  /** What joins it to the next part. */
  readonly joint?: 'tenon' | 'slide' | 'fixed';
};

/** Something that belongs to the instrument but is no segment of its tube. */
export type LoosePart = { readonly id: PartId; readonly name: string; readonly nearness: Nearness };

export type BuildFieldOf<Field extends BuildField = BuildField> = {
  readonly [F in Field]: {
    readonly field: F;
    readonly question: string;
    readonly options: readonly { readonly id: BuildOption<F>; readonly name: string }[];
    readonly usual: BuildOption<F>;
  };
}[Field];

/** Rows of the never-do list, shown on the instrument's page. */
export type NeverDo = {
  readonly id: string;
  readonly text: string;
  readonly why: string;
  readonly mark: Mark;
  readonly when?: BuildCondition;
};

/** A kind of instrument as data: adding one is a file like this and its registration. */
export type InstrumentKind = {
  readonly id: KindId;
  readonly name: string;
  /** How the trade tells builds apart in a name: "wooden clarinet", "silver-plated trumpet". */
  readonly nameByBuild: readonly { readonly when: BuildCondition; readonly name: string }[];
  /** Tube parts in bore order from the mouth end to the bell. */
  readonly tube: readonly TubePart[];
  readonly loose: readonly LoosePart[];
  readonly fields: readonly BuildFieldOf[];
  readonly water: WaterRow;
};

/** Parameters of the condensation model for one kind; every figure is an estimate (see core/water). */
export type WaterRow = {
  readonly flowLitresPerMinute: number;
  readonly soundingShare: number;
  readonly enteringShare: number;
  readonly wallWarming: number;
  readonly keptShare: number;
  readonly wettedBoreSquareMetres: number;
  readonly pickedUpPerPass: number;
  readonly leastPasses: number;
};

export const NEARNESS_WEIGHT: Readonly<Record<Nearness, Marked>> = {
  'at-the-mouth': { value: 1, mark: 'estimate' },
  'next-to-it': { value: 0.6, mark: 'estimate' },
  'first-half': { value: 0.3, mark: 'estimate' },
  'the-rest': { value: 0.1, mark: 'estimate' },
};

/** What to call an instrument of this kind and build. */
export function kindName(kind: InstrumentKind, build: Build): string {
  return kind.nameByBuild.find(({ when }) => buildMeets(build, when))?.name ?? kind.name;
}

export const isKindId = (text: string): text is KindId => (KIND_IDS as readonly string[]).includes(text);
