import { getTableColumns, sql, type SQL } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import type { BodyStore } from '#server/record/define-fact.ts';

type Asked = { readonly store: BodyStore<unknown>; readonly ids: readonly number[] };

/** A branch of the one statement: its number, the columns of its table, and nulls up to the width of the widest. */
function branchOf({ store: { table }, ids }: Asked, at: number, width: number): SQL {
  const columns = Object.values(getTableColumns(table)).map((column) => sql`${column}`);
  const padding = Array.from({ length: width - columns.length }, () => sql`null`);
  const chosen = sql.join([sql`${at}`, ...columns, ...padding], sql`, `);
  return sql`select ${chosen} from ${table} where ${table.factId} in (select value from json_each(${JSON.stringify(ids)}))`;
}

/**
 * The bodies of many facts of any kinds in one statement, by the number of the fact. A kind whose body is more than one
 * row of its table is read fact by fact.
 *
 * @throws Error when the spine has a fact whose body is missing
 */
export function readBodies(db: Db, all: readonly Asked[]): ReadonlyMap<number, unknown> {
  const bodies = new Map<number, unknown>();
  const rows = all.filter(({ store, ids }) => store.fromRow !== undefined && ids.length > 0);
  for (const { store, ids } of all)
    if (store.fromRow === undefined) for (const id of ids) bodies.set(id, store.read(db, id));
  if (rows.length === 0) return bodies;
  const width = Math.max(...rows.map(({ store }) => Object.keys(getTableColumns(store.table)).length));
  const branches = rows.map((one, at) => branchOf(one, at, width));
  for (const [at, ...values] of db.values<unknown[]>(sql.join(branches, sql` union all `))) {
    const store = rows[Number(at)]?.store;
    if (store?.fromRow === undefined) continue;
    const named = Object.entries(getTableColumns(store.table)).map(([name, column], index) => {
      const value = values[index] ?? null;
      return [name, value === null ? null : column.mapFromDriverValue(value)];
    });
    const row = Object.fromEntries(named) as Record<string, unknown>;
    bodies.set(Number(row['factId']), store.fromRow(row as never));
  }
  for (const { ids } of all)
    for (const id of ids) if (!bodies.has(id)) throw new Error(`the record has no body of fact ${id}`);
  return bodies;
}
