import { sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { REED_WISHES } from '#core/settings/settings.ts';
import { bodyOf, ofPlayerId } from '#server/features/players/players.table.ts';

/** What players have settled once for all; the latest of each counts. */
export const playerSettings = sqliteTable(
  'player_settings',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    roomCelsius: real('room_celsius'),
    tuningHertz: integer('tuning_hertz'),
    currency: text(),
    reedWish: text('reed_wish', { enum: REED_WISHES }),
  },
  (table) => [
    index('settings_of_player').on(table.playerId),
    index('settings_with_currency')
      .on(table.factId)
      .where(sql`${table.currency} is not null`),
  ],
);
