import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { playColumns, type PlayColumns } from '#core/plays/play-columns.ts';
import type { PlaySpan } from '#core/plays/play.ts';
import { localDate } from '#core/time/local-date.ts';
import type { PlayRow } from '#server/features/plays/plays.table.ts';

export type Play = PlaySpan & {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly playerId: PlayerId;
  /** The room it was played in, °C; null where nobody said. */
  readonly roomCelsius: number | null;
};

/** The only place where a row becomes a play. */
export const playFromRow = (row: PlayRow): Play => ({
  key: row.key,
  instrumentId: row.instrumentId as InstrumentId,
  playerId: row.playerId as PlayerId,
  endedOn: localDate(row.endedOn),
  endedAtMinute: row.endedAtMinute,
  minutes: row.minutes,
  roomCelsius: row.roomCelsius,
});

/** [wall minute, minutes] */
export type PlayedAt = readonly [number, number];

/**
 * Rows, sorted, become columns. For each row of `takenBack` one equal row is left out: two plays that ended together
 * and lasted as long are the same to a clock.
 */
export function columnsFromRows(rows: readonly PlayedAt[], takenBack: readonly PlayedAt[]): PlayColumns {
  const toDrop = new Map<string, number>();
  for (const row of takenBack) toDrop.set(row.join(), (toDrop.get(row.join()) ?? 0) + 1);
  const kept =
    toDrop.size === 0
      ? rows
      : rows.filter((row) => {
          const left = toDrop.get(row.join()) ?? 0;
          if (left > 0) toDrop.set(row.join(), left - 1);
          return left === 0;
        });
  const endedAt = new Int32Array(kept.length);
  const minutes = new Int32Array(kept.length);
  kept.forEach(([at, played], row) => {
    endedAt[row] = at;
    minutes[row] = played;
  });
  return playColumns(endedAt, minutes);
}
