import { and, asc, eq, sql } from 'drizzle-orm';
import { alias, type SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { RunWay } from '#core/players/run-way.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import type { Db } from '#server/db/connection.ts';
import { minders, players, profiles, runWays } from '#server/features/players/players.table.ts';
import { facts } from '#server/record/record.table.ts';

const added = alias(facts, 'added');
/** What was added and what was said of it both count. */
const counting = and(
  eq(added.id, players.factId),
  eq(added.counts, true),
  eq(profiles.playerId, players.id),
  eq(facts.id, profiles.factId),
  eq(facts.counts, true),
);

/** What the newest fact that counts says of a player; null where none does. */
const newest = <Said>(table: typeof runWays | typeof minders, column: SQLiteColumn) =>
  sql<Said | null>`(select ${column} from ${table} join ${facts} said on said.id = ${table.factId} and said.counts = 1
    where ${table.playerId} = ${players.id} order by ${table.factId} desc limit 1)`;

export function createPlayersRepository(db: Db) {
  // Players in the order they were added, the profiles of each in the order they were said. A cross join is read from
  // the left: left to itself, SQLite may begin with every fact there is.
  const told = () =>
    db
      .select({
        id: players.id,
        name: profiles.name,
        standing: profiles.standing,
        does: profiles.does,
        way: newest<RunWay>(runWays, runWays.way),
        minderId: newest<PlayerId>(minders, minders.minderId),
      })
      .from(players)
      .crossJoin(added)
      .crossJoin(profiles)
      .crossJoin(facts)
      .orderBy(asc(players.factId), asc(facts.id));
  const all = told().where(counting).prepare();
  const one = told()
    .where(and(counting, eq(players.id, sql.placeholder('id'))))
    .prepare();
  const minding = db
    .select({ minderId: minders.minderId })
    .from(minders)
    .where(eq(minders.playerId, sql.placeholder('id')))
    .prepare();
  type Row = ReturnType<typeof all.all>[number];
  const player = ({ id, does, ...row }: Row): ListedPlayer => ({
    ...row,
    id: id,
    does,
  });
  return {
    /** Everybody, each as the latest profile has them. */
    all: (): ListedPlayer[] => [...new Map(all.all().map((row) => [row.id, player(row)])).values()],

    /** Whoever looks after somebody's instruments with them, or ever did. */
    mindersOf: (id: string): PlayerId[] => [
      ...new Set(minding.all({ id }).flatMap(({ minderId }) => (minderId === null ? [] : [minderId]))),
    ],

    find: (id: string): ListedPlayer | undefined => {
      const row = one.all({ id }).at(-1);
      return row && player(row);
    },
  };
}
export type PlayersRepository = ReturnType<typeof createPlayersRepository>;
