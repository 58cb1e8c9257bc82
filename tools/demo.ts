/** `npm run demo`: Ulu on the demo world, in a folder of its own. A demo made on an earlier day is made anew. */
import { existsSync, readFileSync, renameSync, rmSync, writeFileSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { localMomentOf, instantOfMs } from '#core/time/instant.ts';
import { DataFolderFault, openDatabase } from '#server/db/connection.ts';
import { MigrationFault } from '#server/db/migration-order.ts';
import { OptionFault, readOptions } from '#server/options.ts';
import { BOOK } from '#core/tables/book.ts';
import { compose } from '#server/compose.ts';
import { serveUntilStopped } from '#server/serve.ts';
import { loadDemo } from '#tools/load-demo.ts';

const STAMP = 'made-on';

/** Keeps the demo relative to today. What somebody tried out on an earlier day is moved aside, not thrown away. */
function makeDemo(folder: string): void {
  const { on: today } = localMomentOf(instantOfMs(Date.now()), Intl.DateTimeFormat().resolvedOptions().timeZone);
  const stamp = path.join(folder, STAMP);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === today) return;
  if (existsSync(folder)) {
    if (!existsSync(stamp))
      throw new OptionFault(`${folder} exists and was not made by the demo. Choose another with --data FOLDER.`);
    const aside = `${folder}-earlier`;
    rmSync(aside, { recursive: true, force: true });
    renameSync(folder, aside);
    console.log(`The demo of ${readFileSync(path.join(aside, STAMP), 'utf8')} was moved to ${aside}.`);
  }
  console.log('Making the demo world …');
  mkdirSync(folder, { recursive: true });
  const database = openDatabase(folder);
  loadDemo(compose(database, { book: BOOK, nowMs: () => Date.now() })(), today);
  database.close();
  writeFileSync(stamp, today);
}

try {
  const options = readOptions(process.argv.slice(2), {
    port: 4181,
    dataFolder: path.resolve(import.meta.dirname, '../demo-data'),
  });
  makeDemo(options.dataFolder);
  await serveUntilStopped({ ...options, quiet: true }, (url) => `The Ulu demo is at ${url}\nStop with Ctrl+C.`);
} catch (error) {
  const isSaidPlainly = [OptionFault, DataFolderFault, MigrationFault].some((Fault) => error instanceof Fault);
  if (!isSaidPlainly) throw error;
  console.error((error as Error).message);
  process.exitCode = 1;
}
