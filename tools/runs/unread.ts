import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { keyOf, linesOfBook, type BookLine } from '#core/check/lines-of-book.ts';
import { BOOK } from '#core/tables/book.ts';

/** The lines somebody has read, by hash; committed with them. */
const READ = 'core/check/read-lines.txt';

/** Ten hex digits tell a few thousand lines apart. */
export const hashOf = (line: BookLine): string => createHash('sha256').update(keyOf(line)).digest('hex').slice(0, 10);

export const readLines = (): ReadonlySet<string> => new Set(readFileSync(READ, 'utf8').split('\n').filter(Boolean));

/** Of these lines those nobody has read as they stand. */
export function unreadLines(lines: readonly BookLine[]): BookLine[] {
  const read = readLines();
  return lines.filter((line) => !read.has(hashOf(line)));
}

/** Prints what has not been read yet; with `mark`, keeps that all of it has been read now, and forgets lines that are gone. */
export function printUnread(mark: boolean): void {
  const lines = linesOfBook(BOOK);
  const unread = unreadLines(lines);
  let of = '';
  for (const line of unread) {
    if (line.of !== of) console.log(`\n${line.of}`);
    of = line.of;
    console.log(`   ${line.text}`);
  }
  console.log(`\n${unread.length} lines not read yet.`);
  if (!mark) return;
  writeFileSync(READ, `${lines.map(hashOf).toSorted().join('\n')}\n`);
  console.log('All lines are kept as read.');
}
