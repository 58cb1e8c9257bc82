import { sql } from 'drizzle-orm';
import { check, index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { instruments } from '#server/features/instruments/instruments.table.ts';

/** What somebody has chosen where practice differs. Schools are data of the book: no CHECK lists them. */
export const schoolChoices = sqliteTable(
  'school_choices',
  {
    key: text().primaryKey(),
    instrumentId: text('instrument_id')
      .notNull()
      .references(() => instruments.id),
    school: text().notNull(),
    /** Null: back to the default. */
    choice: text(),
    chosenOn: text('chosen_on').notNull(),
    /** The set it came with; taking the set back takes its choices back. */
    sourceKey: text('source_key'),
    loggedAt: text('logged_at').notNull(),
  },
  (table) => [index('choices_of_instrument').on(table.instrumentId, table.loggedAt)],
);
export type SchoolChoiceRow = typeof schoolChoices.$inferSelect;

/** A set that was taken from a file. */
export const schoolSets = sqliteTable(
  'school_sets',
  {
    key: text().primaryKey(),
    instrumentId: text('instrument_id')
      .notNull()
      .references(() => instruments.id),
    name: text().notNull(),
    takenOn: text('taken_on').notNull(),
    loggedAt: text('logged_at').notNull(),
  },
  (table) => [check('school_sets_name', sql`length(${table.name}) between 1 and 120`)],
);
export type SchoolSetRow = typeof schoolSets.$inferSelect;
