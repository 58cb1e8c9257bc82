import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { checkBook } from '#core/check/check-book.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';

test('the book opens at every kind', () => {
  expect(() => checkBook(BOOK)).not.toThrow();
});

describe('no instrument’s name appears in an algorithm', () => {
  const core = path.resolve(import.meta.dirname, '..');
  const files = ['care', 'packup', 'water', 'plays', 'instruments', 'methods', 'conditions', 'agents'].flatMap((room) =>
    readdirSync(path.join(core, room))
      .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.endsWith('-table.ts'))
      // The registration of kinds and of pages, and the list of pages, are where names belong.
      .filter((file) => !['kinds.ts', 'kind.ts', 'care-ids.ts'].includes(file))
      .map((file) => path.join(core, room, file)),
  );

  test.each(files.map((file) => [path.relative(core, file), file]))('%s', (_name, file) => {
    const code = readFileSync(file, 'utf8')
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .replace(/\/\/.*$/gm, '');
    // "trumpet" and "horn" as whole words in quotes: 'horn', "horn/…", `horn`.
    const named = KIND_IDS.filter((kind) => new RegExp(`['"\`]${kind}['"\`/]`).test(code));
    expect(named).toEqual([]);
  });
});
