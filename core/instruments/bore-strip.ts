import type { InstrumentKind, TubePart } from '#core/instruments/kind.ts';

/** One segment of the unrolled tube with the water that stands in it, g. */
export type StripSegment = TubePart & { readonly waterGrams: number };

/** The tube in bore order from the mouth end, with `grams` of water where it gathers (shares are estimates). */
export const boreStrip = (kind: InstrumentKind, grams: number): StripSegment[] =>
  kind.tube.map((part) => ({ ...part, waterGrams: grams * part.waterShare }));

/** The name of a part of this kind, for words on screen. */
export const partName = (kind: InstrumentKind, part: string): string =>
  [...kind.tube, ...kind.loose].find(({ id }) => id === part)?.name ?? part;
