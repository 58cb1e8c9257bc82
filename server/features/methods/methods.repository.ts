import { asc, count, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import { isMethodId } from '#core/book/method-ids.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import type { Db } from '#server/db/connection.ts';
import { methodChoices } from '#server/features/methods/methods.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

const set = alias(facts, 'the_set');

export function createMethodsRepository(db: Db) {
  // In the order they were made, so that the last one of a question wins.
  const chosen = counting(db, methodChoices, { method: methodChoices.method, choice: methodChoices.choice })
    .where(eq(methodChoices.instrumentId, sql.placeholder('instrumentId')))
    .orderBy(asc(facts.id))
    .prepare();
  return {
    /** What counts of an instrument's choices: the last of each question, unless that went back to the default. */
    choices: (instrumentId: string): MethodChoices =>
      Object.fromEntries(
        chosen
          .all({ instrumentId })
          .filter(({ method }) => isMethodId(method))
          .map(({ method, choice }) => [method, choice ?? undefined]),
      ),

    /** How many choices came with a set. */
    takenWith: (setKey: string): number =>
      db
        .select({ taken: count() })
        .from(set)
        .innerJoin(facts, eq(facts.belongsTo, set.id))
        .where(eq(set.key, setKey))
        .get()?.taken ?? 0,
  };
}
export type MethodsRepository = ReturnType<typeof createMethodsRepository>;
