import { sql } from 'drizzle-orm';
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { CONDITION_IDS } from '#core/book/condition-ids.ts';
import { ALONE_IDS } from '#core/instruments/alone.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { players } from '#server/features/players/players.table.ts';
import { facts } from '#server/record/record.table.ts';

/**
 * A circumstance that changes what is due for a while: of one instrument, or of a player and all they play. Conditions
 * are data of the book: no CHECK lists them.
 */
export const conditions = sqliteTable(
  'conditions',
  {
    factId: integer('fact_id')
      .primaryKey()
      .references(() => facts.id),
    condition: text({ enum: CONDITION_IDS }).notNull(),
    instrumentId: text('instrument_id')
      .$type<InstrumentId>()
      .references(() => instruments.id),
    playerId: text('player_id')
      .$type<PlayerId>()
      .references(() => players.id),
    /** The instrument on whose page it was said; null where an earlier version did not keep it. */
    saidOn: text('said_on')
      .$type<InstrumentId>()
      .references(() => instruments.id),
    beginsOn: text('begins_on').$type<LocalDate>().notNull(),
    endsOn: text('ends_on').$type<LocalDate>(),
    part: text({ enum: PART_IDS }),
    /** The parts that are played by themselves, where that is what it is. */
    alone: text({ enum: ALONE_IDS }),
    celsius: real(),
    humidityPercent: real('humidity_percent'),
  },
  (table) => [
    check('conditions_of_one', sql`(${table.instrumentId} is null) <> (${table.playerId} is null)`),
    check('conditions_in_order', sql`${table.endsOn} is null or ${table.endsOn} >= ${table.beginsOn}`),
    index('conditions_of_instrument').on(table.instrumentId),
    index('conditions_of_player').on(table.playerId),
  ],
);

/** Its last day, said later; the last one said counts. */
export const conditionEnds = sqliteTable(
  'condition_ends',
  {
    factId: integer('fact_id')
      .primaryKey()
      .references(() => facts.id),
    conditionKey: text('condition_key').notNull(),
    endsOn: text('ends_on').$type<LocalDate>().notNull(),
  },
  (table) => [index('ends_of_condition').on(table.conditionKey)],
);
