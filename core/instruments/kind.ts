import { isOneOf } from '#core/kernel/typed.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import { buildMeets } from '#core/instruments/build.ts';
import type { Build, BuildCondition, BuildField, BuildOption } from '#core/instruments/build.ts';

/** Every kind of instrument the program knows. The order is the order of the "add" screen. */
export const KIND_IDS = [
  'clarinet',
  'bass-clarinet',
  'soprano-saxophone',
  'alto-saxophone',
  'tenor-saxophone',
  'baritone-saxophone',
  'oboe',
  'cor-anglais',
  'bassoon',
  'flute',
  'piccolo',
  'bamboo-flute',
  'recorder',
  'highland-pipes',
  'trumpet',
  'cornet',
  'flugelhorn',
  'horn',
  'trombone',
  'baritone',
  'euphonium',
  'tuba',
  'sousaphone',
] as const;
export type KindId = (typeof KIND_IDS)[number];

export const FAMILIES = ['Single reeds', 'Double reeds', 'Flutes', 'Pipes', 'Brass'] as const;
export type Family = (typeof FAMILIES)[number];

/** Every part that occurs in some kind, in the trade's own words. */
export const PART_IDS = [
  'mouthpiece',
  'ligature',
  'reed',
  'neck',
  'bocal',
  'barrel',
  'head-joint',
  'middle-joint',
  'upper-joint',
  'lower-joint',
  'wing-joint',
  'boot',
  'long-joint',
  'body',
  'bow',
  'foot-joint',
  'top-half',
  'lower-half',
  'blowpipe',
  'blowpipe-stock',
  'bag',
  'chanter-stock',
  'chanter',
  'tenor-drones',
  'bass-drone',
  'bell',
  'mouthpipe',
  'main-slide',
  'valve-block',
  'rotors',
  'valve-slides',
  'hand-slide',
  'tuning-slide',
  'case',
  'swab',
] as const;
export type PartId = (typeof PART_IDS)[number];

/**
 * Places a shared page of the practice book speaks of, which each kind finds on itself: the wet length of the bore,
 * the keywork, the tenons, the slides, and where water stands.
 */
export const PART_ROLES = ['the-bore', 'the-keys', 'the-tenons', 'the-slides', 'the-water'] as const;
export type PartRole = (typeof PART_ROLES)[number];

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
  /** On such a build they are one piece. */
  readonly fixedWhen?: BuildCondition;
  /** A tube that turns back on itself, a sack, or one that stands off the main line (a drone). */
  readonly form?: 'u-turn' | 'sack' | 'side';
  readonly when?: BuildCondition;
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
  /** Under which heading it is found when one is added. */
  readonly family: Family;
  /** How the trade tells builds apart in a name: "wooden clarinet", "silver-plated trumpet". */
  readonly nameByBuild: readonly { readonly when: BuildCondition; readonly name: string }[];
  /** Tube parts in bore order from the mouth end to the bell. */
  readonly tube: readonly TubePart[];
  readonly loose: readonly LoosePart[];
  /** Which of its parts the shared pages mean. */
  readonly standsFor: Readonly<Partial<Record<PartRole, PartId>>>;
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
  /** Water worth letting out of brass while playing, g; kinds that are swabbed have none. */
  readonly poolGrams?: number;
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

export const isKindId = (text: string): text is KindId => isOneOf(KIND_IDS, text);
