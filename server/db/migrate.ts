import type Database from 'better-sqlite3';
import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate as runMigrations } from 'drizzle-orm/better-sqlite3/migrator';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { pendingMigrations, type JournalEntry } from '#server/db/migration-order.ts';

export const migrationsFolder = path.join(import.meta.dirname, 'migrations');

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

/**
 * Runs `migrate` with foreign keys off and checks them afterwards.
 *
 * drizzle-kit changes a CHECK by rebuilding the table and writes `PRAGMA foreign_keys=OFF` into the migration, but
 * SQLite ignores that line inside the transaction Drizzle opens. The rebuild's DROP TABLE would then delete or blank
 * every row that points at the table.
 *
 * @throws Error when rows point at nothing afterwards
 */
export function withForeignKeysOff(client: Database.Database, migrate: () => void): void {
  client.pragma('foreign_keys = OFF');
  try {
    migrate();
    const broken = client.pragma('foreign_key_check') as unknown[];
    if (broken.length > 0)
      throw new Error(`${broken.length} rows point at nothing; restore the copy made before the migration`);
  } finally {
    client.pragma('foreign_keys = ON');
  }
}

/**
 * Brings the database up to this version. A file with something in it is copied beside itself first; the copy's name
 * says before which migration it was taken.
 *
 * @returns how many migrations were run
 */
export function migrateDatabase(
  client: Database.Database,
  db: BetterSQLite3Database,
  file: string,
  folder = migrationsFolder,
): number {
  const applied = appliedMigrations(client);
  const pending = pendingMigrations(readJournal(folder), applied);
  const [first] = pending;
  if (first === undefined) return 0;
  if (applied.length > 0) client.prepare('vacuum into ?').run(`${file}.before-${first.tag}-${Date.now()}.bak`);
  withForeignKeysOff(client, () => runMigrations(db, { migrationsFolder: folder }));
  return pending.length;
}
