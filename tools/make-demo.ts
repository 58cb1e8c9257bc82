import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { BOOK } from '#core/tables/book.ts';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
import { OptionRefusal } from '#server/options.ts';
import { loadDemo } from '#tools/load-demo.ts';

const STAMP = 'made-on';

/** A demo that is being made stands here; one that was cut off is no demo, and goes. */
const inTheMaking = (folder: string): string => `${folder}-in-the-making`;

/** Makes the demo of a day where there is none; it has its name only once it is whole. */
function make(folder: string, today: LocalDate, load: typeof loadDemo): void {
  const making = inTheMaking(folder);
  rmSync(making, { recursive: true, force: true });
  mkdirSync(making, { recursive: true });
  const database = openDatabase(making);
  try {
    load(compose(database, { book: BOOK, nowMs: () => Date.now() })(), today);
  } finally {
    database.close();
  }
  writeFileSync(path.join(making, STAMP), today);
  renameSync(making, folder);
}

/**
 * Keeps the demo relative to today. What somebody tried out on an earlier day is moved aside, not thrown away.
 *
 * @param load what the demo holds
 * @throws OptionFault where the folder holds something else
 */
export function makeDemo(folder: string, load = loadDemo): void {
  const { on: today } = localMomentOf(instantOfMs(Date.now()), Intl.DateTimeFormat().resolvedOptions().timeZone);
  const stamp = path.join(folder, STAMP);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === today) return;
  if (existsSync(folder)) {
    if (!existsSync(stamp))
      throw new OptionRefusal(`${folder} exists and was not made by the demo. Choose another with --data FOLDER.`);
    const aside = `${folder}-earlier`;
    rmSync(aside, { recursive: true, force: true });
    renameSync(folder, aside);
    console.log(`The demo of ${readFileSync(path.join(aside, STAMP), 'utf8')} was moved to ${aside}.`);
  }
  console.log('Making the demo world …');
  make(folder, today, load);
}
