import { and, eq, sql } from 'drizzle-orm';
import { alias, type SelectedFields } from 'drizzle-orm/sqlite-core';
import type { Db } from '#server/db/connection.ts';
import type { BodyTable } from '#server/record/define-fact.ts';
import { facts } from '#server/record/record.table.ts';

/** The fact whose place another takes. */
export const original = alias(facts, 'original');

/** The key a fact is known under: what was corrected keeps that of the original. */
export const knownKey = sql<string>`coalesce(${original.key}, ${facts.key})`;

/**
 * What counts of a kind: the rows of its table whose facts do, each under the key it is known by, and with whatever is
 * asked for of the row and its fact. `where`, order and limit are the reader's.
 */
export const counting = <Asked extends SelectedFields>(db: Db, table: BodyTable, asked: Asked) =>
  db
    .select({ key: knownKey, ...asked })
    .from(table)
    .innerJoin(facts, and(eq(facts.id, table.factId), eq(facts.counts, true)))
    .leftJoin(original, eq(original.id, facts.corrects))
    .$dynamic();
