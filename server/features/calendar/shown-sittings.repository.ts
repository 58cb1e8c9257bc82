import { eq, sql } from 'drizzle-orm';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Db } from '#server/db/connection.ts';
import { shownSittings } from '#server/features/calendar/calendar.table.ts';
import { readSittings, writtenSittings, type StoredSittings } from '#server/features/calendar/stored-sittings.ts';

/** The sittings players were last shown. */
export function createShownSittings(db: Db) {
  const shown = db
    .select({ plan: shownSittings.plan })
    .from(shownSittings)
    .where(eq(shownSittings.playerId, sql.placeholder('playerId')))
    .prepare();
  return {
    /** The sittings a player was last shown; undefined where there are none, or they cannot be read any more. */
    shownTo: (playerId: string): StoredSittings | undefined => {
      const row = shown.get({ playerId });
      return row && readSittings(row.plan);
    },

    /** Keeps the sittings a player is shown. */
    show: (playerId: PlayerId, sittings: StoredSittings): void => {
      const plan = writtenSittings(sittings);
      db.insert(shownSittings)
        .values({ playerId, plan })
        .onConflictDoUpdate({ target: shownSittings.playerId, set: { plan } })
        .run();
    },
  };
}
