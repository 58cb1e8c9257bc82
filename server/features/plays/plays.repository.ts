import { and, asc, between, desc, eq, sql } from 'drizzle-orm';
import type { PlayColumns } from '#core/plays/play-columns.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import { columnsFromRows, playFromRow, type Play } from '#server/features/plays/plays.mapper.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { inForce, withdrawals } from '#server/features/record/record.table.ts';

export type { Play };

const ofInstrument = eq(plays.instrumentId, sql.placeholder('instrumentId'));
const NOTHING_PLAYED = { at: '[]', minutes: '[]' } as const;
const playedAt = { at: plays.wallMinute, minutes: plays.minutes };

/**
 * All plays in the order of the index that holds just these columns: the rows themselves are not touched. SQLite
 * gathers them into one row; ten years of rows handed over one by one take more than twice as long. It takes them in the order of the inner query;
 * `playColumns` refuses any other.
 */
function everyPlay(db: Db) {
  const rows = db.select(playedAt).from(plays).where(ofInstrument).orderBy(asc(plays.wallMinute)).as('rows');
  const gathered = {
    at: sql<string>`json_group_array(${rows.at})`,
    minutes: sql<string>`json_group_array(${rows.minutes})`,
  };
  return db.select(gathered).from(rows).prepare();
}
const takenBack = (db: Db) =>
  db
    .select(playedAt)
    .from(withdrawals)
    .innerJoin(plays, eq(plays.key, withdrawals.targetKey))
    .where(ofInstrument)
    .prepare();

export function createPlaysRepository(db: Db) {
  const [every, back] = [everyPlay(db), takenBack(db)];
  return {
    /** Every play of an instrument that has not been taken back, as columns. */
    columns: (instrumentId: string): PlayColumns =>
      columnsFromRows(
        every.get({ instrumentId }) ?? NOTHING_PLAYED,
        back.values({ instrumentId }) as [number, number][],
      ),

    /** Also finds a play that was taken back: its key is still taken. */
    find: (key: string): Play | undefined => {
      const row = db.select().from(plays).where(eq(plays.key, key)).get();
      return row && playFromRow(row);
    },

    last: (instrumentId: string): Play | undefined => {
      const row = db
        .select()
        .from(plays)
        .where(and(eq(plays.instrumentId, instrumentId), inForce(plays.key)))
        .orderBy(desc(plays.wallMinute))
        .limit(1)
        .get();
      return row && playFromRow(row);
    },

    /** Plays on the day before, on and after `on`: all that a play ending then can meet. */
    near: (instrumentId: string, on: LocalDate): Play[] =>
      db
        .select()
        .from(plays)
        .where(
          and(
            eq(plays.instrumentId, instrumentId),
            between(plays.endedOn, addDays(on, -1), addDays(on, 1)),
            inForce(plays.key),
          ),
        )
        .all()
        .map(playFromRow),

    newest: (instrumentId: string, limit: number): Play[] =>
      db
        .select()
        .from(plays)
        .where(and(eq(plays.instrumentId, instrumentId), inForce(plays.key)))
        .orderBy(desc(plays.wallMinute))
        .limit(limit)
        .all()
        .map(playFromRow),

    add: (play: Play, loggedAt: string): void => {
      db.insert(plays)
        .values({ ...play, loggedAt })
        .run();
    },
  };
}
