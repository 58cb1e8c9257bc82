import { estimate, oneVoice, type Marked } from '#core/explain/explained.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { Scrape } from '#core/reeds/reed.ts';

/** Which double reed it is, as far as its sizes, its steps and its crow go. */
export const REED_SORTS = ['oboe-long', 'oboe-short', 'oboe-unknown', 'cor-anglais', 'bassoon'] as const;
export type ReedSort = (typeof REED_SORTS)[number];

/** Its crow: two Cs an octave apart, a rattle of several pitches, its pitch alone, or one nobody can judge. */
export type CrowTarget = 'octave' | 'rattle' | 'pitch-only' | 'no-verdict';

/** Lengths are counted in tenths of a millimetre, so that what was clipped adds up. */
export type SortFigures = {
  /** Minutes in water. */
  readonly soak: { readonly least: Marked; readonly usual: Marked; readonly most: Marked };
  readonly crow: CrowTarget;
  /** Its blades nest one within the other; a bassoon's meet edge to edge. */
  readonly nests: boolean;
  /** Its opening is set at wires, over a mandrel; otherwise on the blades. */
  readonly wired: boolean;
  /** One clip, and all of its life; it is never shorter than so much, where that is known. */
  readonly clipTenths: Marked;
  readonly lifeTenths: Marked;
  readonly shortestTenths: Marked | null;
  /** Cents per tenth of a millimetre by which a clip raises its crow: mean and spread believed before any clip. */
  readonly clipCents: { readonly mean: Marked; readonly spread: Marked };
};

const oboe = {
  soak: { least: oneVoice(5), usual: estimate(7), most: estimate(15) },
  nests: true,
  wired: false,
  clipTenths: estimate(1),
  lifeTenths: estimate(10),
  clipCents: { mean: estimate(4), spread: estimate(3) },
} as const;

/**
 * Sizes and steps by sort (practice book, double reeds in figures). Where nobody knows the scrape, the narrower range of the
 * two holds.
 */
export const SORT_FIGURES: Readonly<Record<ReedSort, SortFigures>> = {
  'oboe-long': { ...oboe, crow: 'octave', shortestTenths: estimate(680) },
  'oboe-short': { ...oboe, crow: 'pitch-only', shortestTenths: estimate(700) },
  'oboe-unknown': { ...oboe, crow: 'no-verdict', shortestTenths: estimate(700) },
  'cor-anglais': {
    ...oboe,
    soak: { least: oneVoice(5), usual: estimate(8), most: estimate(15) },
    crow: 'pitch-only',
    shortestTenths: null,
    clipCents: { mean: estimate(3), spread: estimate(2.5) },
  },
  bassoon: {
    soak: { least: oneVoice(5), usual: estimate(10), most: estimate(20) },
    crow: 'rattle',
    nests: false,
    wired: true,
    clipTenths: estimate(2),
    lifeTenths: estimate(15),
    shortestTenths: estimate(520),
    clipCents: { mean: estimate(2), spread: estimate(2) },
  },
};

/** The same for all of them. */
export const AT_MOST = {
  /** Clipped in one sitting, tenths of a millimetre. */
  clippedTenths: estimate(3),
  /** Changes of the opening in one sitting, each by a trace of a tenth. */
  openings: estimate(2),
  openingTenths: estimate(1),
} as const;
/** A reed that arrived used has so much of its life's limit, since nobody knows what was clipped before. */
export const ARRIVED_USED = estimate(0.5);
/** Cents within which the crow is in tune, below which it is flat, above which it is sharp. */
export const IN_TUNE = { flat: estimate(-10), sharp: estimate(15) } as const;
/** On the instrument a clip moves the pitch about half as much as in the crow. */
export const ON_THE_INSTRUMENT = estimate(0.5);
/** Out of the water for so many minutes, and not blown, it is taken to be dry again. */
export const DRY_AFTER = estimate(15);
/** So many clips on end that raise nothing: whatever is wrong, it is not its length. */
export const RISELESS_CLIPS = 3;
/** What a change of the opening by a trace does to the crow, cents. */
export const OPENING_CENTS = { close: estimate(3), open: estimate(-3) } as const;

/** Which sort the reeds of a box are; undefined for kinds whose reeds are no double ones. */
export function sortOf(kind: KindId, scrape: Scrape | null): ReedSort | undefined {
  if (kind === 'bassoon') return 'bassoon';
  if (kind === 'cor-anglais') return 'cor-anglais';
  if (kind !== 'oboe') return undefined;
  return `oboe-${scrape ?? 'unknown'}`;
}
