import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { DECISION_KINDS } from '#core/care/care-decision.ts';
import { DONE_BY } from '#core/care/done-by.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import { oneOf } from '#server/db/one-of.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { facts } from '#server/record/record.table.ts';

const ofInstrument = () => ({
  factId: integer('fact_id')
    .primaryKey()
    .references(() => facts.id),
  instrumentId: text('instrument_id')
    .notNull()
    .references(() => instruments.id),
});

export const careDone = sqliteTable(
  'care_done',
  {
    ...ofInstrument(),
    itemId: text('item_id').notNull(),
    by: text({ enum: DONE_BY }).notNull(),
    /** Day and minute of the spine as one number, and whether it counts: the last time of each item is one seek. */
    wallMinute: integer('wall_minute').notNull(),
    counts: integer({ mode: 'boolean' }).notNull().default(true),
  },
  (table) => [
    check('care_done_by', oneOf(sql`${table.by}`, DONE_BY)),
    index('care_of_item').on(table.instrumentId, table.itemId, table.counts, table.wallMinute, table.by),
  ],
);

/** Signs somebody has seen: a stiff joint, lime, something stuck. */
export const signsNoticed = sqliteTable(
  'signs_noticed',
  { ...ofInstrument(), itemId: text('item_id').notNull(), part: text({ enum: PART_IDS }).notNull() },
  (table) => [index('signs_of_instrument').on(table.instrumentId)],
);

/** What a player has decided about an item: to let it wait, not to do it, or to take it up again. */
export const careDecisions = sqliteTable(
  'care_decisions',
  {
    ...ofInstrument(),
    itemId: text('item_id').notNull(),
    kind: text({ enum: DECISION_KINDS }).notNull(),
    until: text(),
  },
  (table) => [
    check('care_decisions_kind', oneOf(sql`${table.kind}`, DECISION_KINDS)),
    check('care_decisions_until', sql`(${table.kind} = 'postponed') = (${table.until} is not null)`),
    index('decisions_of_instrument').on(table.instrumentId),
  ],
);

/** From here on what was learned before of how wet a player blows an instrument counts no longer. */
export const wetnessResets = sqliteTable('wetness_resets', ofInstrument(), (table) => [
  index('resets_of_instrument').on(table.instrumentId),
]);
