import { and, desc, eq, sql } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import { playerSettings } from '#server/features/settings/settings.table.ts';
import { facts } from '#server/record/record.table.ts';

/** What players have settled. */
export function createSettingsRepository(db: Db) {
  const newest = db
    .select({
      roomCelsius: playerSettings.roomCelsius,
      tuningHertz: playerSettings.tuningHertz,
      reedWish: playerSettings.reedWish,
    })
    .from(playerSettings)
    // Read from the left: SQLite would begin with every fact there is.
    .crossJoin(facts)
    .where(
      and(
        eq(playerSettings.playerId, sql.placeholder('playerId')),
        eq(facts.id, playerSettings.factId),
        eq(facts.counts, true),
      ),
    )
    .orderBy(desc(playerSettings.factId))
    .limit(1)
    .prepare();
  const currency = db
    .select({ currency: playerSettings.currency })
    .from(playerSettings)
    .crossJoin(facts)
    .where(
      and(sql`${playerSettings.currency} is not null`, eq(facts.id, playerSettings.factId), eq(facts.counts, true)),
    )
    .orderBy(desc(playerSettings.factId))
    .limit(1)
    .prepare();
  return {
    /** What somebody said last; undefined where they have said nothing. */
    of: (playerId: string) => newest.get({ playerId }),
    /** The currency that was chosen last, by whomever; null where nobody has. */
    currency: (): string | null => currency.get()?.currency ?? null,
  };
}
export type SettingsRepository = ReturnType<typeof createSettingsRepository>;
