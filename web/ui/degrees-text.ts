import { degreesShown } from '#core/explain/units.ts';
import { FORMAT } from '#web/clock/format.ts';

/** Degrees as they stand in a field: in the reader's unit, to be typed over. */
export const degreesText = (celsius: number): string =>
  String(Math.round(degreesShown(celsius, FORMAT.units) * 10) / 10);
