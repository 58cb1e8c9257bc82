import { sql } from 'drizzle-orm';
import { check, index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Reading } from '#core/inspections/inspection.ts';
import { TAKEN_BY } from '#core/inspections/measures-for.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { oneOf } from '#server/db/one-of.ts';
import { ofInstrument } from '#server/features/instruments/instruments.table.ts';

/** An instrument that was looked over, and what was read. Measures and places are data of the book. */
export const inspections = sqliteTable(
  'inspections',
  {
    ...ofInstrument(),
    readOn: text('read_on').$type<LocalDate>().notNull(),
    by: text({ enum: TAKEN_BY }).notNull(),
    readings: text({ mode: 'json' }).$type<readonly Reading[]>().notNull(),
  },
  (table) => [
    check('inspections_by', oneOf(sql`${table.by}`, TAKEN_BY)),
    index('inspections_of_instrument').on(table.instrumentId),
  ],
);
