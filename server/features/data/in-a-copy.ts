import Database from 'better-sqlite3';
import { rmSync } from 'node:fs';
import type { Book } from '#core/book/book.ts';
import { compose } from '#server/compose.ts';
import { dbOn } from '#server/db/connection.ts';
import type { Beside } from '#server/features/data/beside.ts';
import { UNWATCHED } from '#server/features/data/unwatched.ts';
import type { Services } from '#server/services.ts';

/** What is left of a copy that was tried on. */
export const clearScratch = (scratch: string): void =>
  ['', '-wal', '-shm', '-journal'].forEach((end) => rmSync(`${scratch}${end}`, { force: true }));

/** The services of a record of which only this program knows. */
export const servicesOn = (beside: Pick<Beside, 'db'>, book: Book, nowMs: () => number): Services =>
  compose({ ...beside, watch: UNWATCHED }, { book, nowMs })();

/**
 * Tries something on a copy of a record. The record itself is untouched, and nobody waits for it.
 *
 * @param scratch where the copy lies meanwhile
 */
export async function inACopy<Tried>(
  record: Database.Database,
  scratch: string,
  work: (beside: Beside) => Promise<Tried>,
): Promise<Tried> {
  clearScratch(scratch);
  await record.backup(scratch, { progress: () => 500 });
  const client = new Database(scratch);
  try {
    client.pragma('journal_mode = MEMORY');
    client.pragma('synchronous = OFF');
    client.pragma('foreign_keys = ON');
    return await work({ client, db: dbOn(client) });
  } finally {
    client.close();
    clearScratch(scratch);
  }
}
