import { sql } from 'drizzle-orm';
import { check, index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { MethodSet } from '#core/methods/method-set-format.ts';
import { ofInstrument } from '#server/features/instruments/instruments.table.ts';

/** What somebody has chosen where practice differs. Methods are data of the book: no CHECK lists them. */
export const methodChoices = sqliteTable(
  'method_choices',
  {
    ...ofInstrument(),
    method: text().notNull(),
    /** Null: back to the default. */
    choice: text(),
  },
  (table) => [index('choices_of_instrument').on(table.instrumentId)],
);

/** A set that was taken from a file. */
export const methodSets = sqliteTable(
  'method_sets',
  {
    ...ofInstrument(),
    name: text().notNull(),
    /** JSON of the set as it was sent; null where an earlier version did not keep it. */
    set: text({ mode: 'json' }).$type<MethodSet>(),
  },
  (table) => [check('method_sets_name', sql`length(${table.name}) between 1 and 120`)],
);
