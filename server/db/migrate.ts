import type Database from 'better-sqlite3';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { readFileSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { HOME } from '#server/home.ts';
import { MigrationRefusal, pendingMigrations, type JournalEntry } from '#server/db/migration-order.ts';

export const migrationsFolder = path.join(HOME, 'server/db/migrations');
/** In the name of a copy until it is whole. */
export const COPY_IN_THE_MAKING = '.in-the-making';

export function readJournal(folder = migrationsFolder): JournalEntry[] {
  const { entries } = JSON.parse(readFileSync(path.join(folder, 'meta/_journal.json'), 'utf8')) as {
    entries: JournalEntry[];
  };
  return entries;
}

/** Stamps of the migrations a database has seen; none for a new file. */
export function appliedMigrations(client: Database.Database): number[] {
  const table = client
    .prepare("select 1 from sqlite_master where type = 'table' and name = '__drizzle_migrations'")
    .get();
  if (table === undefined) return [];
  return client.prepare('select created_at from __drizzle_migrations').pluck().all().map(Number);
}

/** @throws MigrationFault when rows point at nothing */
function refuseOrphans(client: Database.Database, when: 'before' | 'after'): void {
  const [first, ...more] = client
    .prepare<[], { readonly table: string; readonly parent: string }>(
      'select "table", parent from pragma_foreign_key_check',
    )
    .all();
  if (first === undefined) return;
  const rows = `${more.length + 1} ${more.length === 0 ? 'row points' : 'rows point'} at nothing (${first.table} at ${first.parent})`;
  throw new MigrationRefusal(
    'orphans',
    when === 'before'
      ? `In this record ${rows}, so it is not carried over to this version. It was left as it is.`
      : `Carried over to this version, ${rows} in this record. It was left as it was before.`,
  );
}

/**
 * Runs `change` in one transaction with foreign keys off, and looks for rows that point at nothing before and after: if
 * there are any, nothing is changed.
 *
 * drizzle-kit changes a CHECK by rebuilding the table and writes `PRAGMA foreign_keys=OFF` into the migration, but
 * SQLite ignores that line inside a transaction. The rebuild's DROP TABLE would then delete or blank every row that
 * points at the table.
 *
 * @throws MigrationFault when rows point at nothing
 */
export function allOrNothing(client: Database.Database, change: () => void): void {
  client.pragma('foreign_keys = OFF');
  try {
    client
      .transaction(() => {
        refuseOrphans(client, 'before');
        change();
        refuseOrphans(client, 'after');
      })
      .immediate();
  } finally {
    client.pragma('foreign_keys = ON');
  }
}

/** Copies the file beside itself: under its name only once it is whole. */
function copyAside(client: Database.Database, copy: string): void {
  const making = `${copy}${COPY_IN_THE_MAKING}`;
  rmSync(making, { force: true });
  try {
    client.prepare('vacuum into ?').run(making);
    renameSync(making, copy);
  } catch (error) {
    rmSync(making, { force: true });
    throw error;
  }
}

/**
 * Brings the database up to this version. A file with something in it is copied beside itself first; the copy's name
 * says before which migration it was taken.
 *
 * @returns how many migrations were run
 * @throws MigrationFault when it cannot be; the file is then as it was
 */
export function migrateDatabase(client: Database.Database, file: string, folder = migrationsFolder): number {
  const applied = appliedMigrations(client);
  const pending = pendingMigrations(readJournal(folder), applied);
  const [first] = pending;
  if (first === undefined) return 0;
  if (applied.length > 0) copyAside(client, `${file}.before-${first.tag}-${Date.now()}.bak`);
  const wanted = new Set(pending.map(({ when }) => when));
  const files = readMigrationFiles({ migrationsFolder: folder }).filter(({ folderMillis }) => wanted.has(folderMillis));
  allOrNothing(client, () => {
    // The table Drizzle keeps its stamps in, so that its own tools read the file as well.
    client.exec(
      'create table if not exists __drizzle_migrations (id serial primary key, hash text not null, created_at numeric)',
    );
    const stamp = client.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)');
    for (const { sql, hash, folderMillis } of files) {
      for (const statement of sql) client.exec(statement);
      stamp.run(hash, folderMillis);
    }
  });
  return pending.length;
}
