import { desc, eq, sql } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import { sittingTimes } from '#server/features/calendar/calendar.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

/** When players have time for a sitting; the last word counts. */
export function createSittingTimes(db: Db) {
  const last = counting(db, sittingTimes, { minutes: sittingTimes.minutes, startsAt: sittingTimes.startsAt })
    .where(eq(sittingTimes.playerId, sql.placeholder('playerId')))
    .orderBy(desc(facts.id))
    .limit(1)
    .prepare();
  return {
    /** Minutes a player has by weekday, Monday first; null where nobody has said. */
    timeOf: (playerId: string): readonly number[] | null => last.get({ playerId })?.minutes ?? null,

    /** The minute of the day at which a player begins, by weekday; null where nobody has said. */
    startsOf: (playerId: string): readonly (number | null)[] | null => last.get({ playerId })?.startsAt ?? null,
  };
}
