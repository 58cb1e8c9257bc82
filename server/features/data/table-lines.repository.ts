import type Database from 'better-sqlite3';
import type { LocalDate } from '#core/time/local-date.ts';

export type PlayLine = {
  readonly on: LocalDate;
  readonly atMinute: number | null;
  readonly minutes: number;
  readonly instrumentId: string;
  readonly playerId: string;
  readonly roomCelsius: number | null;
};
export type CareLine = {
  readonly on: LocalDate;
  readonly itemId: string;
  readonly instrumentId: string;
  readonly by: string;
};

/** Rows that are read at a time; between them others have their turn. */
const AT_A_TIME = 2000;
const nextTurn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** Whatever an iterator gives, some at a time. */
async function* someAtATime<Line>(lines: IterableIterator<Line>): AsyncGenerator<Line[]> {
  let some: Line[] = [];
  for (const line of lines) {
    some.push(line);
    if (some.length < AT_A_TIME) continue;
    yield some;
    some = [];
    await nextTurn();
  }
  yield some;
}

/** The plays and the care that count, in the order of their days. */
export const createTableRows = (client: Database.Database) => ({
  plays: (): AsyncGenerator<PlayLine[]> =>
    someAtATime(
      client
        .prepare<[], PlayLine>(
          `select ended_on as "on", ended_at_minute as atMinute, minutes, instrument_id as instrumentId,
             player_id as playerId, room_celsius as roomCelsius
           from plays where counts order by wall_minute, fact_id`,
        )
        .iterate(),
    ),
  care: (): AsyncGenerator<CareLine[]> =>
    someAtATime(
      client
        .prepare<[], CareLine>(
          `select f."on", c.item_id as itemId, c.instrument_id as instrumentId, c.by
           from care_done c join facts f on f.id = c.fact_id and f.counts order by f."on", f.id`,
        )
        .iterate(),
    ),
});
