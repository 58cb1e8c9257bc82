import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { pack, type Pack } from 'tar-stream';
import { localDate } from '#core/time/local-date.ts';
import { copyOfTheDay, foldersOf, keptCopies } from '#server/backup/kept-copies.ts';
import { heldIn, heldWords, lookInto } from '#server/backup/look-into.ts';
import { makeCopy } from '#server/backup/make-copy.ts';
import { restoreCopy } from '#server/backup/restore.ts';
import { isArchive, whatFile } from '#server/backup/what-file.ts';
import { readJournal } from '#server/db/migrate.ts';
import { databaseAfter } from '#server/testing/old-database.ts';
import { serve } from '#server/serve.ts';
import { DATABASE_FILE, openDatabase, type OpenDatabase } from '#server/db/connection.ts';

const NOW = { nowMs: 1_796_000_000_000 };
const DAY = localDate('2026-12-01');

let folder: string;
let opened: OpenDatabase;

/** A fact of a made-up kind: a copy has to hold whatever there is. */
const say = ({ client }: OpenDatabase, key: string, on = '2026-11-30') =>
  client
    .prepare(`insert into facts (key, kind, "on", logged_at) values (?, 'anything', ?, '2026-11-30T10:00:00.000Z')`)
    .run(key, on);

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-copies-'));
  opened = openDatabase(folder);
  say(opened, 'first', '2025-01-02');
  say(opened, 'second');
});
afterEach(() => {
  opened.close();
  rmSync(folder, { recursive: true, force: true });
});

const rowsOf = (file: string): unknown[] => {
  const client = new Database(file, { readonly: true });
  const rows = client.prepare('select * from facts order by id').all();
  client.close();
  return rows;
};
const record = () => path.join(folder, DATABASE_FILE);
const out = () => path.join(folder, 'out.db.gz');
const leftovers = () => readdirSync(folder).filter((name) => name.includes('in-the-making'));

test('a copy is made while the record is in use, says what it holds, and leaves nothing else', async () => {
  const making = makeCopy(opened.client, out());
  say(opened, 'meanwhile');
  const held = await making;
  expect(heldWords(held)).toBe('0 players, 0 instruments, 0 plays, nothing played yet');
  expect([held.newestFact >= 2, leftovers()]).toEqual([true, []]);
});

test('of a record that does not hold together no copy is made, and it is the record that is said to be damaged', async () => {
  const broken = path.join(folder, 'broken.db');
  opened.client.pragma('wal_checkpoint(TRUNCATE)');
  writeFileSync(broken, readFileSync(record()).fill(7, 8192, 81_920));
  const client = new Database(broken, { readonly: true });
  await expect(makeCopy(client, out())).rejects.toThrow(/^The record is damaged, so no copy of it was made/);
  client.close();
  expect([existsSync(out()), leftovers()]).toEqual([false, []]);
});

test('copy, go on, take it back: the record is as it was, and the one of after lies aside', async () => {
  await makeCopy(opened.client, out());
  const before = rowsOf(record());
  say(opened, 'later');
  opened.close();
  const { held, aside } = await restoreCopy(out(), folder, NOW);
  expect([rowsOf(record()), held.newestFact]).toEqual([before, 2]);
  expect(rowsOf(aside ?? '')).toHaveLength(3);
  opened = openDatabase(folder);
  expect(heldIn(opened.client).newestFact).toBe(2);
  expect(leftovers()).toEqual([]);
});

test('a look changes nothing', async () => {
  await makeCopy(opened.client, out());
  say(opened, 'later');
  opened.close();
  const { held, aside } = await restoreCopy(out(), folder, { ...NOW, onlyLook: true });
  expect([held.newestFact, aside, rowsOf(record()).length]).toEqual([2, null, 3]);
});

test('onto an empty folder, and of a file that is not packed', async () => {
  const other = mkdtempSync(path.join(tmpdir(), 'ulu-copies-'));
  opened.client.pragma('wal_checkpoint(TRUNCATE)');
  copyFileSync(record(), path.join(other, 'plain.db'));
  const fresh = path.join(other, 'not', 'there', 'yet');
  const { aside } = await restoreCopy(path.join(other, 'plain.db'), fresh, NOW);
  expect([aside, rowsOf(path.join(fresh, DATABASE_FILE)).length]).toEqual([null, 2]);
  rmSync(other, { recursive: true });
});

test('a record of an earlier version is carried over in its copy, which stays as it was', async () => {
  const earlier = path.join(folder, 'earlier.db');
  databaseAfter(readJournal().length - 2, earlier).close();
  const facts = rowsOf(earlier).length;
  const bytes = readFileSync(earlier);
  opened.close();
  const { held } = await restoreCopy(earlier, folder, NOW);
  expect([held.players > 0, facts > 0, rowsOf(record()).length]).toEqual([true, true, facts]);
  expect(readFileSync(earlier).equals(bytes)).toBe(true);
  expect(leftovers()).toEqual([]);
  opened = openDatabase(folder);
});

test('a copy of a newer version is refused, and says with what it can be taken', async () => {
  const newer = path.join(folder, 'newer.db');
  await opened.client.backup(newer);
  const client = new Database(newer);
  // A stamp this program does not know.
  client.exec('update __drizzle_migrations set created_at = created_at + 1');
  client.close();
  opened.close();
  await expect(restoreCopy(newer, folder, NOW)).rejects.toThrow(/newer version/);
  expect(rowsOf(record())).toHaveLength(2);
  opened = openDatabase(folder);
});

describe('what cannot be taken back is refused in one line, and the record is as it was', () => {
  const refused: readonly [string, (file: string) => void, RegExp][] = [
    ['no file', () => undefined, /no file/],
    ['an empty file', (file) => writeFileSync(file, ''), /no record of Ulu/],
    ['text', (file) => writeFileSync(file, 'hello'), /no record of Ulu, or is damaged/],
    ['packed text', (file) => writeFileSync(file, gzipSync('hello')), /no record of Ulu, or is damaged/],
    [
      'a copy that was cut off',
      (file) => writeFileSync(file, readFileSync(out()).subarray(0, 900)),
      /cannot be unpacked/,
    ],
    [
      'a packed file that is not whole inside',
      (file) => {
        const whole = readFileSync(record());
        whole.fill(7, 4096, 12_288);
        writeFileSync(file, gzipSync(whole));
      },
      /damaged|no record/,
    ],
    [
      'a database of somebody else',
      (file) => {
        const client = new Database(file);
        client.exec('create table birds (name text)');
        client.close();
      },
      /no record of Ulu/,
    ],
  ];
  test.each(refused)('%s', async (_what, write, words) => {
    await makeCopy(opened.client, out());
    opened.client.pragma('wal_checkpoint(TRUNCATE)');
    const file = path.join(folder, 'given');
    write(file);
    opened.close();
    await expect(restoreCopy(file, folder, NOW)).rejects.toThrow(words);
    expect([rowsOf(record()).length, leftovers()]).toEqual([2, []]);
    opened = openDatabase(folder);
  });

  test('while Ulu runs on the record', async () => {
    await makeCopy(opened.client, out());
    await expect(restoreCopy(out(), folder, NOW)).rejects.toThrow(/Stop it first/);
  });
});

describe('a record that is broken itself, which is when a copy is wanted most', () => {
  const broken: readonly [string, Buffer | ((whole: Buffer) => Buffer)][] = [
    ['text where the record was', Buffer.from('hello')],
    ['nothing where the record was', Buffer.alloc(0)],
    ['a record whose first pages are gone', (whole) => Buffer.from(whole).fill(7, 0, 12_288)],
    ['a record whose middle is gone', (whole) => Buffer.from(whole).fill(7, 4096, 40_960)],
    ['a record that was cut off', (whole) => whole.subarray(0, 20_000)],
  ];
  test.each(broken)('%s', async (_what, write) => {
    await makeCopy(opened.client, out());
    const before = rowsOf(record());
    opened.close();
    const bytes = typeof write === 'function' ? write(readFileSync(record())) : write;
    writeFileSync(record(), bytes);
    const { aside } = await restoreCopy(out(), folder, NOW);
    expect([leftovers(), readdirSync(folder).filter((name) => /-(wal|shm)$/.test(name))]).toEqual([[], []]);
    expect(rowsOf(record())).toEqual(before);
    expect(readFileSync(aside ?? '').equals(bytes)).toBe(true);
    opened = openDatabase(folder);
  });

  test('a log that belongs to nothing any more goes aside with it', async () => {
    await makeCopy(opened.client, out());
    const before = rowsOf(record());
    opened.close();
    writeFileSync(record(), 'hello');
    writeFileSync(`${record()}-wal`, 'a log');
    const { aside } = await restoreCopy(out(), folder, NOW);
    expect(existsSync(`${record()}-wal`)).toBe(false);
    expect(rowsOf(record())).toEqual(before);
    expect([readFileSync(aside ?? '', 'utf8'), readFileSync(`${aside}-wal`, 'utf8')]).toEqual(['hello', 'a log']);
    opened = openDatabase(folder);
  });
});

test.each([
  ['no database any more', 0],
  ['pages that do not hold together', 4096],
])('a start on a damaged record (%s) names the newest copy, which can then be taken back', async (_what, from) => {
  await copyOfTheDay(opened.client, foldersOf(folder), DAY);
  const before = rowsOf(record());
  opened.close();
  writeFileSync(record(), readFileSync(record()).fill(7, from, 40_960));
  const start = serve({ port: 0, host: '127.0.0.1', dataFolder: folder, quiet: true });
  const words = String(await start.then(() => 'it started', String));
  const file =
    /The newest copy is of 2026-12-01\. Take it back: npm run restore -- "([^"]+)" --data/.exec(words)?.[1] ?? words;
  await restoreCopy(file, folder, NOW);
  expect(rowsOf(record())).toEqual(before);
  opened = openDatabase(folder);
});

describe('one copy a day', () => {
  test('is made of another record that has as many facts: an older copy was taken back, and other things said', async () => {
    await copyOfTheDay(opened.client, foldersOf(folder), DAY);
    say(opened, 'third');
    await copyOfTheDay(opened.client, foldersOf(folder), localDate('2026-12-02'));
    const [older] = keptCopies(foldersOf(folder));
    opened.close();
    await restoreCopy(older?.file ?? '', folder, NOW);
    opened = openDatabase(folder);
    say(opened, 'another third');
    const again = await copyOfTheDay(opened.client, foldersOf(folder), localDate('2026-12-03'));
    expect(again).toMatchObject({ newestFact: 3 });
  });

  test('is made when something has been said, and not twice', async () => {
    expect(await copyOfTheDay(opened.client, foldersOf(folder), DAY)).toMatchObject({ newestFact: 2 });
    say(opened, 'third');
    expect(await copyOfTheDay(opened.client, foldersOf(folder), DAY)).toBeNull();
    expect(await copyOfTheDay(opened.client, foldersOf(folder), localDate('2026-12-02'))).toMatchObject({
      newestFact: 3,
    });
    // Nothing new since.
    expect(await copyOfTheDay(opened.client, foldersOf(folder), localDate('2026-12-03'))).toBeNull();
    const [first] = keptCopies(foldersOf(folder));
    expect([keptCopies(foldersOf(folder)).length, existsSync(first?.file ?? '')]).toEqual([2, true]);
  });

  test('keeps by the rule, and leaves alone what else lies there', async () => {
    keptCopies(foldersOf(folder));
    for (let day = 1; day <= 28; day++) {
      const on = `2026-01-${String(day).padStart(2, '0')}`;
      writeFileSync(path.join(foldersOf(folder).copiesFolder, `ulu-${on}-fact-1.db.gz`), 'x', { flag: 'w' });
      if (day === 1) writeFileSync(path.join(foldersOf(folder).copiesFolder, 'mine.txt'), 'mine');
    }
    await copyOfTheDay(opened.client, foldersOf(folder), localDate('2026-01-29'));
    const days = keptCopies(foldersOf(folder)).map(({ on }) => on.slice(-2));
    expect(days).toEqual(['04', '11', '18', '23', '24', '25', '26', '27', '28', '29']);
    expect(existsSync(path.join(foldersOf(folder).copiesFolder, 'mine.txt'))).toBe(true);
  });
});

test('the copies taken before migrations are kept by the same rule, those moved aside by a restore all', async () => {
  const day = 86_400_000;
  const made = (what: string, daysAgo: number) => `${DATABASE_FILE}.before-${what}-${NOW.nowMs - daysAgo * day}.bak`;
  const migrated = Array.from({ length: 500 }, (_, daysAgo) => made('0007_some_thing', daysAgo));
  const restored = Array.from({ length: 40 }, (_, daysAgo) => made('restore', daysAgo));
  const others = [`${DATABASE_FILE}.before-mine.bak`, `${DATABASE_FILE}.before-0007_some_thing-12.bak`];
  for (const name of [...migrated, ...restored, ...others]) writeFileSync(path.join(folder, name), 'x');
  await copyOfTheDay(opened.client, foldersOf(folder), DAY);
  const left = new Set(readdirSync(folder));
  expect([...restored, ...others].filter((name) => !left.has(name))).toEqual([]);
  const kept = migrated.filter((name) => left.has(name));
  expect(kept.slice(0, 7)).toEqual(migrated.slice(0, 7));
  // Seven days, and of the weeks and months those whose newest is not among them.
  expect([kept.length > 7 + 12, kept.length <= 7 + 5 + 12]).toEqual([true, true]);
});

test('what a copy that was killed has left is cleared away by the next', async () => {
  keptCopies(foldersOf(folder));
  const cutOff = path.join(foldersOf(folder).copiesFolder, 'ulu-2026-11-01-fact-1.db.gz.in-the-making');
  writeFileSync(cutOff, 'half');
  await copyOfTheDay(opened.client, foldersOf(folder), DAY);
  expect([existsSync(cutOff), keptCopies(foldersOf(folder)).length]).toEqual([false, 1]);
});

test('what is looked into is not changed', () => {
  opened.client.pragma('wal_checkpoint(TRUNCATE)');
  const file = path.join(folder, 'a.db');
  copyFileSync(record(), file);
  const before = readFileSync(file);
  expect(lookInto(file)).toMatchObject({ newestFact: 2 });
  expect(readFileSync(file).equals(before)).toBe(true);
});

describe('what lies beside the record', () => {
  const sha = (text: string) => createHash('sha256').update(text).digest('hex');
  const blobs = (of = folder) => path.join(of, 'blobs');
  const lay = (text: string, name = sha(text)) => {
    mkdirSync(blobs(), { recursive: true });
    writeFileSync(path.join(blobs(), name), text);
  };
  const inFolder = (of: string) =>
    existsSync(blobs(of))
      ? Object.fromEntries(
          readdirSync(blobs(of)).map((name) => [name, readFileSync(path.join(blobs(of), name), 'utf8')]),
        )
      : {};
  /** An archive as somebody else may have made it. */
  const archive = async (entries: readonly Parameters<Pack['entry']>[0][], texts: readonly (string | Buffer)[]) => {
    const packing = pack();
    entries.forEach((entry, at) => packing.entry(entry, texts[at] ?? ''));
    packing.finalize();
    const chunks: Buffer[] = [];
    for await (const chunk of packing) chunks.push(chunk as Buffer);
    writeFileSync(out(), gzipSync(Buffer.concat(chunks)));
  };
  const plainRecord = () => {
    opened.client.pragma('wal_checkpoint(TRUNCATE)');
    return readFileSync(record());
  };

  test('goes into the copy and comes back with it, also into an empty folder; without any the copy is the record alone', async () => {
    await makeCopy(opened.client, out());
    expect([await isArchive(out()), await whatFile(out())]).toEqual([false, 'copy']);
    lay('a picture');
    lay('another picture, '.repeat(100_000));
    lay('no blob', 'notes.txt');
    await makeCopy(opened.client, out());
    expect([await isArchive(out()), await whatFile(out()), leftovers()]).toEqual([true, 'copy', []]);
    const rows = rowsOf(record());
    const fresh = path.join(folder, 'elsewhere');
    await restoreCopy(out(), fresh, NOW);
    expect(rowsOf(path.join(fresh, DATABASE_FILE))).toEqual(rows);
    expect(inFolder(fresh)).toEqual({
      [sha('a picture')]: 'a picture',
      [sha('another picture, '.repeat(100_000))]: 'another picture, '.repeat(100_000),
    });
    expect(readdirSync(fresh).filter((name) => name.includes('in-the-making'))).toEqual([]);
  });

  test('what is there already stays, and what came since the copy does, too; only looking brings in nothing', async () => {
    lay('old');
    await makeCopy(opened.client, out());
    lay('new');
    rmSync(path.join(blobs(), sha('old')));
    opened.close();
    await restoreCopy(out(), folder, { ...NOW, onlyLook: true });
    expect(Object.values(inFolder(folder))).toEqual(['new']);
    await restoreCopy(out(), folder, NOW);
    expect(Object.values(inFolder(folder)).toSorted()).toEqual(['new', 'old']);
    opened = openDatabase(folder);
  });

  test.each<[string, () => Promise<void>, RegExp]>([
    [
      'a blob that is not what it is called',
      () => archive([{ name: DATABASE_FILE }, { name: `blobs/${sha('one')}` }], [plainRecord(), 'two']),
      /The copy is damaged/,
    ],
    [
      'a path out of the folder',
      () => archive([{ name: DATABASE_FILE }, { name: `blobs/../../${sha('one')}` }], [plainRecord(), 'one']),
      /something else is in it/,
    ],
    [
      'a link',
      () =>
        archive(
          [{ name: DATABASE_FILE }, { name: `blobs/${sha('')}`, type: 'symlink', linkname: '/' }],
          [plainRecord()],
        ),
      /something else is in it/,
    ],
    ['no record', () => archive([{ name: `blobs/${sha('one')}` }], ['one']), /there is no record in it/],
    [
      'half of itself',
      async () => {
        lay('a picture');
        await makeCopy(opened.client, out());
        const whole = readFileSync(out());
        writeFileSync(out(), whole.subarray(0, Math.floor(whole.length / 2)));
      },
      /cannot be unpacked/,
    ],
  ])('an archive that holds %s is refused, and nothing is changed', async (_what, make, words) => {
    await make();
    opened.close();
    const before = [rowsOf(record()), inFolder(folder)];
    await expect(restoreCopy(out(), folder, NOW)).rejects.toThrow(words);
    expect([[rowsOf(record()), inFolder(folder)], leftovers()]).toEqual([before, []]);
    opened = openDatabase(folder);
  });
});
