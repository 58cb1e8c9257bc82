import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { lookOver, orphanWords } from '#server/db/look-over.ts';

let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-look-'));
  file = path.join(folder, 'a.db');
  const client = new Database(file);
  client.pragma('foreign_keys = OFF');
  client.exec(`create table parents (id integer primary key); create table children (parent integer references parents(id), said text);
    insert into parents values (1); insert into children values (1, 'whole')`);
  client.close();
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const withChildren = (...parents: number[]): void => {
  const client = new Database(file);
  client.pragma('foreign_keys = OFF');
  for (const parent of parents) client.prepare('insert into children values (?, ?)').run(parent, 'x'.repeat(9000));
  client.close();
};

describe('a record is looked over beside the server', () => {
  test('one that holds together needs no words', async () => {
    const found = await lookOver(file).found;
    expect(found).toEqual({ isWhole: true, orphans: 0 });
    expect(found && orphanWords(file, found)).toBeNull();
  });

  test('rows that point at nothing are counted and told', async () => {
    withChildren(7);
    const one = await lookOver(file).found;
    expect(one && orphanWords('ulu.db', one)).toBe(
      'In ulu.db one row points at nothing, so something is missing. Ulu goes on with the rest; npm run check-record says what.',
    );
    withChildren(8, 9);
    expect(await lookOver(file).found).toEqual({ isWhole: true, orphans: 3 });
  });

  test('pages that do not hold together are found', async () => {
    withChildren(1, 1, 1);
    const bytes = readFileSync(file);
    // The page the second table begins with.
    bytes.fill(0xaa, 4096 * 2, 4096 * 2 + 100);
    writeFileSync(file, bytes);
    expect((await lookOver(file).found)?.isWhole).toBe(false);
  });

  test('a file that cannot be read is no verdict, and neither is a look that was ended', async () => {
    expect(await lookOver(path.join(folder, 'none.db')).found).toBeNull();
    const looking = lookOver(file);
    await looking.end();
    expect(await looking.found).toBeNull();
  });
});
