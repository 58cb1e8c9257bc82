import { and, asc, desc, eq, sql } from 'drizzle-orm';
import { isSchoolId } from '#core/schools/school-ids.ts';
import type { SchoolChoices } from '#core/schools/school.ts';
import type { Db } from '#server/db/connection.ts';
import { inForce } from '#server/features/record/record.table.ts';
import {
  schoolChoices,
  schoolSets,
  type SchoolChoiceRow,
  type SchoolSetRow,
} from '#server/features/schools/schools.table.ts';

const counts = () => and(inForce(schoolChoices.key), inForce(schoolChoices.sourceKey));

/** In the order they were made, so that the last one of a question wins. */
const standing = (db: Db) =>
  db
    .select()
    .from(schoolChoices)
    .where(and(eq(schoolChoices.instrumentId, sql.placeholder('instrumentId')), counts()))
    // What is logged in one moment keeps the order it came in.
    .orderBy(asc(schoolChoices.loggedAt), asc(sql`rowid`))
    .prepare();

export function createSchoolsRepository(db: Db) {
  const chosen = standing(db);
  return {
    /** What counts of an instrument's choices: the last of each question, unless that went back to the default. */
    choices: (instrumentId: string): SchoolChoices =>
      Object.fromEntries(
        chosen
          .all({ instrumentId })
          .filter(({ school }) => isSchoolId(school))
          .map(({ school, choice }) => [school, choice ?? undefined]),
      ),

    find: (key: string): SchoolChoiceRow | undefined =>
      db.select().from(schoolChoices).where(eq(schoolChoices.key, key)).get(),

    findSet: (key: string): SchoolSetRow | undefined =>
      db.select().from(schoolSets).where(eq(schoolSets.key, key)).get(),

    add: (choice: SchoolChoiceRow): void => {
      db.insert(schoolChoices).values(choice).run();
    },

    addSet: (set: SchoolSetRow): void => {
      db.insert(schoolSets).values(set).run();
    },

    /** Choices made one by one; those of a set stand under the set. */
    newest: (instrumentId: string, limit: number): SchoolChoiceRow[] =>
      db
        .select()
        .from(schoolChoices)
        .where(and(eq(schoolChoices.instrumentId, instrumentId), sql`${schoolChoices.sourceKey} is null`, counts()))
        .orderBy(desc(schoolChoices.loggedAt))
        .limit(limit)
        .all(),

    newestSets: (instrumentId: string, limit: number): SchoolSetRow[] =>
      db
        .select()
        .from(schoolSets)
        .where(and(eq(schoolSets.instrumentId, instrumentId), inForce(schoolSets.key)))
        .orderBy(desc(schoolSets.loggedAt))
        .limit(limit)
        .all(),
  };
}
