import Database from 'better-sqlite3';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  linkSync,
  readdirSync,
  constants,
  copyFileSync,
  renameSync,
  rmSync,
} from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { asError } from '#core/kernel/as-error.ts';
import { noMoreThan, roomIn } from '#server/backup/room.ts';
import { unarchive } from '#server/backup/archive.ts';
import { bringIn } from '#server/backup/blobs.ts';
import { isArchive, isPacked } from '#server/backup/what-file.ts';
import { toDisk } from '#server/backup/to-disk.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { lookInto, type Held } from '#server/backup/look-into.ts';
import { claimFolder, FolderTaken } from '#server/db/claim.ts';
import { DATABASE_FILE, makeFolder } from '#server/db/connection.ts';
import { COPY_IN_THE_MAKING, migrateDatabase } from '#server/db/migrate.ts';

async function unpack(file: string, to: string): Promise<void> {
  const room = noMoreThan(roomIn(path.dirname(to)));
  try {
    if (await isArchive(file)) await unarchive(file, to, blobsInTheMaking(to));
    else if (isPacked(file)) await pipeline(createReadStream(file), createGunzip(), room, createWriteStream(to));
    else await pipeline(createReadStream(file), room, createWriteStream(to));
  } catch (error) {
    if (error instanceof CopyRefusal) throw error;
    throw new CopyRefusal(`The file cannot be unpacked (${asError(error).message}). Nothing was changed.`);
  }
}

/** Carries an earlier record over to this version, in its copy. */
function carryOver(file: string): Held {
  const client = new Database(file);
  try {
    client.pragma('foreign_keys = ON');
    migrateDatabase(client, file);
    client.pragma('wal_checkpoint(TRUNCATE)');
  } finally {
    client.close();
    const folder = path.dirname(file);
    // The copy a migration takes beforehand: this file is a copy itself.
    for (const name of readdirSync(folder))
      if (name.startsWith(`${path.basename(file)}.before-`)) rmSync(path.join(folder, name), { force: true });
  }
  const held = lookInto(file);
  if (held === null) throw new CopyRefusal('The copy could not be carried over to this version.');
  return held;
}

/** What stands beside a record while somebody writes to it. */
const BESIDE = ['-wal', '-shm'];

/**
 * What a program that was cut off has left in the log of the record goes into its file, so that one file is all of it.
 *
 * @returns whether it did: a copy is wanted most when the record cannot be read
 */
function foldIn(record: string): boolean {
  try {
    const client = new Database(record);
    try {
      client.pragma('wal_checkpoint(TRUNCATE)');
      client.pragma('journal_mode = DELETE');
      return true;
    } finally {
      client.close();
    }
  } catch {
    return false;
  }
}

/** A file under a second name; where the disk knows no second names, a copy of it. */
function secondName(file: string, name: string): void {
  try {
    linkSync(file, name);
  } catch {
    copyFileSync(file, name, constants.COPYFILE_EXCL);
  }
}

/** The record of before under its name aside, and with it the log of one that is too broken to take it in. */
function keepAside(record: string, aside: string): void {
  const [log, logAside] = [`${record}-wal`, `${aside}-wal`];
  if (existsSync(log)) {
    // Before the record is opened: the database throws the log of a file away that it cannot read.
    secondName(log, logAside);
    if (foldIn(record)) rmSync(logAside);
  }
  secondName(record, aside);
  // The copy must not find a log that is not its own.
  for (const end of BESIDE) rmSync(`${record}${end}`, { force: true });
}

export type Restored = {
  readonly held: Held;
  /** Where the record of before lies now; null where there was none. */
  readonly aside: string | null;
};

/**
 * Makes a record of a copy, beside where it will lie: unpacked, looked over, carried over to this version.
 *
 * @returns what it holds
 * @throws CopyRefusal when the file is no copy that can be taken
 */
export async function recordOfCopy(file: string, making: string): Promise<Held> {
  clearMaking(making);
  await unpack(file, making);
  return lookInto(making) ?? carryOver(making);
}

/** Where the blobs of a copy lie while a record is made of it. */
const blobsInTheMaking = (making: string): string => `${making}.blobs`;

/** What has come of a copy that was not put in place. */
export function clearMaking(making: string): void {
  for (const end of ['', ...BESIDE]) rmSync(`${making}${end}`, { force: true });
  rmSync(blobsInTheMaking(making), { recursive: true, force: true });
}

/**
 * Gives a record that was made of a copy the name of the present one, which is moved aside and never deleted. Nobody may
 * have either of them open.
 *
 * @returns where the record of before lies now; null where there was none
 */
export function putInPlace(making: string, record: string, nowMs: number): string | null {
  const aside = existsSync(record) ? `${record}.before-restore-${nowMs}.bak` : null;
  toDisk(making);
  // Before the record that wants them.
  bringIn(blobsInTheMaking(making), record);
  if (aside !== null) keepAside(record, aside);
  // In one step: there is a record under this name at every moment, the one or the other.
  renameSync(making, record);
  return aside;
}

/**
 * Puts a copy in the place of a record. It is unpacked, looked over and carried over beside the record first; then the
 * present record is moved aside, never deleted, and the copy gets its name. Whatever goes wrong, the record of before is
 * in its place.
 *
 * @param onlyLook says what the copy holds and changes nothing
 * @throws CopyRefusal when the file is no copy that can be taken, or another Ulu looks after the folder
 */
export async function restoreCopy(
  file: string,
  dataFolder: string,
  { nowMs, onlyLook = false }: { readonly nowMs: number; readonly onlyLook?: boolean },
): Promise<Restored> {
  if (!existsSync(file)) throw new CopyRefusal(`There is no file at ${file}.`);
  const record = path.join(dataFolder, DATABASE_FILE);
  const making = restoredInTheMaking(record);
  let release: () => void = () => undefined;
  try {
    makeFolder(dataFolder);
    release = claimFolder(dataFolder);
    const held = await recordOfCopy(file, making);
    return { held, aside: onlyLook ? null : putInPlace(making, record, nowMs) };
  } catch (error) {
    if (error instanceof FolderTaken)
      throw new CopyRefusal('Ulu is running on this record. Stop it first, and take the copy back then.');
    throw error;
  } finally {
    clearMaking(making);
    release();
  }
}

/** Where a copy lies while a record is made of it. */
export const restoredInTheMaking = (record: string): string => `${record}.restored${COPY_IN_THE_MAKING}`;
