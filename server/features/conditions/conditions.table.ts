import { sql } from 'drizzle-orm';
import { check, index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { CONDITION_IDS } from '#core/conditions/condition-ids.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { players } from '#server/features/players/players.table.ts';

/**
 * A circumstance that changes what is due for a while: of one instrument, or of a player and all they play. Conditions
 * are data of the book: no CHECK lists them.
 */
export const conditions = sqliteTable(
  'conditions',
  {
    key: text().primaryKey(),
    condition: text({ enum: CONDITION_IDS }).notNull(),
    instrumentId: text('instrument_id').references(() => instruments.id),
    playerId: text('player_id').references(() => players.id),
    beginsOn: text('begins_on').notNull(),
    endsOn: text('ends_on'),
    part: text({ enum: PART_IDS }),
    celsius: real(),
    humidityPercent: real('humidity_percent'),
    loggedAt: text('logged_at').notNull(),
  },
  (table) => [
    check('conditions_of_one', sql`(${table.instrumentId} is null) <> (${table.playerId} is null)`),
    check('conditions_in_order', sql`${table.endsOn} is null or ${table.endsOn} >= ${table.beginsOn}`),
    index('conditions_of_instrument').on(table.instrumentId, table.beginsOn),
    index('conditions_of_player').on(table.playerId, table.beginsOn),
  ],
);
export type ConditionRow = typeof conditions.$inferSelect;

/** Its last day, said later; the last one said counts. */
export const conditionEnds = sqliteTable(
  'condition_ends',
  {
    key: text().primaryKey(),
    conditionKey: text('condition_key')
      .notNull()
      .references(() => conditions.key),
    endsOn: text('ends_on').notNull(),
    loggedAt: text('logged_at').notNull(),
  },
  (table) => [index('ends_of_condition').on(table.conditionKey, table.loggedAt)],
);
export type ConditionEndRow = typeof conditionEnds.$inferSelect;
