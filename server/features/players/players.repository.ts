import { asc, eq } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import { playerFromRow, rowFromPlayer, type Player } from '#server/features/players/players.mapper.ts';
import { players } from '#server/features/players/players.table.ts';

export type { Player };

export const createPlayersRepository = (db: Db) => ({
  all: (): Player[] =>
    db.select().from(players).orderBy(asc(players.addedAt), asc(players.id)).all().map(playerFromRow),

  find: (id: string): Player | undefined => {
    const row = db.select().from(players).where(eq(players.id, id)).get();
    return row && playerFromRow(row);
  },

  add: (player: Player, addedAt: string): void => {
    db.insert(players).values(rowFromPlayer(player, addedAt)).run();
  },

  revise: (player: Player): void => {
    const { name, standing, does } = rowFromPlayer(player, '');
    db.update(players).set({ name, standing, does }).where(eq(players.id, player.id)).run();
  },
});
