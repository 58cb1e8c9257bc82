import Database from 'better-sqlite3';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { allOrNothing, migrationsFolder, readJournal } from '#server/db/migrate.ts';
import { aFact } from '#server/testing/old-fact.ts';
import { ROWS_AFTER } from '#server/testing/old-rows.ts';
import { rowsIn } from '#server/testing/rows-in.ts';

/** The last version of which every table has its row written. */
const WRITTEN_UP_TO = '0022_parts_and_the_way';

type Column = { readonly name: string; readonly type: string };
/** A row of a table nobody has written one of, as its columns ask for it: a fact with this as its body. */
function rowMadeOf(client: Database.Database, table: string): string {
  const columns = client.prepare<[string], Column>('select name, type from pragma_table_info(?)').all(table);
  const parents = new Map(
    client
      .prepare<[string], readonly [string, string]>('select "from", "table" from pragma_foreign_key_list(?)')
      .raw()
      .all(table),
  );
  const valueOf = ({ name, type }: Column): string => {
    const parent = parents.get(name);
    if (parent === 'players') return `'ada'`;
    if (parent === 'instruments') return `'cl'`;
    return type.toLowerCase() === 'text' ? `'some ${name}'` : '7';
  };
  const body = Object.fromEntries(
    columns.filter(({ name }) => name !== 'fact_id').map((column) => [column.name, valueOf(column)]),
  );
  return aFact({ key: `made-${table}`, kind: table.replaceAll('_', '-'), table, body, about: ['ada', 'cl'] });
}
/** A plan that is shown is made anew where it is not there; a second key is no more than a second tab's. */
const WITHOUT_ROWS: readonly string[] = ['other_keys', 'shown_sittings'];
function fillEmptyTables(client: Database.Database): void {
  for (const [table, { columns, rows }] of rowsIn(client))
    if (rows.length === 0 && columns.includes('fact_id') && !WITHOUT_ROWS.includes(table))
      client.exec(rowMadeOf(client, table));
}

export const statementsOf = (tag: string): string[] =>
  readFileSync(path.join(migrationsFolder, `${tag}.sql`), 'utf8').split('--> statement-breakpoint');

/** A database as it was after the first `count` migrations, with rows written as each of them knew them. */
export function databaseAfter(count: number, file: string): Database.Database {
  const client = new Database(file);
  client.pragma('foreign_keys = ON');
  client.exec('create table __drizzle_migrations (id integer primary key, hash text not null, created_at numeric)');
  for (const { tag, when } of readJournal().slice(0, count)) {
    for (const statement of statementsOf(tag)) client.exec(statement);
    client.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(tag, when);
    // At once, so that every later migration is tried on them.
    client.exec(ROWS_AFTER[tag] ?? '');
    if (tag > WRITTEN_UP_TO) fillEmptyTables(client);
  }
  return client;
}

/** Carries a database on by the statements of the migrations between, as each version of before did it: all or nothing. */
export function carriedOn(client: Database.Database, from: number, to: number): void {
  allOrNothing(client, () => {
    for (const { tag, when } of readJournal().slice(from, to)) {
      for (const statement of statementsOf(tag)) client.exec(statement);
      client.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(tag, when);
    }
  });
}
