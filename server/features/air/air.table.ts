import { sql } from 'drizzle-orm';
import { check, index, real, sqliteTable } from 'drizzle-orm/sqlite-core';
import { bodyOf, ofPlayerId } from '#server/features/players/players.table.ts';

/** What somebody read off a hygrometer. */
export const airReadings = sqliteTable(
  'air_readings',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    celsius: real().notNull(),
    humidityPercent: real('humidity_percent').notNull(),
  },
  (table) => [
    check('air_readings_humidity', sql`${table.humidityPercent} between 0 and 100`),
    index('air_readings_of_player').on(table.playerId),
  ],
);
