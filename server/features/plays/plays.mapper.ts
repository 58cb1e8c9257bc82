import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { playColumns, type PlayColumns } from '#core/plays/play-columns.ts';
import type { PlaySpan } from '#core/plays/play.ts';
import { localDate } from '#core/time/local-date.ts';
import type { PlayRow } from '#server/features/plays/plays.table.ts';

export type Play = PlaySpan & {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly playerId: PlayerId;
};

/** The only place where a row becomes a play. */
export const playFromRow = (row: PlayRow): Play => ({
  key: row.key,
  instrumentId: row.instrumentId as InstrumentId,
  playerId: row.playerId as PlayerId,
  endedOn: localDate(row.endedOn),
  endedAtMinute: row.endedAtMinute,
  minutes: row.minutes,
});

/** Rows of [wall minute, minutes], sorted, become columns. */
export function columnsFromRows(rows: readonly (readonly [number, number])[]): PlayColumns {
  const endedAt = new Int32Array(rows.length);
  const minutes = new Int32Array(rows.length);
  rows.forEach(([at, played], row) => {
    endedAt[row] = at;
    minutes[row] = played;
  });
  return playColumns(endedAt, minutes);
}
