import type { LocalDate } from '#core/time/local-date.ts';
import type { Format } from '#core/explain/format.ts';

/** A change of the build as it stands in the record. */
export const builtWords = (words: readonly string[]): string => `Built from now on: ${words.join(', ').toLowerCase()}`;

/** A departure as it stands in the record; null: it came back. */
export const departureWords = (leftOn: LocalDate | null, format: Format): string =>
  leftOn === null ? 'Back on the shelf' : `Left the shelf on ${format.date(leftOn)}`;

/** The number stamped on it, as it stands in the record. */
export const serialWords = (serial: string | null): string =>
  serial === null ? 'No serial number.' : `Serial number ${serial}.`;
