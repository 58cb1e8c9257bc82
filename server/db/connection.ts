import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { accessSync, constants, existsSync, mkdirSync, readdirSync, rmSync, statfsSync, statSync } from 'node:fs';
import path from 'node:path';
import { asError } from '#core/kernel/as-error.ts';
import { ClaimRefusal, claimFolder, FolderTaken } from '#server/db/claim.ts';
import { appliedMigrations, COPY_IN_THE_MAKING, migrateDatabase, readJournal } from '#server/db/migrate.ts';
import { MigrationRefusal } from '#server/db/migration-order.ts';
import { recordTrouble } from '#server/db/record-trouble.ts';
import { watchFile, type RecordWatch } from '#server/db/watch-file.ts';

export type Db = BetterSQLite3Database & { readonly $client: Database.Database };
export type OpenDatabase = {
  readonly db: Db;
  readonly client: Database.Database;
  readonly watch: RecordWatch;
  readonly close: () => void;
};

/** The data folder or the file in it cannot be used; the message says what to do. */
export class DataFolderRefusal extends Error {}

/** The file in the data folder cannot be read as a record any more. */
export class RecordDamaged extends DataFolderRefusal {}

export const DATABASE_FILE = 'ulu.db';
/** While it starts, Ulu waits for another program to let go of the file; later nobody waits inside a request. */
const WAIT_AT_START_MS = 3000;

/** One folder at a time: Node's `recursive` never returns where a file system refuses new folders with ENOENT. */
export function makeFolder(folder: string): void {
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
    throw new DataFolderRefusal(
      `The data folder ${folder} cannot be written (${asError(error).message}). Choose another with --data FOLDER.`,
    );
  }
}

/** What a copy or a migration that was cut off has left behind. */
function clearLeftovers(folder: string): void {
  for (const name of readdirSync(folder))
    if (name.startsWith(`${DATABASE_FILE}.`) && name.includes(COPY_IN_THE_MAKING))
      rmSync(path.join(folder, name), { recursive: true, force: true });
}

/** @throws DataFolderFault when the file is a database, and not one of Ulu's */
function refuseForeign(client: Database.Database, file: string): void {
  const tables = client.prepare("select name from sqlite_master where type = 'table'").pluck().all();
  if (tables.length > 0 && !tables.includes('__drizzle_migrations'))
    throw new DataFolderRefusal(
      `${file} is a database, but not one of Ulu’s. It was left as it is. Choose another folder with --data FOLDER.`,
    );
}

/** A larger file is looked over once the server answers, unless it is to be carried over: nobody waits for that. */
const LARGEST_LOOKED_OVER_FIRST = 64_000_000;

/** @throws DataFolderFault when pages of the file do not hold together, as far as that is soon said */
function refuseDamaged(client: Database.Database, file: string): void {
  const isOfThisVersion = appliedMigrations(client).length === readJournal().length;
  if (isOfThisVersion && statSync(file).size > LARGEST_LOOKED_OVER_FIRST) return;
  const found = client.pragma('quick_check(1)', { simple: true });
  if (found !== 'ok')
    throw new RecordDamaged(
      `${file} is damaged. It was left as it is. Put a copy of it in its place, and start again.`,
    );
}

/** Where there is none SQLite says now that the disk is full, now that it cannot write. */
function hasRoom(folder: string): boolean {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize > LEAST_ROOM;
}
const LEAST_ROOM = 1_000_000;

/** What a fault of SQLite while the file is opened means to a person. */
function openingRefusal(error: unknown, file: string): Error {
  if (error instanceof DataFolderRefusal || error instanceof MigrationRefusal) return error;
  const message = asError(error).message;
  const state = recordTrouble(error)?.state;
  switch (state) {
    case 'busy':
      return new DataFolderRefusal(`Another program holds ${file}. Close it there, and start Ulu again.`);
    case 'full':
      return new DataFolderRefusal(
        `The disk is full, so ${file} cannot be opened. Nothing in it was changed. Make room first.`,
      );
    case 'damaged':
      return new RecordDamaged(
        `${file} is no Ulu database, or is damaged (${message}). It was left as it is. Choose another folder with --data FOLDER.`,
      );
    case 'gone':
      if (!hasRoom(path.dirname(file)))
        return openingRefusal(Object.assign(asError(error), { code: 'SQLITE_FULL' }), file);
      return new DataFolderRefusal(
        `${file} cannot be written (${message}). May you write it? Nothing in it was changed.`,
      );
    case undefined:
      return new DataFolderRefusal(`${file} cannot be opened (${message}). Nothing in it was changed.`);
  }
}

/** Drizzle on an open database. */
export const dbOn = (client: Database.Database): Db => drizzle({ client });

/** Told of every statement that is run, and of every one that is built: what counts them in tests. */
export type Watching = { readonly statement?: (sql: string) => void; readonly built?: (sql: string) => void };

/** Tells of every statement that is built. */
function telling(client: Database.Database, built: (sql: string) => void): void {
  const prepare = client.prepare.bind(client);
  client.prepare = ((sql: string) => {
    built(sql);
    return prepare(sql);
  }) as typeof client.prepare;
}

function openFile(file: string, { statement, built }: Watching): { client: Database.Database; db: Db } {
  const client = new Database(file, {
    timeout: WAIT_AT_START_MS,
    ...(statement ? { verbose: (message: unknown) => statement(String(message)) } : {}),
  });
  try {
    refuseForeign(client, file);
    client.pragma('journal_mode = WAL');
    // What was confirmed is on the disk: a power cut loses nothing a player was told is recorded.
    client.pragma('synchronous = FULL');
    client.pragma('foreign_keys = ON');
    refuseDamaged(client, file);
    migrateDatabase(client, file);
    if (client.pragma('foreign_keys', { simple: true }) !== 1) throw new Error('foreign keys could not be switched on');
    client.pragma('busy_timeout = 0');
    if (built) telling(client, built);
    return { client, db: dbOn(client) };
  } catch (error) {
    client.close();
    throw error;
  }
}

/**
 * Claims a data folder and opens its database, made or migrated where needed.
 *
 * @throws DataFolderFault when the folder or the file cannot be used, or another Ulu has it
 * @throws MigrationFault when the file is from another version that this one cannot take over from
 */
export function openDatabase(folder: string, watching: Watching = {}): OpenDatabase {
  writableFolder(folder);
  const file = path.join(folder, DATABASE_FILE);
  let release: () => void = () => undefined;
  try {
    release = claimFolder(folder);
    clearLeftovers(folder);
    const { client, db } = openFile(file, watching);
    const close = () => {
      client.close();
      release();
    };
    return { db, client, watch: watchFile(file), close };
  } catch (error) {
    release();
    if (error instanceof FolderTaken || error instanceof ClaimRefusal) throw new DataFolderRefusal(error.message);
    throw openingRefusal(error, file);
  }
}
