import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { players } from '#server/features/players/players.table.ts';

export const instruments = sqliteTable(
  'instruments',
  {
    id: text().primaryKey(),
    name: text().notNull(),
    /** Kinds are data: which there are is checked when a row is read, so that a new kind needs no migration. */
    kind: text({ enum: KIND_IDS }).notNull(),
    /** JSON object of build field → option. */
    build: text().notNull(),
    playerId: text('player_id')
      .notNull()
      .references(() => players.id),
    acquiredOn: text('acquired_on').notNull(),
    cameNew: integer('came_new', { mode: 'boolean' }).notNull(),
    leftOn: text('left_on'),
    addedAt: text('added_at').notNull(),
  },
  (table) => [index('instruments_player').on(table.playerId)],
);
export type InstrumentRow = typeof instruments.$inferSelect;
