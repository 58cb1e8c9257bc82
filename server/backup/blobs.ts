import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { makeFolder } from '#server/db/connection.ts';
import { toDisk } from '#server/backup/to-disk.ts';

/**
 * Files that belong to a record and are too large for its rows lie in a folder beside it. Each is called what it holds
 * (its SHA-256, in small letters), so that none is ever changed, and a copy can tell whether it is whole.
 */
const BLOBS_FOLDER = 'blobs';
const NAME = /^[\da-f]{64}$/;

export type Blob = { readonly name: string; readonly file: string; readonly size: number };

/** Is it what a blob is called? */
export const isBlobName = (name: string): boolean => NAME.test(name);

/** Where the blobs of a record lie. */
export const blobsOf = (record: string): string => path.join(path.dirname(record), BLOBS_FOLDER);

/** The blobs in a folder, by name. What else lies there is none. */
export function blobsIn(folder: string): Blob[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter(isBlobName)
    .toSorted()
    .map((name) => ({ name, file: path.join(folder, name), size: statSync(path.join(folder, name)).size }));
}

/** Is what is in a file what it is called? */
export async function isWhole({ name, file }: Pick<Blob, 'name' | 'file'>): Promise<boolean> {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(file)) hash.update(chunk as Buffer);
  return hash.digest('hex') === name;
}

/**
 * Puts blobs where those of a record lie: each under its name in one step, and those that are there already stay. None
 * is taken away: the record of before may still want it.
 */
export function bringIn(from: string, record: string): void {
  const folder = blobsOf(record);
  const blobs = blobsIn(from);
  if (blobs.length > 0) makeFolder(folder);
  for (const { name, file } of blobs) {
    const place = path.join(folder, name);
    if (existsSync(place)) continue;
    toDisk(file);
    renameSync(file, place);
  }
  rmSync(from, { recursive: true, force: true });
}
