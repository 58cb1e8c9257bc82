import { boreStrip } from '#core/instruments/bore-strip.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import type { StripSegment } from '#contract/instruments.ts';

/** The bore strip as it goes over the wire, with `grams` of water where it gathers. */
export const stripView = (kind: InstrumentKind, grams: number): StripSegment[] =>
  boreStrip(kind, grams).map(({ id, name, lengthMm, boreMm, waterShare, waterGrams, joint }) => ({
    part: id,
    name,
    lengthMm,
    boreMm: [...boreMm],
    waterShare,
    waterGrams,
    joint: joint ?? null,
  }));
