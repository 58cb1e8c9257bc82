import { and, asc, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { Player } from '#core/players/profile.ts';
import type { Db } from '#server/db/connection.ts';
import { players, profiles } from '#server/features/players/players.table.ts';
import { facts } from '#server/record/record.table.ts';

const added = alias(facts, 'added');

export function createPlayersRepository(db: Db) {
  // Players in the order they were added, the profiles of each in the order they were said.
  const told = () =>
    db
      .select({ id: players.id, name: profiles.name, standing: profiles.standing, does: profiles.does })
      .from(players)
      .innerJoin(added, and(eq(added.id, players.factId), eq(added.counts, true)))
      .innerJoin(profiles, eq(profiles.playerId, players.id))
      .innerJoin(facts, and(eq(facts.id, profiles.factId), eq(facts.counts, true)))
      .orderBy(asc(players.factId), asc(facts.id));
  const all = told().prepare();
  const one = told()
    .where(eq(players.id, sql.placeholder('id')))
    .prepare();
  type Row = ReturnType<typeof all.all>[number];
  const player = ({ id, does, ...row }: Row): Player => ({
    ...row,
    id: id,
    does,
  });
  return {
    /** Everybody, each as the latest profile has them. */
    all: (): Player[] => [...new Map(all.all().map((row) => [row.id, player(row)])).values()],

    find: (id: string): Player | undefined => {
      const row = one.all({ id }).at(-1);
      return row && player(row);
    },
  };
}
export type PlayersRepository = ReturnType<typeof createPlayersRepository>;
