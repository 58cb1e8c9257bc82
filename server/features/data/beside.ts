import Database from 'better-sqlite3';
import { dbOn, type Db } from '#server/db/connection.ts';

/** A second connection to a record, so that long work on it holds nobody up: others are answered between its turns. */
export type Beside = { readonly db: Db; readonly client: Database.Database };

function open(file: string, readonly: boolean): Beside {
  const client = new Database(file, { readonly, timeout: 0 });
  if (!readonly) client.pragma('foreign_keys = ON');
  return { client, db: dbOn(client) };
}

/** Reads a record as it stood when this began, whatever is written meanwhile. */
export async function* readingBeside<Read>(file: string, read: (beside: Beside) => AsyncGenerator<Read>) {
  const beside = open(file, true);
  try {
    beside.client.exec('begin');
    yield* read(beside);
  } finally {
    beside.client.close();
  }
}

/**
 * Writes to a record in one transaction that lasts several turns: all of it or nothing. Whoever else writes meanwhile is
 * told that the record is busy, and reads what stood before.
 *
 * @throws what `write` throws; nothing is written then
 */
export async function writingBeside<Written>(
  file: string,
  write: (beside: Beside) => Promise<Written>,
): Promise<Written> {
  const beside = open(file, false);
  try {
    beside.client.pragma('synchronous = FULL');
    beside.client.exec('begin immediate');
    const written = await write(beside);
    beside.client.exec('commit');
    return written;
  } finally {
    beside.client.close();
  }
}
