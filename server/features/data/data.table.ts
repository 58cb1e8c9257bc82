import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { TABLE_KINDS } from '#core/data/table-columns.ts';
import { bodyOf, ofPlayerId } from '#server/features/players/players.table.ts';

/** Tables that were brought in: each row is a fact of its own that came with it. */
export const tableImports = sqliteTable('table_imports', {
  factId: bodyOf(),
  playerId: ofPlayerId(),
  what: text({ enum: TABLE_KINDS }).notNull(),
  /** What the file was called. */
  name: text().notNull(),
  /** How many rows came in. */
  rows: integer().notNull(),
});
