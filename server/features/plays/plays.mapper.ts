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
/** Plays as SQLite gathers them: two JSON arrays, the rows of both in the same order. */
export type GatheredPlays = { readonly at: string; readonly minutes: string };

/**
 * Gathered plays, sorted, become columns. For each row of `takenBack` one equal row is left out: two plays that ended
 * together and lasted as long are the same to a clock.
 *
 * @throws RangeError when the rows are not sorted
 */
export function columnsFromRows(gathered: GatheredPlays, takenBack: readonly PlayedAt[]): PlayColumns {
  const at = JSON.parse(gathered.at) as number[];
  const minutes = JSON.parse(gathered.minutes) as number[];
  if (takenBack.length === 0) return playColumns(Int32Array.from(at), Int32Array.from(minutes));
  const toDrop = new Map<string, number>();
  for (const row of takenBack) toDrop.set(row.join(), (toDrop.get(row.join()) ?? 0) + 1);
  const kept = at.flatMap((endedAt, row): PlayedAt[] => {
    const played = minutes[row] ?? 0;
    const key = `${endedAt},${played}`;
    const left = toDrop.get(key) ?? 0;
    if (left > 0) toDrop.set(key, left - 1);
    return left === 0 ? [[endedAt, played]] : [];
  });
  return playColumns(
    Int32Array.from(kept, ([endedAt]) => endedAt),
    Int32Array.from(kept, ([, played]) => played),
  );
}
