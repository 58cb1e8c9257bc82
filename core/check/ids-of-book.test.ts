import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { goneFrom, idsOfBook, type BookIds } from '#core/check/ids-of-book.ts';
import { BOOK } from '#core/tables/book.ts';

const SHIPPED = JSON.parse(readFileSync('core/check/shipped-ids.json', 'utf8')) as BookIds;
/** What left the book on purpose, and what becomes of records that name it. */
const LEFT: Readonly<Record<string, string>> = {};

test('no id that was given away is missing: records, runs and files of players name it', () => {
  expect(goneFrom(SHIPPED, idsOfBook(BOOK)).filter((one) => !(one in LEFT))).toEqual([]);
});

test('every id is in the list, so that it cannot go unseen: after an addition, `npm run ids`', () => {
  expect(goneFrom(idsOfBook(BOOK), SHIPPED)).toEqual([]);
});

test('a renamed step is seen', () => {
  const { steps = [] } = SHIPPED;
  expect(steps.length).toBeGreaterThan(200);
  const [, , one = ''] = steps;
  const renamed = { ...SHIPPED, steps: steps.map((id) => (id === one ? `${id}-well` : id)) };
  expect(goneFrom(SHIPPED, renamed)).toEqual([`steps: ${one}`]);
});
