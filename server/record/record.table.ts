import { sql } from 'drizzle-orm';
import {
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core';
import type { Instant } from '#core/time/instant.ts';
import type { SubjectKind } from '#core/record/fact.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** The spine of the record: one row for each fact of whatever kind. Nothing is ever changed in it but `counts`. */
export const facts = sqliteTable(
  'facts',
  {
    /** Order of arrival. Bodies refer to it: a join by key costs six times as much. */
    id: integer().primaryKey(),
    /** Made by the client; facts that come with another have a key made from it. */
    key: text().notNull().unique(),
    /** Kinds are data: no CHECK lists them, so that a new kind needs no migration of the spine. */
    kind: text().notNull(),
    on: text().$type<LocalDate>().notNull(),
    atMinute: integer('at_minute'),
    loggedAt: text('logged_at').$type<Instant>().notNull(),
    /** The original this fact takes the place of. */
    corrects: integer().references((): AnySQLiteColumn => facts.id),
    /** The fact this one came with; it counts only while that one does. */
    belongsTo: integer('belongs_to').references((): AnySQLiteColumn => facts.id),
    /** Follows from the withdrawals and corrections; see core/record/what-counts. Kept so that readers need not ask. */
    counts: integer({ mode: 'boolean' }).notNull().default(true),
  },
  (table) => [
    index('facts_corrects')
      .on(table.corrects)
      .where(sql`corrects is not null`),
    index('facts_belongs_to')
      .on(table.belongsTo)
      .where(sql`belongs_to is not null`),
  ],
);

/** What facts are about: an instrument, a player. Every fact that touches one makes its revision one higher. */
export const subjects = sqliteTable(
  'subjects',
  {
    id: integer().primaryKey(),
    kind: text().$type<SubjectKind>().notNull(),
    name: text().notNull(),
    revision: integer().notNull().default(0),
  },
  (table) => [uniqueIndex('subjects_by_name').on(table.kind, table.name)],
);

export const factSubjects = sqliteTable(
  'fact_subjects',
  {
    factId: integer('fact_id')
      .notNull()
      .references(() => facts.id),
    subjectId: integer('subject_id')
      .notNull()
      .references(() => subjects.id),
    /** Wall minute under which the fact is listed; null for one that is told under the fact it belongs to. */
    listedAt: integer('listed_at'),
  },
  (table) => [
    primaryKey({ columns: [table.factId, table.subjectId] }),
    index('facts_of_subject').on(table.subjectId, table.listedAt),
  ],
);

/** Other keys a fact is known under: a second tab's start is answered with the run that is there, and keeps its key. */
export const otherKeys = sqliteTable('other_keys', {
  key: text().primaryKey(),
  factId: integer('fact_id')
    .notNull()
    .references(() => facts.id),
  /** JSON of what was sent under this key. */
  sent: text().notNull(),
});

/** Taking a fact back is a fact of its own. Old records may name a target that is not there: no foreign key. */
export const withdrawals = sqliteTable('withdrawals', {
  factId: integer('fact_id')
    .primaryKey()
    .references(() => facts.id),
  targetKey: text('target_key').notNull().unique(),
});
