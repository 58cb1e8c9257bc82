import type Database from 'better-sqlite3';

/** What later versions have changed on purpose: the columns that need not say what they said. */
const CHANGED: Readonly<Record<string, readonly string[]>> = {
  // Whether a fact stands in a record by itself: the plays of an evening do, what names instruments does in theirs alone.
  fact_subjects: ['listed_at'],
};

/** Every row of every table of a database, by the columns that are wanted, each as one line. */
export function rowsIn(
  client: Database.Database,
  columnsOf: (table: string, has: readonly string[]) => readonly string[] = (_table, has) => has,
): Map<string, { readonly columns: readonly string[]; readonly rows: readonly string[] }> {
  const tables = client
    .prepare<[], string>(
      "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name not like '\\_\\_%' escape '\\'",
    )
    .pluck()
    .all();
  return new Map(
    tables.map((table) => {
      const has = client.prepare<[string], string>('select name from pragma_table_info(?)').pluck().all(table);
      const columns = columnsOf(table, has).filter((column) => CHANGED[table]?.includes(column) !== true);
      const named = columns.map((column) => `"${column}"`).join(', ');
      const rows = columns.length === 0 ? [] : client.prepare(`select ${named} from "${table}"`).raw().all();
      return [table, { columns, rows: rows.map((row) => JSON.stringify(row)).toSorted() }];
    }),
  );
}
