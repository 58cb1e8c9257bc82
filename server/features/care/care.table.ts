import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { DONE_BY } from '#core/care/done-by.ts';
import { oneOf } from '#server/db/one-of.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';

export const careDone = sqliteTable(
  'care_done',
  {
    key: text().primaryKey(),
    instrumentId: text('instrument_id')
      .notNull()
      .references(() => instruments.id),
    itemId: text('item_id').notNull(),
    doneOn: text('done_on').notNull(),
    doneAtMinute: integer('done_at_minute').notNull(),
    by: text({ enum: DONE_BY }).notNull(),
    /** The `finished` event of the run that did it; null when logged by itself. */
    sourceKey: text('source_key'),
    loggedAt: text('logged_at').notNull(),
  },
  (table) => [
    check('care_done_by', oneOf(sql`${table.by}`, DONE_BY)),
    check('care_done_minute_of_day', sql`${table.doneAtMinute} between 0 and 1439`),
    index('care_of_item').on(table.instrumentId, table.itemId, table.doneOn, table.doneAtMinute),
    index('care_of_source').on(table.sourceKey),
  ],
);
export type CareDoneRow = typeof careDone.$inferSelect;
