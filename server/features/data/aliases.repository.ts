import { and, asc, eq } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import { playerAliases } from '#server/features/players/players.table.ts';
import type { Aliases } from '#server/features/data/aliases.ts';
import { facts } from '#server/record/record.table.ts';

/** Who players of other records are here, as was said last. */
export const keptAliases = (db: Db): Aliases =>
  new Map(
    db
      .select({ otherId: playerAliases.otherId, playerId: playerAliases.playerId })
      .from(playerAliases)
      // Read from the left: SQLite would begin with every fact there is.
      .crossJoin(facts)
      .where(and(eq(facts.id, playerAliases.factId), eq(facts.counts, true)))
      .orderBy(asc(playerAliases.factId))
      .all()
      .map(({ otherId, playerId }) => [otherId, playerId]),
  );
