import { sql } from 'drizzle-orm';
import { check, index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { LineSaid } from '#core/calendar/handover.ts';
import { HANDOVER_LISTS } from '#core/book/packing.ts';
import { oneOf } from '#server/db/one-of.ts';
import { ofInstrument } from '#server/features/instruments/instruments.table.ts';

/** An instrument that was packed for the bench or fetched from it. Lines are data of the book. */
export const handovers = sqliteTable(
  'handovers',
  {
    ...ofInstrument(),
    list: text({ enum: HANDOVER_LISTS }).notNull(),
    lines: text({ mode: 'json' }).$type<readonly LineSaid[]>().notNull(),
  },
  (table) => [
    check('handovers_list', oneOf(sql`${table.list}`, HANDOVER_LISTS)),
    index('handovers_of_instrument').on(table.instrumentId),
  ],
);
