import { sql } from 'drizzle-orm';
import { check, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { STANDINGS } from '#core/players/player.ts';
import { oneOf } from '#server/db/one-of.ts';

export const players = sqliteTable(
  'players',
  {
    id: text().primaryKey(),
    name: text().notNull(),
    standing: text({ enum: STANDINGS }).notNull(),
    /** JSON array of skills. */
    does: text().notNull(),
    addedAt: text('added_at').notNull(),
  },
  (table) => [check('players_standing', oneOf(sql`${table.standing}`, STANDINGS))],
);
export type PlayerRow = typeof players.$inferSelect;
