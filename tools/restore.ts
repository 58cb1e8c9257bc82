/**
 * `npm run restore -- FILE`: puts a copy in the place of the record (`--data FOLDER`); `--look` only says what it holds. The
 * present record is moved aside and never deleted.
 */
import path from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { asError } from '#core/kernel/as-error.ts';
import { heldWords } from '#server/backup/look-into.ts';
import { restoreCopy } from '#server/backup/restore.ts';
import { recordFolder } from './record-folder.ts';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { data: { type: 'string' }, look: { type: 'boolean', default: false } },
});
const [file] = positionals;

try {
  if (file === undefined) throw new Error('Say which copy: npm run restore -- FILE');
  const { held, aside } = await restoreCopy(path.resolve(file), recordFolder(values.data), {
    nowMs: Date.now(),
    onlyLook: values.look,
  });
  console.log(values.look ? `The copy holds ${heldWords(held)}.` : `Taken back: ${heldWords(held)}.`);
  if (aside !== null) console.log(`The record of before lies at ${aside}.`);
} catch (error) {
  console.error(asError(error).message);
  process.exitCode = 1;
}
