import type { Build } from '#core/instruments/build.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';

/** The build a kind usually comes in. */
export const usualBuild = ({ fields }: InstrumentKind): Build =>
  Object.fromEntries(fields.map(({ field, usual }) => [field, usual])) as Build;
