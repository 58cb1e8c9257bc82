/** `npm run ids`: adds what the book has new to the list of ids given away; what is in the list stays in it. */
import { readFileSync, writeFileSync } from 'node:fs';
import { idsOfBook, type BookIds } from '#core/check/ids-of-book.ts';
import { BOOK } from '#core/tables/book.ts';

const LIST = 'core/check/shipped-ids.json';
const shipped = JSON.parse(readFileSync(LIST, 'utf8')) as BookIds;
const all = Object.entries(idsOfBook(BOOK)).map(([what, ids]) => [
  what,
  [...new Set([...(shipped[what] ?? []), ...ids])].toSorted(),
]);
writeFileSync(LIST, `${JSON.stringify(Object.fromEntries(all), null, 2)}\n`);
