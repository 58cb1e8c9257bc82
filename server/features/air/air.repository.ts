import { desc, eq, sql } from 'drizzle-orm';
import type { AirRead } from '#core/air/air-record.ts';
import type { Db } from '#server/db/connection.ts';
import { airReadings } from '#server/features/air/air.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

/** What is older says nothing of today, be it read twice a day. */
const MOST_READ = 60;

export function createAirRepository(db: Db) {
  const { celsius, humidityPercent } = airReadings;
  const newest = counting(db, airReadings, { on: facts.on, atMinute: facts.atMinute, celsius, humidityPercent })
    .where(eq(airReadings.playerId, sql.placeholder('playerId')))
    .orderBy(desc(facts.on), desc(facts.atMinute), desc(facts.id))
    .limit(MOST_READ)
    .prepare();
  return {
    /** The newest readings of a player, in the order they were read. */
    of: (playerId: string): AirRead[] => newest.all({ playerId }).reverse(),
  };
}
export type AirRepository = ReturnType<typeof createAirRepository>;
