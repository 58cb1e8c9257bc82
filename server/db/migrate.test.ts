import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DATABASE_FILE, DataFolderFault, openDatabase } from '#server/db/connection.ts';
import {
  appliedMigrations,
  migrateDatabase,
  migrationsFolder,
  readJournal,
  withForeignKeysOff,
} from '#server/db/migrate.ts';
import { MigrationFault, pendingMigrations } from '#server/db/migration-order.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-db-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Rows and children in every table, written in plain SQL as the version of a migration knew them. */
const ROWS_AFTER: Record<string, string> = {
  '0000_first': `
    insert into players values ('ada', 'Ada', 'grown-up', '[]', '2026-01-01T00:00:00.000Z');
    insert into instruments values ('cl', 'Clarinet', 'clarinet', '{}', 'ada', '2024-01-01', 1, null, '2026-01-01T00:00:00.000Z');
    insert into plays (key, instrument_id, player_id, ended_on, ended_at_minute, minutes, logged_at) values ('p1', 'cl', 'ada', '2026-01-02', 600, 30, '2026-01-02T00:00:00.000Z');
    insert into runs values ('r1', 'ada', 'after', null, 20, '{}', '2026-01-02', 600, '2026-01-02T10:00:00.000Z');
    insert into run_instruments values ('r1', 0, 'cl', 'p1', 30);
    insert into signs_noticed values ('s1', 'cl', 'keyed/rod-dust', 'lower-joint', '2026-01-02', 605, null, '2026-01-02T10:05:00.000Z');
    insert into wetness_resets values ('x1', 'cl', '2026-01-02T10:05:00.000Z');
    insert into care_decisions values ('d1', 'cl', 'keyed/rod-dust', 'declined', '2026-01-02', null, '2026-01-02T10:05:00.000Z');
    insert into run_events (key, run_key, kind, at) values ('e1', 'r1', 'finished', '2026-01-02T10:05:00.000Z');
    insert into care_done values ('c1', 'cl', 'clarinet/swab-bore', '2026-01-02', 605, 'player', 'e1', '2026-01-02T10:05:00.000Z');
    insert into withdrawals values ('w1', 'p1', '2026-01-03T00:00:00.000Z');`,
  '0001_judgement': `
    insert into school_choices values ('h1', 'cl', 'swab-wash', 'monthly', '2026-01-02', null, '2026-01-02T10:05:00.000Z');
    insert into school_sets values ('t1', 'cl', 'My way', '2026-01-02', '2026-01-02T10:05:00.000Z');
    insert into conditions values ('n1', 'ill', null, 'ada', '2026-01-02', null, null, null, null, '2026-01-02T10:05:00.000Z');
    insert into condition_ends values ('m1', 'n1', '2026-01-05', '2026-01-05T10:05:00.000Z');`,
  // Columns only: the rows above have them now.
  '0002_room_and_cloth': '',
};
/** Tables by the migration that made them. */
const TABLES_OF: Record<string, string[]> = {
  '0000_first': [
    'players',
    'instruments',
    'plays',
    'runs',
    'run_instruments',
    'run_events',
    'care_done',
    'signs_noticed',
    'care_decisions',
    'wetness_resets',
    'withdrawals',
  ],
  '0001_judgement': ['school_choices', 'school_sets', 'conditions', 'condition_ends'],
};

describe('migrations', () => {
  test('every migration has rows and children to be tried on', () => {
    expect(Object.keys(ROWS_AFTER)).toEqual(readJournal().map(({ tag }) => tag));
  });

  test('each one, run on a database with rows, keeps every row and child', () => {
    const journal = readJournal();
    journal.forEach((_, upTo) => {
      const file = path.join(folder, `${upTo}.db`);
      const client = new Database(file);
      client.pragma('foreign_keys = ON');
      for (const { tag, when } of journal.slice(0, upTo + 1)) {
        for (const statement of readFileSync(path.join(migrationsFolder, `${tag}.sql`), 'utf8').split(
          '--> statement-breakpoint',
        ))
          client.exec(statement);
        client.exec(
          'create table if not exists __drizzle_migrations (id integer primary key, hash text not null, created_at numeric)',
        );
        client.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(tag, when);
        // At once, so that every later migration is tried on them.
        client.exec(ROWS_AFTER[tag] ?? '');
      }
      const known = journal.slice(0, upTo + 1).map(({ tag }) => tag);
      client.close();
      const home = mkdtempSync(path.join(folder, 'home-'));
      copyFileSync(file, path.join(home, DATABASE_FILE));
      const { client: migrated, close } = openDatabase(home);
      const tables = known.flatMap((tag) => TABLES_OF[tag] ?? []);
      expect(tables.map((table) => migrated.prepare(`select count(*) from ${table}`).pluck().get())).toEqual(
        tables.map(() => 1),
      );
      expect(migrated.prepare('select wall_minute from plays').pluck().get()).toBe(
        Date.parse('2026-01-02T10:00:00Z') / 60_000,
      );
      close();
    });
  });

  test('a new cork that was a sign becomes a condition, under its own key and begin', () => {
    const file = path.join(folder, 'signs.db');
    const client = new Database(file);
    const [first, second] = ['0000_first', '0001_judgement'].map((tag) =>
      readFileSync(path.join(migrationsFolder, `${tag}.sql`), 'utf8').replaceAll('--> statement-breakpoint', ''),
    );
    client.exec(first ?? '');
    client.exec(ROWS_AFTER['0000_first'] ?? '');
    client.exec(
      "insert into signs_noticed values ('s2', 'cl', 'tenons/new-cork', 'barrel', '2026-01-03', 605, null, 'then')",
    );
    client.exec(second ?? '');
    expect(client.prepare('select key, condition, begins_on, part from conditions').all()).toEqual([
      { key: 's2', condition: 'new-cork', begins_on: '2026-01-03', part: 'barrel' },
    ]);
    expect(client.prepare('select key from signs_noticed').pluck().all()).toEqual(['s1']);
    client.close();
  });

  test('the room of a run goes to each of its instruments', () => {
    const client = new Database(path.join(folder, 'rooms.db'));
    const [first, second, third] = ['0000_first', '0001_judgement', '0002_room_and_cloth'].map((tag) =>
      readFileSync(path.join(migrationsFolder, `${tag}.sql`), 'utf8').replaceAll('--> statement-breakpoint', ''),
    );
    client.exec(first ?? '');
    client.exec(ROWS_AFTER['0000_first'] ?? '');
    client.exec("update runs set room_celsius = 12.5 where key = 'r1'");
    client.exec(second ?? '');
    client.exec(third ?? '');
    expect(client.prepare('select run_key, room_celsius, thirst from run_instruments').all()).toEqual([
      { run_key: 'r1', room_celsius: 12.5, thirst: 1 },
    ]);
    expect(client.prepare('select room_celsius from plays').pluck().all()).toEqual([null]);
    client.close();
  });

  test('a table rebuilt the way drizzle-kit writes it keeps its children under the guard, and loses them without', () => {
    const childrenAfter = (guard: (client: Database.Database, migrate: () => void) => void): unknown => {
      const client = new Database(':memory:');
      client.exec(`create table parent (id integer primary key); create table child (id integer primary key, parent_id integer references parent(id) on delete cascade);
        insert into parent values (1); insert into child values (1, 1), (2, 1);`);
      client.pragma('foreign_keys = ON');
      guard(client, () => {
        client.transaction(() => {
          client.exec(
            `PRAGMA foreign_keys=OFF; create table __new_parent (id integer primary key check (id > 0)); insert into __new_parent select id from parent; drop table parent; alter table __new_parent rename to parent; PRAGMA foreign_keys=ON;`,
          );
        })();
      });
      return client.prepare('select count(*) from child').pluck().get();
    };
    expect(childrenAfter(withForeignKeysOff)).toBe(2);
    expect(childrenAfter((_client, migrate) => migrate())).toBe(0);
  });

  test('the guard finds rows that point at nothing', () => {
    const client = new Database(':memory:');
    client.exec(
      'create table parent (id integer primary key); create table child (id integer primary key, parent_id integer references parent(id)); insert into parent values (1); insert into child values (1, 1);',
    );
    expect(() => withForeignKeysOff(client, () => client.exec('delete from parent'))).toThrow('point at nothing');
    expect(client.pragma('foreign_keys', { simple: true })).toBe(1);
  });

  test('a migration that would be skipped, and a newer database, are refused', () => {
    const journal = [
      { idx: 0, when: 10, tag: 'a' },
      { idx: 1, when: 20, tag: 'b' },
      { idx: 2, when: 30, tag: 'c' },
    ];
    expect(pendingMigrations(journal, [10]).map(({ tag }) => tag)).toEqual(['b', 'c']);
    expect(() => pendingMigrations(journal, [10, 30])).toThrow('would be skipped: b');
    expect(() => pendingMigrations(journal, [10, 20, 30, 40])).toThrow(MigrationFault);
  });
});

describe('opening the data folder', () => {
  test('makes an empty database that is whole after closing', () => {
    const { client, close } = openDatabase(path.join(folder, 'new', 'deep'));
    expect(appliedMigrations(client)).toHaveLength(readJournal().length);
    expect(client.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(client.pragma('busy_timeout', { simple: true })).toBe(5000);
    expect(client.pragma('integrity_check', { simple: true })).toBe('ok');
    close();
  });

  test('a database from a newer version is left alone, with a clear message', () => {
    const first = openDatabase(folder);
    first.client
      .prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)')
      .run('x', 9_999_999_999_999);
    first.close();
    expect(() => openDatabase(folder)).toThrow('newer version of Ulu');
  });

  test('a file with rows is copied before it is migrated, and the copy holds them as they were', () => {
    const first = openDatabase(folder);
    first.client.exec("insert into withdrawals values ('w1', 'p1', '2026-01-03T00:00:00.000Z')");
    const later = path.join(folder, 'migrations');
    cpSync(migrationsFolder, later, { recursive: true });
    const journalFile = path.join(later, 'meta/_journal.json');
    const journal = JSON.parse(readFileSync(journalFile, 'utf8')) as { entries: object[] };
    journal.entries.push({ idx: 99, version: '6', when: 9_000_000_000_000, tag: '0099_later', breakpoints: true });
    writeFileSync(journalFile, JSON.stringify(journal));
    writeFileSync(path.join(later, '0099_later.sql'), 'delete from withdrawals;');
    const file = path.join(folder, DATABASE_FILE);
    expect(migrateDatabase(first.client, first.db, file, later)).toBe(1);
    expect(first.client.prepare('select count(*) from withdrawals').pluck().get()).toBe(0);
    first.close();
    const [copy] = readdirSync(folder).filter((name) => name.endsWith('.bak'));
    expect(copy).toContain('before-0099_later');
    const kept = new Database(path.join(folder, copy ?? ''), { readonly: true });
    expect(kept.prepare('select count(*) from withdrawals').pluck().get()).toBe(1);
    kept.close();
  });

  test('what is no folder, or no database, is said plainly', () => {
    const file = path.join(folder, 'a-file');
    writeFileSync(file, 'no folder');
    expect(() => openDatabase(file)).toThrow(DataFolderFault);
    expect(() => openDatabase('/proc/ulu')).toThrow(DataFolderFault);
    writeFileSync(
      path.join(folder, DATABASE_FILE),
      'this is no database, but a text that is long enough to be read as a header',
    );
    expect(() => openDatabase(folder)).toThrow(DataFolderFault);
    expect(existsSync(path.join(folder, DATABASE_FILE))).toBe(true);
  });

  test('words outside the lists are refused by the file itself', () => {
    const { client, close } = openDatabase(folder);
    expect(() => client.exec("insert into players values ('x', 'X', 'wizard', '[]', 'now')")).toThrow('CHECK');
    expect(() =>
      client.exec(
        "insert into instruments values ('x', 'X', 'clarinet', '{}', 'nobody', '2024-01-01', 1, null, 'now')",
      ),
    ).toThrow('FOREIGN KEY');
    close();
  });
});
