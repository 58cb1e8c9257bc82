import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { oneOf } from '#server/db/one-of.ts';
import { players } from '#server/features/players/players.table.ts';

export const instruments = sqliteTable(
  'instruments',
  {
    id: text().primaryKey(),
    name: text().notNull(),
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
  (table) => [
    check('instruments_kind', oneOf(sql`${table.kind}`, KIND_IDS)),
    index('instruments_player').on(table.playerId),
  ],
);
export type InstrumentRow = typeof instruments.$inferSelect;
