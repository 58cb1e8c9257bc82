import { playColumns, type PlayColumns } from '#core/plays/play-columns.ts';
import type { Play } from '#core/plays/play.ts';
import type { PlayRow } from '#server/features/plays/plays.table.ts';

/** A row as a play. Its key is the fact's: where it is a correction, that of the original. */
export const playFromRow = ({ factId: _fact, wallMinute: _at, counts: _counts, ...play }: PlayRow): Omit<Play, 'key'> =>
  play;

/** Plays as SQLite gathers them: two JSON arrays, the rows of both in the same order. */
export type GatheredPlays = { readonly at: string; readonly minutes: string };

function numbersIn(gathered: string): Int32Array {
  const numbers: number[] = JSON.parse(gathered);
  return Int32Array.from(numbers);
}

/**
 * Gathered plays become columns.
 *
 * @throws RangeError when the rows are not sorted
 */
export const columnsFromRows = ({ at, minutes }: GatheredPlays): PlayColumns =>
  playColumns(numbersIn(at), numbersIn(minutes));
