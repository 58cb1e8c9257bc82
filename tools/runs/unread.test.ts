import { expect, test } from '@jest/globals';
import { linesOfBook } from '#core/check/lines-of-book.ts';
import { BOOK } from '#core/tables/book.ts';
import { hashOf, readLines, unreadLines } from './unread.ts';

const lines = linesOfBook(BOOK);

test('somebody has read every line as it stands: after a change `npm run runs -- --unread`, read, then `--mark` as well', () => {
  expect(unreadLines(lines).map(({ of, text }) => `${of}: ${text}`)).toEqual([]);
});

test('no line that has left the book is kept as read, and no two lines share a hash', () => {
  const hashes = lines.map(hashOf);
  expect(new Set(hashes).size).toBe(hashes.length);
  expect([...readLines()].filter((one) => !hashes.includes(one))).toEqual([]);
});

test('other words, or other deeds beside the same words, have to be read again', () => {
  const [line] = lines.filter(({ beside }) => beside !== '');
  if (line === undefined) throw new Error('no line');
  expect(hashOf({ ...line, text: `${line.text} ` })).not.toBe(hashOf(line));
  expect(hashOf({ ...line, beside: '[]' })).not.toBe(hashOf(line));
});
