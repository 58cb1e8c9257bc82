import type { Db } from '#server/db/connection.ts';

/**
 * A statement that is built once for each database: building one anew costs more than running it, and whole records are
 * read and written row by row.
 */
export function preparedOnce<Prepared extends object>(prepare: (db: Db) => Prepared): (db: Db) => Prepared {
  const made = new WeakMap<Db, Prepared>();
  return (db) => {
    const known = made.get(db) ?? prepare(db);
    made.set(db, known);
    return known;
  };
}
