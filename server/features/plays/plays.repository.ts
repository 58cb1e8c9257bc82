import { and, asc, between, desc, eq, or, sql } from 'drizzle-orm';
import { withAlone, withPlay, type PlayColumns } from '#core/plays/play-columns.ts';
import { wallMinute, type Play } from '#core/plays/play.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import { columnsFromRows, playFromRow } from '#server/features/plays/plays.mapper.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { knownKey, original } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

const counting = and(eq(plays.instrumentId, sql.placeholder('instrumentId')), eq(plays.counts, true));
const NOTHING_PLAYED = { at: '[]', minutes: '[]' } as const;

/**
 * All plays in the order of the index that holds just these columns: the rows themselves are not touched. SQLite
 * gathers them into one row; ten years of rows handed over one by one take more than twice as long. It takes them in
 * the order of the inner query; `playColumns` refuses any other.
 */
function everyPlay(db: Db) {
  const rows = db
    .select({ at: plays.wallMinute, minutes: plays.minutes })
    .from(plays)
    .where(counting)
    .orderBy(asc(plays.wallMinute))
    .as('rows');
  const gathered = {
    at: sql<string>`json_group_array(${rows.at})`,
    minutes: sql<string>`json_group_array(${rows.minutes})`,
  };
  return db.select(gathered).from(rows).prepare();
}

/** Plays of parts only, in the order of their own small index: most records have none. */
const inParts = (db: Db) =>
  db
    .select({ at: plays.wallMinute, minutes: plays.minutes, alone: plays.alone })
    .from(plays)
    .where(and(counting, sql`alone is not null`))
    .orderBy(asc(plays.wallMinute))
    .prepare();

/** Columns that have been read, by instrument: a play that is logged is added to them, anything else forgets them. */
const known = new WeakMap<Db, Map<string, PlayColumns>>();
function columnsIn(db: Db): Map<string, PlayColumns> {
  const mine = known.get(db) ?? new Map<string, PlayColumns>();
  known.set(db, mine);
  return mine;
}

/** A play was written down: ten years of others are not read anew for it. */
export function playWritten(db: Db, factId: number, { instrumentId }: Omit<Play, 'key'>): void {
  const mine = columnsIn(db);
  const columns = mine.get(instrumentId);
  if (columns === undefined) return;
  const row = db
    .select({ at: plays.wallMinute, minutes: plays.minutes, alone: plays.alone })
    .from(plays)
    .where(eq(plays.factId, factId))
    .get();
  if (row) mine.set(instrumentId, withPlay(columns, row));
}

/** Plays were taken back, put right or never written. */
export const playsChanged = (db: Db): void => columnsIn(db).clear();

export function createPlaysRepository(db: Db) {
  const every = everyPlay(db);
  const alone = inParts(db);
  const keyed = () =>
    db
      .select({ play: plays, key: knownKey })
      .from(plays)
      .innerJoin(facts, eq(facts.id, plays.factId))
      .leftJoin(original, eq(original.id, facts.corrects));
  const last = keyed().where(counting).orderBy(desc(plays.wallMinute)).limit(1).prepare();
  const near = keyed()
    .where(and(counting, between(plays.wallMinute, sql.placeholder('from'), sql.placeholder('to'))))
    .prepare();
  const newest = keyed().where(counting).orderBy(desc(plays.wallMinute)).limit(sql.placeholder('limit')).prepare();
  const root = db
    .select({ id: sql`coalesce(${facts.corrects}, ${facts.id})` })
    .from(facts)
    .where(eq(facts.key, sql.placeholder('key')));
  const standing = keyed()
    .where(and(eq(plays.counts, true), or(eq(facts.id, root), eq(facts.corrects, root))))
    .prepare();
  type Row = ReturnType<typeof newest.all>[number];
  const play = ({ play: row, key }: Row): Play => ({ key, ...playFromRow(row) });
  return {
    /** Every play of an instrument that counts, as columns. */
    columns: (instrumentId: string): PlayColumns => {
      const mine = columnsIn(db);
      const columns =
        mine.get(instrumentId) ??
        withAlone(columnsFromRows(every.get({ instrumentId }) ?? NOTHING_PLAYED), alone.all({ instrumentId }));
      mine.set(instrumentId, columns);
      return columns;
    },

    /** Reads all plays anew. */
    forget: (): void => playsChanged(db),

    /** A play as it stands: as last corrected. Undefined when it was taken back. */
    standing: (key: string): Play | undefined => {
      const row = standing.get({ key });
      return row && play(row);
    },

    last: (instrumentId: string): Play | undefined => {
      const row = last.get({ instrumentId });
      return row && play(row);
    },

    /** Plays on the day before, on and after `on`: all that a play ending then can meet. */
    near: (instrumentId: string, on: LocalDate): Play[] =>
      near.all({ instrumentId, from: wallMinute(addDays(on, -1), 0), to: wallMinute(addDays(on, 2), 0) - 1 }).map(play),

    newest: (instrumentId: string, limit: number): Play[] => newest.all({ instrumentId, limit }).map(play),
  };
}
export type PlaysRepository = ReturnType<typeof createPlaysRepository>;

/** Plays whose day and minute are not those of their fact. */
export const misrepeatedPlays = (db: Db): string[] =>
  db
    .select({ key: facts.key })
    .from(plays)
    .innerJoin(facts, eq(facts.id, plays.factId))
    .where(sql`${facts.on} <> ${plays.endedOn} or ${facts.atMinute} is not ${plays.endedAtMinute}`)
    .all()
    .map(({ key }) => key);
