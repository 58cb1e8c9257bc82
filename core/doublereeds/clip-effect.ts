import { checkNumber } from '#core/kernel/check-number.ts';
import { FURTHEST_CENTS, LARGEST_SLIP, type ClipSeen, type PitchFrom } from '#core/doublereeds/examination.ts';
import { ON_THE_INSTRUMENT, SORT_FIGURES, type ReedSort } from '#core/doublereeds/reed-sort.ts';
import { cutNormal, type CutNormal } from '#core/doublereeds/cut-normal.ts';
import { estimate } from '#core/explain/explained.ts';

/** The noise of one clip's before-to-after: a crow is heard, not measured; cents, one standard deviation. */
export const CLIP_NOISE = estimate(5);
/** A clip that is expected to end above this, cents, is said to overshoot. */
export const OVERSHOOTS_ABOVE = estimate(0);

/** What a clip of a tenth of a millimetre is believed to raise the crow by, cents: a normal belief cut at 0. */
export type ClipEffect = CutNormal & { readonly clips: number };

const shareOf = (from: PitchFrom): number => (from === 'crow' ? 1 : ON_THE_INSTRUMENT.value);

/** What of any number of clips is needed: their number, Σx² and Σx·y, x in tenths of a millimetre as the crow feels them. */
export type ClipSums = { readonly clips: number; readonly squares: number; readonly products: number };
export const NO_CLIPS: ClipSums = { clips: 0, squares: 0, products: 0 };

/**
 * Clips added up. One read from the instrument counts as half its length, since the pitch moves about half as much there.
 *
 * @throws RangeError for clips or pitches nobody can have
 */
export const sumsWith = (sums: ClipSums, seen: readonly ClipSeen[]): ClipSums =>
  seen.reduce(({ clips, squares, products }, { tenths, before, after, from }) => {
    checkNumber('a clip', tenths, { least: Number.MIN_VALUE, most: LARGEST_SLIP });
    for (const cents of [before, after]) checkNumber('cents', cents, { least: -FURTHEST_CENTS, most: FURTHEST_CENTS });
    const x = tenths * shareOf(from);
    return { clips: clips + 1, squares: squares + x ** 2, products: products + x * (after - before) };
  }, sums);

/**
 * Cents per tenth of a millimetre, learned from clips with their crow before and after: Bayesian linear regression through
 * the origin with a normal prior cut at 0 and known noise (Gelman et al., Bayesian Data Analysis, 3rd ed., ch. 14, for one
 * predictor; a prior that is cut leaves the posterior cut at the same place). The book is named from memory.
 */
export function clipEffect(sort: ReedSort, { clips, squares, products }: ClipSums): ClipEffect {
  const { mean, spread } = SORT_FIGURES[sort].clipCents;
  const noise = CLIP_NOISE.value ** 2;
  const precision = 1 / spread.value ** 2 + squares / noise;
  const weighted = mean.value / spread.value ** 2 + products / noise;
  return { ...cutNormal(weighted / precision, Math.sqrt(1 / precision)), clips };
}

/** Where a clip is expected to bring the pitch, cents. */
export const afterClip = (
  { mean }: ClipEffect,
  { cents, tenths, from }: { readonly cents: number; readonly tenths: number; readonly from: PitchFrom },
): number => cents + mean * tenths * shareOf(from);

/** With this chance the number of clips lies within what is said. */
export const CLIPS_CHANCE = 0.9;
/** More clips than this are "never". */
const MOST_COUNTED = 50;

/**
 * How many clips of that size bring a flat reed up to pitch: the fewest and the most at the chance above, whole clips. The
 * most is null where it may take more than anybody would count.
 *
 * @throws RangeError for a size that is none
 */
export function clipsToPitch(
  effect: ClipEffect,
  { cents, tenths, from }: { readonly cents: number; readonly tenths: number; readonly from: PitchFrom },
): { readonly fewest: number; readonly likely: number; readonly most: number | null } {
  checkNumber('a clip', tenths, { least: Number.MIN_VALUE, most: LARGEST_SLIP });
  const flat = Math.max(0, -cents);
  const clips = (rise: number): number => Math.ceil(Math.max(0, flat / (rise * tenths * shareOf(from)) - 1e-9));
  const tail = (1 - CLIPS_CHANCE) / 2;
  const most = clips(effect.quantile(tail));
  return {
    fewest: clips(effect.quantile(1 - tail)),
    likely: clips(effect.quantile(0.5)),
    most: most > MOST_COUNTED ? null : most,
  };
}
