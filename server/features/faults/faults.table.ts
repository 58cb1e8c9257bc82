import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { MISHAPS, type CauseId, type SignId } from '#core/book/fault.ts';
import { ENDED_BY } from '#core/faults/fault-record.ts';
import { ANSWERS } from '#core/faults/stops.ts';
import { PART_IDS } from '#core/instruments/kind.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { oneOf } from '#server/db/one-of.ts';
import { ofInstrument } from '#server/features/instruments/instruments.table.ts';
import { facts } from '#server/record/record.table.ts';

/** The key of a row that hangs on another fact. */
const ofFact = () => ({
  factId: integer('fact_id')
    .primaryKey()
    .references(() => facts.id),
});

/** Something is wrong with an instrument, and what was noticed first. Signs and causes are data of the book. */
export const interviews = sqliteTable(
  'interviews',
  { ...ofInstrument(), noticed: text({ mode: 'json' }).$type<readonly SignId[]>().notNull() },
  (table) => [index('interviews_of_instrument').on(table.instrumentId)],
);

/** One answer; the last one to a sign counts. */
export const interviewAnswers = sqliteTable(
  'interview_answers',
  {
    ...ofFact(),
    interviewKey: text('interview_key').notNull(),
    sign: text().$type<SignId>().notNull(),
    answer: text({ enum: ANSWERS }).notNull(),
    noticed: integer({ mode: 'boolean' }).notNull(),
    /** What else is so, where everything was asked about at once; null where it was not. */
    also: text({ mode: 'json' }).$type<readonly SignId[]>(),
    /** Signs that were asked about with it; null where one was. */
    beside: text({ mode: 'json' }).$type<readonly SignId[]>(),
  },
  (table) => [
    check('interview_answers_answer', oneOf(sql`${table.answer}`, ANSWERS)),
    index('answers_of_interview').on(table.interviewKey),
  ],
);

/** A remedy that was tried, and whether it helped. */
export const interviewOutcomes = sqliteTable(
  'interview_outcomes',
  {
    ...ofFact(),
    interviewKey: text('interview_key').notNull(),
    cause: text().$type<CauseId>().notNull(),
    helped: integer({ mode: 'boolean' }).notNull(),
  },
  (table) => [index('outcomes_of_interview').on(table.interviewKey)],
);

/** Something that happened to an instrument outside of playing and care. */
export const mishaps = sqliteTable(
  'mishaps',
  {
    ...ofInstrument(),
    mishap: text({ enum: MISHAPS }).notNull(),
    part: text({ enum: PART_IDS }),
    happenedOn: text('happened_on').$type<LocalDate>().notNull(),
  },
  (table) => [
    check('mishaps_mishap', oneOf(sql`${table.mishap}`, MISHAPS)),
    index('mishaps_of_instrument').on(table.instrumentId),
  ],
);

/** Somebody has looked, or it is let be: of an interview or of what happened. */
export const faultEnds = sqliteTable(
  'fault_ends',
  {
    ...ofFact(),
    faultKey: text('fault_key').notNull(),
    by: text({ enum: ENDED_BY }).notNull(),
  },
  (table) => [check('fault_ends_by', oneOf(sql`${table.by}`, ENDED_BY)), index('ends_of_fault').on(table.faultKey)],
);
