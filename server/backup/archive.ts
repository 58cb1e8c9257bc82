import { createReadStream, createWriteStream, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { extract, pack, type Header } from 'tar-stream';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { isBlobName, isWhole, type Blob } from '#server/backup/blobs.ts';
import { noMoreThan, roomIn } from '#server/backup/room.ts';
import { isPacked } from '#server/backup/what-file.ts';
import { DATABASE_FILE, makeFolder } from '#server/db/connection.ts';

const BLOBS = 'blobs/';

/** A record and its blobs as one stream (tar): the record first, so that what the archive is stands at its begin. */
export function archiveOf(plain: string, blobs: readonly Blob[]) {
  const packing = pack();
  const add = async (name: string, file: string, size: number): Promise<void> =>
    pipeline(createReadStream(file), packing.entry({ name, size }));
  const filling = (async () => {
    await add(DATABASE_FILE, plain, statSync(plain).size);
    for (const { name, file, size } of blobs) await add(`${BLOBS}${name}`, file, size);
    packing.finalize();
  })();
  filling.catch((error: unknown) => packing.destroy(error instanceof Error ? error : new Error(String(error))));
  return packing;
}

/** Where an entry of an archive goes; null where it has no business there. */
function placeOf({ name, type }: Header, to: string, blobs: string): string | null {
  if (type !== 'file') return null;
  if (name === DATABASE_FILE) return to;
  const blob = name.startsWith(BLOBS) ? name.slice(BLOBS.length) : '';
  return isBlobName(blob) ? path.join(blobs, blob) : null;
}

/**
 * Takes a record and its blobs out of an archive.
 *
 * @param to where the record goes
 * @param blobs the folder its blobs go to
 * @throws CopyRefusal where something else is in it, a blob is not what it is called, or there is no room
 */
export async function unarchive(file: string, to: string, blobs: string): Promise<void> {
  rmSync(blobs, { recursive: true, force: true });
  makeFolder(blobs);
  const entries = extract();
  const room = noMoreThan(roomIn(path.dirname(to)));
  const source = isPacked(file)
    ? pipeline(createReadStream(file), createGunzip(), room, entries)
    : pipeline(createReadStream(file), room, entries);
  const taking = (async () => {
    let hasRecord = false;
    for await (const entry of entries) {
      const place = placeOf(entry.header, to, blobs);
      if (place === null) throw new CopyRefusal('The file is no copy of Ulu: something else is in it.');
      await pipeline(entry, createWriteStream(place));
      hasRecord ||= place === to;
      if (place !== to && !(await isWhole({ name: path.basename(place), file: place })))
        throw new CopyRefusal('The copy is damaged. Take an older one.');
    }
    if (!hasRecord) throw new CopyRefusal('The file is no copy of Ulu: there is no record in it.');
  })();
  const [taken, read] = await Promise.allSettled([taking, source]);
  // What was wrong with what is in it says more than that it could not be read on.
  if (taken.status === 'rejected' && taken.reason instanceof CopyRefusal) throw taken.reason;
  for (const one of [read, taken]) if (one.status === 'rejected') throw one.reason;
}
