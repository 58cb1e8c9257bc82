import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { BOOK } from '#core/tables/book.ts';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
import { OptionFault } from '#server/options.ts';
import { loadDemo } from '#tools/load-demo.ts';

const STAMP = 'made-on';

/** Keeps the demo relative to today. What somebody tried out on an earlier day is moved aside, not thrown away. */
export function makeDemo(folder: string): void {
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
