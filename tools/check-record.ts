/**
 * `npm run check-record -- --data FOLDER`: reads a record, also beside a running Ulu, and lists what in it does not hold
 * together and what a rule of today would refuse. It changes nothing.
 */
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { existsSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { BOOK } from '#core/tables/book.ts';
import { compose } from '#server/compose.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { appliedMigrations, readJournal } from '#server/db/migrate.ts';
import { watchFile } from '#server/db/watch-file.ts';
import { FACTS } from '#server/facts.ts';
import { recordFolder } from './record-folder.ts';
import { recordBreaches } from '#server/record/check-record.repository.ts';

const { values } = parseArgs({ options: { data: { type: 'string' } } });
const file = path.join(recordFolder(values.data), DATABASE_FILE);

function lines(): string[] {
  if (!existsSync(file)) return [`There is no record at ${file}.`];
  const client = new Database(file, { readonly: true });
  try {
    const pages = client.pragma('integrity_check(5)', { simple: true });
    if (pages !== 'ok') return [`The file is damaged: ${String(pages)}`];
    const behind = readJournal().length - appliedMigrations(client).length;
    if (behind !== 0) return ['The record is of another version. Start Ulu on it once, then check it.'];
    const orphans = client.pragma('foreign_key_check') as unknown[];
    const db = drizzle({ client });
    const services = compose({ db, watch: watchFile(file) }, { book: BOOK, nowMs: () => Date.now() })();
    return [
      ...(orphans.length > 0 ? [`${orphans.length} rows point at nothing`] : []),
      ...recordBreaches(db, FACTS),
      ...FACTS.flatMap(({ breaking }) => breaking?.(services) ?? []),
    ];
  } finally {
    client.close();
  }
}

const found = lines();
console.log(found.length === 0 ? `${file} holds together.` : found.join('\n'));
process.exitCode = found.length === 0 ? 0 : 1;
