import { sql, type SQL } from 'drizzle-orm';
import { sqliteTable, text, type SQLiteColumn } from 'drizzle-orm/sqlite-core';

/** Facts are never deleted: taking one back is a fact of its own. */
export const withdrawals = sqliteTable('withdrawals', {
  key: text().primaryKey(),
  targetKey: text('target_key').notNull().unique(),
  at: text().notNull(),
});
export type WithdrawalRow = typeof withdrawals.$inferSelect;

/** Holds for a fact nobody has taken back. A null key cannot have been. */
export const inForce = (key: SQLiteColumn): SQL =>
  sql`not exists (select 1 from ${withdrawals} where ${withdrawals.targetKey} = ${key})`;
