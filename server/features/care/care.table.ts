import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { SignId } from '#core/book/fault.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { DECISION_KINDS } from '#core/care/care-decision.ts';
import { DONE_BY } from '#core/care/done-by.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import { oneOf } from '#server/db/one-of.ts';
import { ofInstrument } from '#server/features/instruments/instruments.table.ts';
import type { Kept } from '#contract/fact.ts';
import type { lastDoneFact } from '#contract/care.ts';

export const careDone = sqliteTable(
  'care_done',
  {
    ...ofInstrument(),
    itemId: text('item_id').$type<CareItemId>().notNull(),
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
  {
    ...ofInstrument(),
    itemId: text('item_id').$type<CareItemId>().notNull(),
    /** Which of the signs that call for it; null where only that was said. */
    sign: text().$type<SignId>(),
    part: text({ enum: PART_IDS }).notNull(),
  },
  (table) => [index('signs_of_instrument').on(table.instrumentId)],
);

/** What a player has decided about an item: to let it wait, not to do it, or to take it up again. */
export const careDecisions = sqliteTable(
  'care_decisions',
  {
    ...ofInstrument(),
    itemId: text('item_id').$type<CareItemId>().notNull(),
    kind: text({ enum: DECISION_KINDS }).notNull(),
    until: text().$type<LocalDate>(),
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

/** What somebody remembers of an instrument that came with a history: one entry, with a fact of care for each item. */
export const lastDone = sqliteTable(
  'last_done',
  {
    ...ofInstrument(),
    /** JSON of what was sent: each item, its day and who did it. */
    items: text({ mode: 'json' }).$type<Kept<typeof lastDoneFact>['items']>().notNull(),
  },
  (table) => [index('last_done_of_instrument').on(table.instrumentId)],
);
