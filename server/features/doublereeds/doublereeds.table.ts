import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { EXAMINATION_WAYS, HEARD, PITCH_FROM, REED_STEPS, type Noticed } from '#core/doublereeds/examination.ts';
import type { LookNoted } from '#core/doublereeds/examination-noted.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { oneOf } from '#server/db/one-of.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { bodyOf, ofPlayerId } from '#server/features/players/players.table.ts';

/** A reed that was laid on the table. */
export const examinations = sqliteTable(
  'reed_examinations',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    reedId: text('reed_id').$type<ReedId>().notNull(),
    way: text({ enum: EXAMINATION_WAYS }).notNull(),
    /** JSON array. */
    noticed: text({ mode: 'json' }).$type<readonly Noticed[]>().notNull(),
    soakedMinutes: integer('soaked_minutes').notNull(),
    interviewKey: text('interview_key'),
    interviewOf: text('interview_of')
      .$type<InstrumentId>()
      .references(() => instruments.id),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [
    check('reed_examinations_way', oneOf(sql`${table.way}`, EXAMINATION_WAYS)),
    index('examinations_of_player').on(table.playerId),
    index('examinations_of_reed').on(table.reedId),
    index('quick_examinations_of_player')
      .on(table.playerId, table.factId)
      .where(sql`way = 'quick'`),
  ],
);

/** Said at the table: the row, the examination it was said in, and when. */
const saidAt = () => ({
  factId: bodyOf(),
  examinationKey: text('examination_key').notNull(),
  atMs: integer('at_ms').notNull(),
});

/** What a look showed, or what was said of the soak. */
export const reedLooks = sqliteTable('reed_looks', {
  ...saidAt(),
  look: text().$type<LookNoted['look']>().notNull(),
  answer: text().$type<LookNoted['answer']>().notNull(),
});

/** What a reed sounded like by itself. */
export const reedCrows = sqliteTable(
  'reed_crows',
  {
    ...saidAt(),
    heard: text({ enum: HEARD }).notNull(),
    cents: integer(),
    from: text({ enum: PITCH_FROM }).notNull(),
  },
  (table) => [check('reed_crows_from', oneOf(sql`${table.from}`, PITCH_FROM))],
);

/** A step that was taken. */
export const reedSteps = sqliteTable(
  'reed_steps',
  {
    ...saidAt(),
    playerId: ofPlayerId(),
    step: text({ enum: REED_STEPS }).notNull(),
    tenths: integer().notNull(),
  },
  (table) => [
    check('reed_steps_step', oneOf(sql`${table.step}`, REED_STEPS)),
    check('reed_steps_tenths', sql`${table.tenths} > 0`),
    // The last clips of a player, however long the record.
    index('clips_of_player')
      .on(table.playerId, table.factId)
      .where(sql`step = 'clip'`),
  ],
);
