import { sql, type SQL } from 'drizzle-orm';

/** A CHECK that keeps a text column to a list of words: Drizzle's `enum` is a promise to the compiler only. */
export const oneOf = (column: SQL, words: readonly string[]): SQL =>
  sql`${column} in (${sql.raw(words.map((word) => `'${word}'`).join(', '))})`;
