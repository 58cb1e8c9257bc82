import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { playColumns, type PlayColumns } from '#core/plays/play-columns.ts';
import type { Play } from '#core/plays/play.ts';
import { localDate } from '#core/time/local-date.ts';
import type { PlayRow } from '#server/features/plays/plays.table.ts';

/** A row as a play under its key: where it is a correction, that of the original. */
export const playFromRow = (row: PlayRow, key: string): Play => ({
  key,
  instrumentId: row.instrumentId as InstrumentId,
  playerId: row.playerId as PlayerId,
  endedOn: localDate(row.endedOn),
  endedAtMinute: row.endedAtMinute,
  minutes: row.minutes,
  roomCelsius: row.roomCelsius,
});

/** Plays as SQLite gathers them: two JSON arrays, the rows of both in the same order. */
export type GatheredPlays = { readonly at: string; readonly minutes: string };

/**
 * Gathered plays become columns.
 *
 * @throws RangeError when the rows are not sorted
 */
export const columnsFromRows = ({ at, minutes }: GatheredPlays): PlayColumns =>
  playColumns(Int32Array.from(JSON.parse(at) as number[]), Int32Array.from(JSON.parse(minutes) as number[]));
