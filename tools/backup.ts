/**
 * `npm run backup -- --out FILE`: a copy of a record (`--data FOLDER`), also beside a running Ulu, looked over before it is
 * called good.
 */
import Database from 'better-sqlite3';
import { existsSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { asError } from '#core/kernel/as-error.ts';
import { heldWords } from '#server/backup/look-into.ts';
import { makeCopy } from '#server/backup/make-copy.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { recordFolder } from './record-folder.ts';

const { values } = parseArgs({ options: { data: { type: 'string' }, out: { type: 'string' } } });
const stop = (text: string): never => {
  console.error(text);
  process.exit(1);
};
const folderSaid = (): string => {
  try {
    return recordFolder(values.data);
  } catch (error) {
    return stop(asError(error).message);
  }
};
const record = path.join(folderSaid(), DATABASE_FILE);
const out = values.out ?? stop('--out says where the copy goes: --out FILE.db.gz');
if (!existsSync(record)) stop(`There is no record at ${record}.`);
if (existsSync(out)) stop(`${out} is there already. Choose another name.`);
const client = new Database(record, { readonly: true });
try {
  console.log(`${out} is a whole copy: ${heldWords(await makeCopy(client, path.resolve(out)))}.`);
} catch (error) {
  console.error(asError(error).message);
  process.exitCode = 1;
} finally {
  client.close();
}
