import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { InstrumentKind, TubePart } from '#core/instruments/kind.ts';

/** One segment of the unrolled tube with the water that stands in it, g. */
export type StripSegment = TubePart & { readonly waterGrams: number };

/**
 * The tube of one build in bore order from the mouth end, with `grams` of water where it gathers (shares are
 * estimates; the water of a part this build does not have is shared out among the others).
 */
export function boreStrip(kind: InstrumentKind, build: Build, grams: number): StripSegment[] {
  const parts = kind.tube.filter(({ when }) => buildMeets(build, when));
  const shares = parts.reduce((sum, { waterShare }) => sum + waterShare, 0);
  return parts.map((part) => ({
    ...part,
    ...(part.fixedWhen && buildMeets(build, part.fixedWhen) && { joint: 'fixed' as const }),
    waterGrams: (grams * part.waterShare) / shares,
  }));
}

/** The name of a part of this kind, for words on screen. */
export const partName = (kind: InstrumentKind, part: string): string =>
  [...kind.tube, ...kind.loose].find(({ id }) => id === part)?.name ?? part;
