import type Database from 'better-sqlite3';
import { createReadStream, createWriteStream, renameSync, rmSync, statfsSync, statSync } from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { archiveOf } from '#server/backup/archive.ts';
import { blobsIn, blobsOf, type Blob } from '#server/backup/blobs.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { lookInto, type Held } from '#server/backup/look-into.ts';
import { toDisk } from '#server/backup/to-disk.ts';
import { COPY_IN_THE_MAKING } from '#server/db/migrate.ts';

/** So many pages at a time; between them the record is free for everybody else. */
const PAGES_AT_A_TIME = 500;

/** @throws CopyRefusal when the copy would not fit twice: once as it is made, once as it is packed */
function refuseWithoutRoom(record: string, blobs: readonly Blob[], folder: string): void {
  const { bavail, bsize } = statfsSync(folder);
  const packed = blobs.reduce((sum, { size }) => sum + size, 0);
  if (bavail * bsize < 2 * statSync(record).size + packed)
    throw new CopyRefusal(`There is not enough room in ${folder} for a copy. Make room, or choose another folder.`);
}

/** What the fresh copy holds. @throws CopyRefusal where it is not whole: then the record it was made of is not */
function lookedOver(plain: string): Held | null {
  try {
    return lookInto(plain);
  } catch (error) {
    if (!(error instanceof CopyRefusal)) throw error;
    throw new CopyRefusal('The record is damaged, so no copy of it was made. Take the newest copy back.');
  }
}

/**
 * Copies a record while it is in use (the database's own online copy), looks the copy over and packs it, with the blobs
 * that lie beside it where there are any. It gets its name only once it is whole.
 *
 * @param file where to; `.gz` is what it is
 * @returns what the copy holds
 * @throws CopyRefusal when there is no room, or the copy is not whole
 */
export async function makeCopy(client: Database.Database, file: string): Promise<Held> {
  const folder = path.dirname(file);
  const blobs = blobsIn(blobsOf(client.name));
  refuseWithoutRoom(client.name, blobs, folder);
  const plain = `${file}${COPY_IN_THE_MAKING}`;
  const packed = `${plain}.gz`;
  const clear = () => [plain, `${plain}-wal`, `${plain}-shm`, packed].forEach((one) => rmSync(one, { force: true }));
  clear();
  try {
    await client.backup(plain, { progress: () => PAGES_AT_A_TIME });
    const held = lookedOver(plain);
    if (held === null) throw new CopyRefusal('The copy is of another version than the record it was made of.');
    const whole = blobs.length === 0 ? createReadStream(plain) : archiveOf(plain, blobs);
    await pipeline(whole, createGzip(), createWriteStream(packed));
    toDisk(packed);
    // Last of all the name: whoever is cut off before leaves what the next one clears, whoever is cut off after nothing.
    [plain, `${plain}-wal`, `${plain}-shm`].forEach((one) => rmSync(one, { force: true }));
    renameSync(packed, file);
    return held;
  } finally {
    clear();
  }
}
