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
import { BOOK } from '#core/tables/book.ts';
import { compose } from '#server/compose.ts';
import { FACTS } from '#server/facts.ts';
import { DATABASE_FILE, DataFolderRefusal, openDatabase } from '#server/db/connection.ts';
import {
  allOrNothing,
  COPY_IN_THE_MAKING,
  appliedMigrations,
  migrateDatabase,
  migrationsFolder,
  readJournal,
} from '#server/db/migrate.ts';
import { recordBreaches } from '#server/record/check-record.repository.ts';
import { carriedOn, databaseAfter, statementsOf } from '#server/testing/old-database.ts';
import { ROWS_AFTER } from '#server/testing/old-rows.ts';
import { linesOf } from '#server/testing/lines-of.ts';
import { rowsIn } from '#server/testing/rows-in.ts';
import { aKey, NOW, testServer } from '#server/testing/test-server.ts';
import { MigrationRefusal, pendingMigrations } from '#server/db/migration-order.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-db-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('migrations', () => {
  test.each([1, 2, 3])(
    'a database of %d migrations arrives whole: every row, what it says and whether it counts',
    (count) => {
      const home = mkdtempSync(path.join(folder, 'home-'));
      const file = path.join(home, DATABASE_FILE);
      databaseAfter(count, file).close();
      // What it says is read at the last version of before, which the earlier ones come to first.
      const reference = path.join(folder, 'reference.db');
      copyFileSync(file, reference);
      const old = new Database(reference);
      for (const { tag } of readJournal().slice(count, 3))
        for (const statement of statementsOf(tag)) old.exec(statement);
      const said = linesOf(old, 0);
      old.close();
      expect(
        Object.entries(said)
          .filter(([, lines]) => lines.length === 0)
          .map(([what]) => what),
      ).toEqual(count === 1 ? ['sets', 'choices', 'conditions', 'ends'] : []);
      const opened = openDatabase(home);
      expect(linesOf(opened.client, 1)).toEqual(said);
      expect(opened.client.pragma('foreign_key_check')).toEqual([]);
      expect(recordBreaches(opened.db, FACTS)).toEqual([]);
      const left = opened.client
        .prepare("select name from sqlite_master where name like 'old%' or name like 'staged%'")
        .pluck()
        .all();
      expect(left).toEqual([]);
      const { readings } = compose(opened, { book: BOOK, nowMs: () => Date.parse('2026-01-10T12:00:00Z') })();
      const read = readings.of('cl');
      expect(Array.from(read?.facts.plays.minutes ?? [])).toEqual([45]);
      // The end of the second run was taken back, so its bore was not swabbed then, and it is open.
      expect(read?.facts.care.lastDone.get('clarinet/swab-bore')?.atWallMinute).toBe(
        Date.parse('2026-01-02T10:05:00Z') / 60_000,
      );
      expect(read?.facts.openRunKey).toBe('r2');
      expect(readings.of('gone')?.instrument.leftOn).toBe('2026-01-20');
      opened.close();
    },
  );

  test.each(
    readJournal()
      .slice(4)
      .map(({ tag }, at) => [tag, at + 5] as const),
  )('from %s on each row keeps each of its fields, whatever came since', (_tag, count) => {
    const client = databaseAfter(count, path.join(folder, DATABASE_FILE));
    const before = rowsIn(client);
    carriedOn(client, count, readJournal().length);
    const since = rowsIn(client, (table, has) =>
      has.filter((one) => before.get(table)?.columns.includes(one) !== false),
    );
    client.close();
    for (const [table, { columns, rows }] of before) {
      const now = since.get(table);
      const kept = new Set(now?.columns);
      const gone = columns.filter((column) => !kept.has(column));
      // The dates of an import are kept apart since: another test reads them.
      expect([table, gone]).toEqual([
        table,
        table === 'calendar_imports' && columns.includes('events') ? ['events'] : [],
      ]);
      if (gone.length === 0) expect([table, now?.rows]).toEqual([table, rows]);
    }
  });

  test('every table of a version with a spine has rows to be carried over', () => {
    const client = databaseAfter(readJournal().length, path.join(folder, DATABASE_FILE));
    const empty = [...rowsIn(client)].filter(([, { rows }]) => rows.length === 0).map(([table]) => table);
    client.close();
    // A plan that is shown is made anew where it is not there; a second key is no more than a second tab's.
    expect(empty.toSorted()).toEqual(['other_keys', 'shown_sittings']);
  });

  test('imported calendars of before say what they said, each date kept once', () => {
    const event = (key: string, more: object) => ({ key, on: '2026-02-01', name: 'Gästeprobe "B" \\ \n', ...more });
    const [first, moved] = [event('k1', { minutes: 90 }), event('k1', { minutes: 60 })];
    const other = event('k2', { minutes: null });
    const before = readJournal().findIndex(({ tag }) => tag === '0016_imports_by_date');
    const old = databaseAfter(before, path.join(folder, DATABASE_FILE));
    const importOf = (key: string, counts: number, events: readonly object[]) => {
      const fact = old
        .prepare('insert into facts (key, kind, "on", logged_at, counts) values (?, ?, ?, ?, ?)')
        .run(key, 'calendar-import', '2026-02-01', '2026-02-01T10:00:00.000Z', counts);
      old
        .prepare('insert into calendar_imports values (?, ?, ?, ?)')
        .run(fact.lastInsertRowid, 'ada', 'Band', JSON.stringify(events));
    };
    importOf('i1', 1, [other, first]);
    importOf('i2', 1, [moved, other]);
    importOf('i3', 0, []);
    old.close();
    const opened = openDatabase(folder);
    const { record, calendar } = compose(opened, { book: BOOK, nowMs: () => 0 })();
    const said = ['i1', 'i2', 'i3'].map((key) => record.find(key)?.body);
    const body = (events: readonly object[]) => ({ playerId: 'ada', calendar: 'Band', sent: null, events });
    expect(said).toEqual([body([other, first]), body([moved, other]), body([])]);
    // The third was taken back.
    expect(calendar.imports('ada')).toEqual([{ calendar: 'Band', events: [moved, other] }]);
    // Three of these, and one that every record of before has.
    expect(opened.client.prepare('select count(*) from imported_dates').pluck().get()).toBe(4);
    opened.close();
  });

  test('keys, runs and undo of before go on working', async () => {
    const [play, answered] = ['6f9619ff-8b86-4d01-b42d-00cf4fc964ff', '6f9619ff-8b86-4d01-b42d-00cf4fc964f0'];
    const server = testServer({
      prepare: (home) => {
        const old = databaseAfter(3, path.join(home, DATABASE_FILE));
        old.exec(
          `insert into plays (key, instrument_id, player_id, ended_on, ended_at_minute, minutes, logged_at) values ('${play}', 'cl', 'ada', '2026-02-02', 600, 30, '2026-02-02T11:00:00.000Z');
           insert into wetness_resets values ('${answered}', 'cl', '2026-02-02T11:00:00.000Z');`,
        );
        old.close();
      },
    });
    const sent = { key: play, instrumentId: 'cl', playerId: 'ada', endedOn: '2026-02-02', endedAtMinute: 600 };
    const post = (where: string, body: object) => server.api().post(where).send(body);
    await post('/api/plays', { ...sent, minutes: 30, roomCelsius: null, now: NOW }).expect(200);
    await post('/api/plays', { ...sent, minutes: 31, roomCelsius: null, now: NOW }).expect(409);
    await post('/api/care/wetness-resets', { key: answered, instrumentId: 'cl', now: NOW }).expect(200);
    await post('/api/plays', { ...sent, key: aKey(), corrects: play, minutes: 40, roomCelsius: null, now: NOW }).expect(
      201,
    );
    await post('/api/withdrawals', { key: aKey(), targetKey: play }).expect(201);
    // What was taken back before stays so; a run of before opens, goes on and ends.
    await post('/api/withdrawals', { key: aKey(), targetKey: 'p1' }).expect(200);
    expect((await server.api().get('/api/runs/r2').expect(200)).body).toMatchObject({ key: 'r2', log: [], done: null });
    await post('/api/runs/r2/events', { key: aKey(), kind: 'finished', now: NOW }).expect(201);
    expect((await server.api().get('/api/runs/r1').expect(200)).body.parts[0].playedMinutes).toBe(30);
    expect(server.breaches()).toEqual([]);
    server.stop();
  });

  test('a key that two kinds had stays with the first; the second gets one made from it, and both stay taken back', () => {
    const home = mkdtempSync(path.join(folder, 'home-'));
    const old = databaseAfter(3, path.join(home, DATABASE_FILE));
    old.exec(
      "insert into care_decisions values ('p1', 'cl', 'keyed/rod-dust', 'declined', '2026-01-05', null, '2026-01-05T10:05:00.000Z')",
    );
    old.close();
    const opened = openDatabase(home);
    const found = opened.client.prepare("select key, kind, counts from facts where key like 'p1%' order by id").all();
    expect(found).toEqual([
      { key: 'p1', kind: 'play', counts: 0 },
      { key: 'p1/again/decision', kind: 'decision', counts: 0 },
    ]);
    expect(recordBreaches(opened.db, FACTS)).toEqual([]);
    opened.close();
  });

  test('a withdrawal of nothing arrives as it is, and a check lists it', () => {
    const home = mkdtempSync(path.join(folder, 'home-'));
    const old = databaseAfter(3, path.join(home, DATABASE_FILE));
    old.exec("insert into withdrawals values ('w9', 'never-there', '2026-01-03T00:00:00.000Z')");
    old.close();
    const opened = openDatabase(home);
    expect(recordBreaches(opened.db, FACTS)).toEqual([
      'withdrawal w9 takes back never-there, which is not in the record',
    ]);
    opened.close();
  });

  test('a new cork that was a sign becomes a condition, under its own key and begin', () => {
    const file = path.join(folder, 'signs.db');
    const client = new Database(file);
    const [first, second] = ['0000_first', '0001_judgement'].map((tag) => statementsOf(tag).join(''));
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
      statementsOf(tag).join(''),
    );
    client.exec(first ?? '');
    client.exec(ROWS_AFTER['0000_first'] ?? '');
    client.exec("update runs set room_celsius = 12.5 where key = 'r1'");
    client.exec(second ?? '');
    client.exec(third ?? '');
    expect(
      client.prepare("select run_key, room_celsius, thirst from run_instruments where run_key = 'r1'").all(),
    ).toEqual([{ run_key: 'r1', room_celsius: 12.5, thirst: 1 }]);
    expect(client.prepare('select distinct room_celsius from plays').pluck().all()).toEqual([null]);
    client.close();
  });

  test('what was paid stays what it was where ISO 4217 has more decimals than the runtime had', () => {
    const file = path.join(folder, 'coins.db');
    const client = new Database(file);
    const tags = readJournal().map(({ tag }) => tag);
    client.exec(tags.slice(0, 13).flatMap(statementsOf).join(''));
    client.exec(`
      insert into facts (id, key, kind, "on", at_minute, logged_at) values (1, 'b1', 'reed-box', '2026-01-01', 0, 0),
        (2, 'b2', 'reed-box', '2026-01-01', 0, 0), (3, 'e1', 'event', '2026-01-01', 0, 0), (4, 'e2', 'event', '2026-01-01', 0, 0);
    `);
    const box = client.prepare(
      `insert into reed_boxes (fact_id, player_id, kind, name, material, break_in, cost_minor, currency, came_on, "before")
       values (?, 'ada', 'clarinet', 'Fennel', 'cane', 'week', ?, ?, '2026-01-01', '[]')`,
    );
    client.pragma('foreign_keys = off');
    box.run(1, 9800, 'HUF');
    box.run(2, 2890, 'EUR');
    const event = client.prepare(
      `insert into events (fact_id, player_id, what, on_day, instrument_ids, stay) values (?, 'ada', 'bench', '2026-01-01', '[]', ?)`,
    );
    event.run(3, JSON.stringify({ done: [], cost: { minor: 5, currency: 'IQD' } }));
    event.run(4, JSON.stringify({ done: [], cost: null }));
    for (const statement of statementsOf('0013_coins_of_iso')) client.exec(statement);
    expect(client.prepare('select cost_minor from reed_boxes order by fact_id').pluck().all()).toEqual([980_000, 2890]);
    expect(client.prepare('select stay from events order by fact_id').pluck().all()).toEqual([
      '{"done":[],"cost":{"minor":5000,"currency":"IQD"}}',
      '{"done":[],"cost":null}',
    ]);
    client.close();
  });

  test('the plays of an evening are told each by itself, and nothing else that belongs to another', () => {
    const client = new Database(':memory:');
    const tags = readJournal().map(({ tag }) => tag);
    client.exec(tags.slice(0, 14).flatMap(statementsOf).join(''));
    client.exec(`
      insert into subjects (id, kind, name) values (1, 'instrument', 'clarinet');
      insert into facts (id, key, kind, "on", at_minute, logged_at, belongs_to) values
        (1, 'e', 'evening', '2026-11-24', 1190, 0, null), (2, 'p', 'play', '2026-11-24', 1190, 0, 1),
        (3, 'q', 'play', '1971-01-01', null, 0, 1), (4, 'r', 'run', '2026-11-24', 1200, 0, null),
        (5, 'c', 'care', '2026-11-24', 1210, 0, 4), (6, 'l', 'play', '2026-11-23', 600, 0, null);
      insert into fact_subjects (fact_id, subject_id, listed_at) values
        (1, 1, null), (2, 1, null), (3, 1, null), (4, 1, 5), (5, 1, null), (6, 1, 7);
    `);
    for (const statement of statementsOf('0014_evening_plays_told')) client.exec(statement);
    // By hand: 24 November 2026 is day 20,781 after 1 January 1970, which is day 0.
    expect(client.prepare('select listed_at from fact_subjects order by fact_id').pluck().all()).toEqual([
      ...[null, 20_781 * 1440 + 1190, 365 * 1440, 5, null, 7],
    ]);
    client.close();
  });

  test('a table rebuilt the way drizzle-kit writes it keeps its children under the guard, and loses them without', () => {
    const childrenAfter = (guard: (client: Database.Database, migrate: () => void) => void): unknown => {
      const client = new Database(':memory:');
      client.exec(`create table parent (id integer primary key); create table child (id integer primary key, parent_id integer references parent(id) on delete cascade);
        insert into parent values (1); insert into child values (1, 1), (2, 1);`);
      client.pragma('foreign_keys = ON');
      guard(client, () => {
        client.exec(
          `PRAGMA foreign_keys=OFF; create table __new_parent (id integer primary key check (id > 0)); insert into __new_parent select id from parent; drop table parent; alter table __new_parent rename to parent; PRAGMA foreign_keys=ON;`,
        );
      });
      return client.prepare('select count(*) from child').pluck().get();
    };
    expect(childrenAfter(allOrNothing)).toBe(2);
    expect(childrenAfter((client, migrate) => client.transaction(migrate)())).toBe(0);
  });

  test('rows that point at nothing afterwards are refused, and nothing is changed', () => {
    const client = new Database(':memory:');
    client.exec(
      'create table parent (id integer primary key); create table child (id integer primary key, parent_id integer references parent(id)); insert into parent values (1); insert into child values (1, 1);',
    );
    expect(() => allOrNothing(client, () => client.exec('delete from parent'))).toThrow('1 row points at nothing');
    expect(client.prepare('select count(*) from parent').pluck().get()).toBe(1);
    expect(client.pragma('foreign_keys', { simple: true })).toBe(1);
  });

  test('a record with orphans is refused at every start, in one line, and left as it is', () => {
    const home = mkdtempSync(path.join(folder, 'home-'));
    const file = path.join(home, DATABASE_FILE);
    const old = databaseAfter(3, file);
    old.pragma('foreign_keys = OFF');
    old.exec("update plays set player_id = 'nobody' where key = 'p2'");
    old.close();
    for (const _start of [1, 2])
      expect(() => openDatabase(home)).toThrow(/1 row points at nothing \(plays at players\)/);
    const same = new Database(file, { readonly: true });
    expect(appliedMigrations(same)).toHaveLength(3);
    same.close();
  });

  test('a migration that would be skipped, and a newer database, are refused', () => {
    const journal = [
      { idx: 0, when: 10, tag: 'a' },
      { idx: 1, when: 20, tag: 'b' },
      { idx: 2, when: 30, tag: 'c' },
    ];
    expect(pendingMigrations(journal, [10]).map(({ tag }) => tag)).toEqual(['b', 'c']);
    expect(() => pendingMigrations(journal, [10, 30])).toThrow('would be skipped: b');
    expect(() => pendingMigrations(journal, [10, 20, 30, 40])).toThrow(MigrationRefusal);
  });

  test.each([1795495585997, 1795567387275, 1795654601284])('the early trial of stamp %d is named as such', (stamp) => {
    expect(() => pendingMigrations(readJournal(), [stamp])).toThrow('early trial');
  });
});

describe('opening the data folder', () => {
  test('makes an empty database that is whole after closing', () => {
    const { client, close } = openDatabase(path.join(folder, 'new', 'deep'));
    expect(appliedMigrations(client)).toHaveLength(readJournal().length);
    expect(client.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(client.pragma('synchronous', { simple: true })).toBe(2);
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
    first.client.exec("insert into subjects (kind, name) values ('player', 'ada')");
    const later = path.join(folder, 'migrations');
    cpSync(migrationsFolder, later, { recursive: true });
    const journalFile = path.join(later, 'meta/_journal.json');
    const journal = JSON.parse(readFileSync(journalFile, 'utf8')) as { entries: object[] };
    journal.entries.push({ idx: 99, version: '6', when: 9_000_000_000_000, tag: '0099_later', breakpoints: true });
    writeFileSync(journalFile, JSON.stringify(journal));
    writeFileSync(path.join(later, '0099_later.sql'), 'delete from subjects;');
    const file = path.join(folder, DATABASE_FILE);
    expect(migrateDatabase(first.client, file, later)).toBe(1);
    expect(first.client.prepare('select count(*) from subjects').pluck().get()).toBe(0);
    first.close();
    const [copy] = readdirSync(folder).filter((name) => name.endsWith('.bak'));
    expect(copy).toContain('before-0099_later');
    const kept = new Database(path.join(folder, copy ?? ''), { readonly: true });
    expect(kept.prepare('select count(*) from subjects').pluck().get()).toBe(1);
    kept.close();
  });

  test('a copy that was cut off is cleared away at the next start', () => {
    openDatabase(folder).close();
    const cutOff = path.join(folder, `${DATABASE_FILE}.before-x-1.bak${COPY_IN_THE_MAKING}`);
    writeFileSync(cutOff, 'half');
    openDatabase(folder).close();
    expect(existsSync(cutOff)).toBe(false);
  });

  test('one owner at a time, told in one line; a check may read beside it', () => {
    const first = openDatabase(folder);
    expect(() => openDatabase(folder)).toThrow(/Another Ulu looks after .* already/);
    const beside = new Database(path.join(folder, DATABASE_FILE), { readonly: true });
    expect(beside.pragma('quick_check', { simple: true })).toBe('ok');
    beside.close();
    first.close();
    openDatabase(folder).close();
  });

  test('a foreign database, and a damaged one, are named as such and left alone', () => {
    const file = path.join(folder, DATABASE_FILE);
    const foreign = new Database(file);
    foreign.exec('create table shopping (what text)');
    foreign.close();
    const before = readFileSync(file);
    expect(() => openDatabase(folder)).toThrow('not one of Ulu');
    expect(readFileSync(file).equals(before)).toBe(true);
    rmSync(file);
    openDatabase(folder).close();
    const pages = readFileSync(file);
    // Everything but the first page, overwritten.
    pages.fill(0xa5, 4096);
    writeFileSync(file, pages);
    expect(() => openDatabase(folder)).toThrow(/damaged/);
  });

  test('what is no folder, or no database, is said plainly', () => {
    const file = path.join(folder, 'a-file');
    writeFileSync(file, 'no folder');
    expect(() => openDatabase(file)).toThrow(DataFolderRefusal);
    expect(() => openDatabase('/proc/ulu')).toThrow(DataFolderRefusal);
    writeFileSync(
      path.join(folder, DATABASE_FILE),
      'this is no database, but a text that is long enough to be read as a header',
    );
    expect(() => openDatabase(folder)).toThrow(DataFolderRefusal);
    expect(existsSync(path.join(folder, DATABASE_FILE))).toBe(true);
  });

  test('words outside the lists are refused by the file itself', () => {
    const { client, close } = openDatabase(folder);
    client.exec("insert into facts (key, kind, \"on\", logged_at) values ('k', 'player', '2026-01-01', 'now')");
    client.exec("insert into players values ('x', 1)");
    expect(() => client.exec("insert into profiles values (1, 'x', 'X', 'wizard', '[]')")).toThrow('CHECK');
    expect(() =>
      client.exec(
        "insert into plays (fact_id, instrument_id, player_id, ended_on, minutes) values (1, 'nothing', 'x', '2026-01-01', 5)",
      ),
    ).toThrow('FOREIGN KEY');
    close();
  });
});
