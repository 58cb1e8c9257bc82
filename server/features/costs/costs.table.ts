import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { WorkId } from '#core/book/work.ts';
import { BILL_SORTS } from '#core/costs/bill.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { oneOf } from '#server/db/one-of.ts';
import { ofInstrument } from '#server/features/instruments/instruments.table.ts';
import { players } from '#server/features/players/players.table.ts';
import { facts } from '#server/record/record.table.ts';

/** What was asked or paid for an instrument, in the smallest coins. */
export const bills = sqliteTable(
  'bills',
  {
    ...ofInstrument(),
    sort: text({ enum: BILL_SORTS }).notNull(),
    works: text({ mode: 'json' }).$type<readonly WorkId[]>().notNull(),
    what: text(),
    costMinor: integer('cost_minor').notNull(),
    currency: text().notNull(),
    saidOn: text('said_on').$type<LocalDate>().notNull(),
  },
  (table) => [
    check('bills_sort', oneOf(sql`${table.sort}`, BILL_SORTS)),
    index('bills_of_instrument').on(table.instrumentId),
    // The last price of the record says its currency.
    index('bills_paid').on(table.factId, table.currency),
  ],
);

/** What a player has put aside so far. */
export const savings = sqliteTable(
  'savings',
  {
    factId: integer('fact_id')
      .primaryKey()
      .references(() => facts.id),
    playerId: text('player_id')
      .$type<PlayerId>()
      .notNull()
      .references(() => players.id),
    amountMinor: integer('amount_minor').notNull(),
    currency: text().notNull(),
  },
  (table) => [index('savings_of_player').on(table.playerId), index('savings_counted').on(table.factId, table.currency)],
);
