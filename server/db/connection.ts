import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { accessSync, constants, existsSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import { migrateDatabase } from '#server/db/migrate.ts';

export type Db = BetterSQLite3Database;
export type OpenDatabase = { readonly db: Db; readonly client: Database.Database; readonly close: () => void };

/** The data folder or the file in it cannot be used; the message says what to do. */
export class DataFolderFault extends Error {}

export const DATABASE_FILE = 'ulu.db';

/** One folder at a time: Node's `recursive` never returns where a file system refuses new folders with ENOENT. */
function makeFolder(folder: string): void {
  const missing: string[] = [];
  for (let at = folder; !existsSync(at); at = path.dirname(at)) missing.unshift(at);
  for (const one of missing) mkdirSync(one);
}

/** Makes the folder if it is missing. @throws DataFolderFault when it cannot be made or written */
function writableFolder(folder: string): void {
  try {
    makeFolder(folder);
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new DataFolderFault(
      `The data folder ${folder} cannot be written (${(error as Error).message}). Choose another with --data FOLDER.`,
    );
  }
}

/**
 * Opens, and where needed makes or migrates, the database of a data folder.
 *
 * @throws DataFolderFault when the folder or the file cannot be used
 * @throws MigrationFault when the file is from a newer version
 */
export function openDatabase(folder: string): OpenDatabase {
  writableFolder(folder);
  const file = path.join(folder, DATABASE_FILE);
  let client: Database.Database;
  try {
    client = new Database(file);
    client.pragma('journal_mode = WAL');
  } catch (error) {
    throw new DataFolderFault(
      `${file} cannot be opened (${(error as Error).message}). Is it an Ulu database, and may it be written?`,
    );
  }
  try {
    client.pragma('foreign_keys = ON');
    client.pragma('busy_timeout = 5000');
    client.pragma('synchronous = NORMAL');
    const db = drizzle({ client });
    migrateDatabase(client, db, file);
    if (client.pragma('foreign_keys', { simple: true }) !== 1) throw new Error('foreign keys could not be switched on');
    return { db, client, close: () => client.close() };
  } catch (error) {
    client.close();
    throw error;
  }
}
