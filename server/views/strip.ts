import { boreStrip } from '#core/instruments/bore-strip.ts';
import type { Build } from '#core/instruments/build.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import type { StripSegment } from '#contract/instruments.ts';

/** The bore strip as it goes over the wire, with `grams` of water where it gathers. */
export const stripView = (kind: InstrumentKind, build: Build, grams: number): StripSegment[] =>
  boreStrip(kind, build, grams).map(({ id, name, lengthMm, boreMm, waterShare, waterGrams, joint, form }) => ({
    part: id,
    name,
    lengthMm,
    boreMm: [...boreMm],
    waterShare,
    waterGrams,
    joint: joint ?? null,
    form: form ?? null,
  }));
