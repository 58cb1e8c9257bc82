import { sql } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Db } from '#server/db/connection.ts';

type Row = Readonly<Record<string, unknown>>;
type Insert = (row: Row) => number;

const made = new WeakMap<Db, WeakMap<SQLiteTable, Map<string, Insert>>>();

/** Builds the statement that inserts just these columns. */
function prepare(db: Db, table: SQLiteTable, columns: readonly string[]): Insert {
  const values = Object.fromEntries(columns.map((column) => [column, sql.placeholder(column)]));
  const statement = db
    .insert(table)
    .values(values as never)
    .prepare();
  return (row) => Number(statement.run(row).lastInsertRowid);
}

/**
 * Inserts a row by a statement that is built once for a table and its columns: building it anew costs more than running
 * it, and a record is filled row by row.
 *
 * @returns the number of the row
 */
export function insertRow(db: Db, table: SQLiteTable, row: Row): number {
  const ofDb = made.get(db) ?? new WeakMap<SQLiteTable, Map<string, Insert>>();
  made.set(db, ofDb);
  const ofTable = ofDb.get(table) ?? new Map<string, Insert>();
  ofDb.set(table, ofTable);
  const columns = Object.keys(row);
  const key = columns.join();
  const insert = ofTable.get(key) ?? prepare(db, table, columns);
  ofTable.set(key, insert);
  return insert(row);
}
