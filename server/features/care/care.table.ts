import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { DECISION_KINDS } from '#core/care/care-decision.ts';
import { DONE_BY } from '#core/care/done-by.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
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

/** Signs somebody has seen: a stiff joint, lime, something stuck. */
export const signsNoticed = sqliteTable(
  'signs_noticed',
  {
    key: text().primaryKey(),
    instrumentId: text('instrument_id')
      .notNull()
      .references(() => instruments.id),
    itemId: text('item_id').notNull(),
    part: text({ enum: PART_IDS }).notNull(),
    noticedOn: text('noticed_on').notNull(),
    noticedAtMinute: integer('noticed_at_minute').notNull(),
    /** The end of the run whose look found it; null where somebody tapped it. */
    sourceKey: text('source_key'),
    loggedAt: text('logged_at').notNull(),
  },
  (table) => [
    check('signs_minute_of_day', sql`${table.noticedAtMinute} between 0 and 1439`),
    index('signs_of_item').on(table.instrumentId, table.itemId, table.noticedOn, table.noticedAtMinute),
  ],
);
export type SignNoticedRow = typeof signsNoticed.$inferSelect;

/** What a player has decided about an item: to let it wait, not to do it, or to take it up again. */
export const careDecisions = sqliteTable(
  'care_decisions',
  {
    key: text().primaryKey(),
    instrumentId: text('instrument_id')
      .notNull()
      .references(() => instruments.id),
    itemId: text('item_id').notNull(),
    kind: text({ enum: DECISION_KINDS }).notNull(),
    decidedOn: text('decided_on').notNull(),
    until: text(),
    loggedAt: text('logged_at').notNull(),
  },
  (table) => [
    check('care_decisions_kind', oneOf(sql`${table.kind}`, DECISION_KINDS)),
    check('care_decisions_until', sql`(${table.kind} = 'postponed') = (${table.until} is not null)`),
    index('decisions_of_item').on(table.instrumentId, table.itemId, table.loggedAt),
  ],
);
export type CareDecisionRow = typeof careDecisions.$inferSelect;

/** From here on what was learned before of how wet a player blows an instrument counts no longer. */
export const wetnessResets = sqliteTable(
  'wetness_resets',
  {
    key: text().primaryKey(),
    instrumentId: text('instrument_id')
      .notNull()
      .references(() => instruments.id),
    at: text().notNull(),
  },
  (table) => [index('resets_of_instrument').on(table.instrumentId, table.at)],
);
export type WetnessResetRow = typeof wetnessResets.$inferSelect;
