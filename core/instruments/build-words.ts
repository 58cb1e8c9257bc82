import type { Build } from '#core/instruments/build.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';

/** How an instrument is built, in the words of the options: "Wood", "Cork tenons". */
export const buildWords = ({ fields }: InstrumentKind, build: Build): string[] =>
  fields.map(({ field, options }) => options.find(({ id }) => id === build[field])?.name ?? '');
