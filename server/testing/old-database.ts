import Database from 'better-sqlite3';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { allOrNothing, migrationsFolder, readJournal } from '#server/db/migrate.ts';

type Said = {
  readonly key: string;
  readonly kind: string;
  readonly table: string;
  /** The columns of its body, by name, as SQL writes them. */
  readonly body: Readonly<Record<string, string>>;
  /** Of whom it tells, and whether it stands in their record. */
  readonly about?: readonly string[];
  readonly belongsTo?: string;
};

const DAY = '2026-02-01';
/** A fact with its body and its subjects, as every version has them that knows a spine. */
const aFact = ({ key, kind, table, body, about = ['ada'], belongsTo }: Said): string => {
  const idOf = (name: string) => `(select id from facts where key = '${name}')`;
  const owner = belongsTo === undefined ? 'null' : idOf(belongsTo);
  const subjects = about.map((name) => [name === 'ada' ? 'player' : 'instrument', name] as const);
  return [
    `insert into facts (key, kind, "on", at_minute, logged_at, belongs_to, counts) values ('${key}', '${kind}', '${DAY}', 600, '${DAY}T10:00:00.000Z', ${owner}, 1)`,
    `insert into ${table} (fact_id, ${Object.keys(body).join(', ')}) values (${idOf(key)}, ${Object.values(body).join(', ')})`,
    ...subjects.flatMap(([of, name]) => [
      `insert or ignore into subjects (kind, name) values ('${of}', '${name}')`,
      `insert into fact_subjects values (${idOf(key)}, (select id from subjects where kind = '${of}' and name = '${name}'), 29500000)`,
    ]),
  ].join(';\n');
};
const json = (value: unknown): string => `'${JSON.stringify(value)}'`;
const ADA = { player_id: `'ada'` };
const REED_PLAY = { of_minutes: '30', high: `'some'`, shares: json([{ reedId: 'box/1', minutes: 30 }]) };
const EVENT = { what: `'concert'`, on_day: `'2026-02-14'`, instrument_ids: json(['cl']) };

/** Rows and children in every table, written in plain SQL as the version of a migration knew them. */
export const ROWS_AFTER: Record<string, string> = {
  '0000_first': `
    insert into players values ('ada', 'Ada', 'grown-up', '["key-oil"]', '2026-01-01T00:00:00.000Z');
    insert into instruments values ('cl', 'Clarinet', 'clarinet', '{"body":"wood","tenons":"cork","pads":"skin","mouthpiece":"hard-rubber"}', 'ada', '2024-01-01', 1, null, '2026-01-01T00:00:00.000Z');
    insert into instruments values ('gone', 'Old one', 'trumpet', '{"finish":"lacquer","brassMouthpiece":"plated"}', 'ada', '2024-01-01', 0, '2026-01-20', '2026-01-01T00:00:00.001Z');
    insert into plays (key, instrument_id, player_id, ended_on, ended_at_minute, minutes, logged_at) values ('p1', 'cl', 'ada', '2026-01-02', 600, 30, '2026-01-02T00:00:00.000Z'), ('p2', 'cl', 'ada', '2026-01-03', null, 45, '2026-01-03T00:00:00.000Z');
    insert into runs values ('r1', 'ada', 'after', null, 20, '{"steps":[],"leftOut":[],"activeMinutes":0,"elapsedMinutes":0,"because":[]}', '2026-01-02', 600, '2026-01-02T10:00:00.000Z');
    insert into runs values ('r2', 'ada', 'after', 4, 20, '{"steps":[],"leftOut":[],"activeMinutes":0,"elapsedMinutes":0,"because":[]}', '2026-01-03', 610, '2026-01-03T10:00:00.000Z');
    insert into run_instruments values ('r1', 0, 'cl', 'p1', 30), ('r2', 0, 'cl', null, 45), ('r2', 1, 'gone', null, 20);
    insert into signs_noticed values ('s1', 'cl', 'keyed/rod-dust', 'lower-joint', '2026-01-02', 605, null, '2026-01-02T10:05:00.000Z');
    insert into wetness_resets values ('x1', 'cl', '2026-01-02T10:05:00.000Z');
    insert into care_decisions values ('d1', 'cl', 'keyed/rod-dust', 'declined', '2026-01-02', null, '2026-01-02T10:05:00.000Z');
    insert into run_events (key, run_key, kind, at) values ('e1', 'r1', 'finished', '2026-01-02T10:05:00.000Z');
    insert into run_events (key, run_key, kind, step_key, count, answer, at) values ('e2', 'r1', 'last-pass', 'cl:clarinet/swab-upper', 3, 'dry', '2026-01-02T10:06:00.000Z');
    insert into run_events (key, run_key, kind, at) values ('e3', 'r2', 'finished', '2026-01-03T10:05:00.000Z');
    insert into care_done values ('c1', 'cl', 'clarinet/swab-bore', '2026-01-02', 605, 'player', 'e1', '2026-01-02T10:05:00.000Z'), ('c2', 'cl', 'clarinet/swab-bore', '2026-01-03', 615, 'player', 'e3', '2026-01-03T10:05:00.000Z'), ('c3', 'cl', 'wind/bench-service', '2026-01-01', 1439, 'bench', null, '2026-01-03T10:06:00.000Z');
    insert into withdrawals values ('w1', 'p1', '2026-01-03T00:00:00.000Z'), ('w2', 'e3', '2026-01-04T00:00:00.000Z');`,
  '0001_judgement': `
    insert into school_sets values ('t1', 'cl', 'My way', '2026-01-02', '2026-01-02T10:05:00.000Z');
    insert into school_choices values ('h1', 'cl', 'swab-wash', 'monthly', '2026-01-02', null, '2026-01-02T10:05:00.000Z'), ('t1/key-oil', 'cl', 'key-oil', '6-months', '2026-01-02', 't1', '2026-01-02T10:05:00.000Z');
    insert into conditions values ('n1', 'ill', null, 'ada', '2026-01-02', null, null, null, null, '2026-01-02T10:05:00.000Z');
    insert into condition_ends values ('m1', 'n1', '2026-01-05', '2026-01-05T10:05:00.000Z');`,
  // Columns only: the rows above have them now.
  '0002_room_and_cloth': '',
  '0003_one_record': '',
  '0004_plan_and_log': aFact({
    ...{ key: 'last1', kind: 'last-done', table: 'last_done', about: ['cl'] },
    body: { instrument_id: `'cl'`, items: json([{ itemId: 'swab/wash', doneOn: '2026-01-01', by: 'player' }]) },
  }),
  '0005_ways_minders_evenings': [
    aFact({ key: 'way1', kind: 'run-way', table: 'run_ways', body: { ...ADA, way: `'guided'` } }),
    aFact({ key: 'minder1', kind: 'minder', table: 'minders', body: { ...ADA, minder_id: 'null' } }),
    aFact({
      ...{ key: 'evening1', kind: 'evening', table: 'evenings', about: ['cl'] },
      body: {
        ...ADA,
        ended_on: `'${DAY}'`,
        ended_at_minute: '600',
        room_celsius: '19.5',
        plays: json([{ key: 'p3', instrumentId: 'cl', minutes: 30 }]),
      },
    }),
    aFact({
      ...{ key: 'p3', kind: 'play', table: 'plays', about: ['cl'], belongsTo: 'evening1' },
      body: {
        ...ADA,
        instrument_id: `'cl'`,
        ended_on: `'${DAY}'`,
        ended_at_minute: '600',
        minutes: '30',
        room_celsius: '19.5',
      },
    }),
  ].join(';\n'),
  '0006_reeds': [
    aFact({
      ...{ key: 'box', kind: 'reed-box', table: 'reed_boxes' },
      body: {
        ...ADA,
        kind: `'clarinet'`,
        name: `'Fennel'`,
        cut: 'null',
        strength: `'2½'`,
        material: `'cane'`,
        break_in: `'week'`,
        place: `'pocket'`,
        cost_minor: '2890',
        currency: `'EUR'`,
        came_on: `'2026-01-20'`,
        before: json([0, null, 170]),
      },
    }),
    aFact({
      key: 'rp1',
      kind: 'reed-play',
      table: 'reed_plays',
      belongsTo: 'p3',
      body: { ...ADA, play_key: `'p3'`, ...REED_PLAY },
    }),
    aFact({
      ...{ key: 'rs1', kind: 'reed-said', table: 'reed_sayings' },
      body: {
        ...ADA,
        reed_id: `'box/1'`,
        what: `'graded'`,
        feel: `'right'`,
        good_for: `'concert'`,
        signs: json(['soft']),
        cause: 'null',
      },
    }),
  ].join(';\n'),
  '0007_events': aFact({
    key: 'ev1',
    kind: 'event',
    table: 'events',
    about: ['ada', 'cl'],
    body: { ...ADA, ...EVENT, minutes: '80', name: `'Gala'` },
  }),
  '0008_reed_sessions': aFact({
    key: 'session1',
    kind: 'reed-session',
    table: 'reed_sessions',
    body: { ...ADA, pins: json([{ reedId: 'box/1', on: '2026-02-03', minutes: 20 }]) },
  }),
  '0009_air': aFact({
    key: 'air1',
    kind: 'air-reading',
    table: 'air_readings',
    body: { ...ADA, celsius: '21.5', humidity_percent: '38' },
  }),
  '0010_events_of_days': aFact({
    key: 'ev2',
    kind: 'event',
    table: 'events',
    about: ['ada', 'cl'],
    body: { ...ADA, ...EVENT, what: `'holiday'`, until_day: `'2026-02-20'`, minutes: 'null', name: `'Away'` },
  }),
  '0011_sitting_times': aFact({
    key: 'time1',
    kind: 'sitting-time',
    table: 'sitting_times',
    body: { ...ADA, minutes: json([0, 30, 0, 30, 0, 60, 0]) },
  }),
  '0012_calendar_whole': [
    aFact({
      key: 'terms1',
      kind: 'bench-terms',
      table: 'bench_terms',
      body: {
        ...ADA,
        terms: json({ name: 'Quayside Winds', phone: null, workingDays: 5, shippingDays: 0, settlingDays: 2 }),
      },
    }),
    aFact({
      key: 'im1',
      kind: 'calendar-import',
      table: 'calendar_imports',
      about: ['ada', 'cl'],
      body: { ...ADA, calendar: `'Band'`, events: json([{ key: 'k1', on: '2026-02-05', name: 'Probe', minutes: 90 }]) },
    }),
    aFact({
      key: 'move1',
      kind: 'sitting-move',
      table: 'sitting_moves',
      body: {
        ...ADA,
        pins: json([{ instrumentId: 'cl', itemId: 'swab/wash', dueOn: '2026-02-04', on: '2026-02-06' }]),
      },
    }),
    aFact({
      key: 'ev3',
      kind: 'event',
      table: 'events',
      about: ['ada', 'cl'],
      body: {
        ...ADA,
        ...EVENT,
        what: `'bench'`,
        minutes: 'null',
        name: 'null',
        stay: json({
          done: [{ instrumentId: 'cl', itemIds: ['wind/bench-service'] }],
          cost: { minor: 12050, currency: 'EUR' },
        }),
        origin: 'null',
      },
    }),
    `insert into feeds values ('ada', 'abcdefghijklmnopqrstuvwxyz012345')`,
    `insert into told_calendars values ('ada', '[]')`,
  ].join(';\n'),
  '0013_coins_of_iso': '',
  '0014_evening_plays_told': '',
  '0015_plans_without_statistics': '',
  '0016_imports_by_date': '',
  '0017_imports_without_copies': '',
  '0018_listed_by_instrument': '',
};

export const statementsOf = (tag: string): string[] =>
  readFileSync(path.join(migrationsFolder, `${tag}.sql`), 'utf8').split('--> statement-breakpoint');

/** A database as it was after the first `count` migrations, with rows written as each of them knew them. */
export function databaseAfter(count: number, file: string): Database.Database {
  const client = new Database(file);
  client.pragma('foreign_keys = ON');
  client.exec('create table __drizzle_migrations (id integer primary key, hash text not null, created_at numeric)');
  for (const { tag, when } of readJournal().slice(0, count)) {
    for (const statement of statementsOf(tag)) client.exec(statement);
    client.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(tag, when);
    // At once, so that every later migration is tried on them.
    client.exec(ROWS_AFTER[tag] ?? '');
  }
  return client;
}

/** Carries a database on by the statements of the migrations between, as each version of before did it: all or nothing. */
export function carriedOn(client: Database.Database, from: number, to: number): void {
  allOrNothing(client, () => {
    for (const { tag, when } of readJournal().slice(from, to)) {
      for (const statement of statementsOf(tag)) client.exec(statement);
      client.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(tag, when);
    }
  });
}

/** What a database of before says, each row as one line; beside it where the same stands since. */
const SAME: Readonly<Record<string, readonly [before: string, since: string]>> = {
  players: [
    'select id, name, standing, does, added_at from players',
    'select p.id, r.name, r.standing, r.does, f.logged_at from players p join profiles r on r.player_id = p.id join facts f on f.id = p.fact_id',
  ],
  instruments: [
    'select id, name, kind, build, player_id, acquired_on, came_new, left_on, added_at from instruments',
    'select i.id, i.name, i.kind, b.build, i.player_id, i.acquired_on, i.came_new, d.left_on, f.logged_at from instruments i join builds b on b.instrument_id = i.id left join departures d on d.instrument_id = i.id join facts f on f.id = i.fact_id',
  ],
  plays: [
    'select key, instrument_id, player_id, ended_on, ended_at_minute, minutes, room_celsius, wall_minute, logged_at, not exists (select 1 from withdrawals w where w.target_key = plays.key) from plays',
    'select f.key, instrument_id, player_id, ended_on, ended_at_minute, minutes, room_celsius, wall_minute, f.logged_at, p.counts from plays p join facts f on f.id = p.fact_id and f."on" = p.ended_on and f.counts = p.counts',
  ],
  runs: [
    "select key, player_id, kind, minutes_at_hand, plan, started_on, started_at_minute, started_at, exists (select 1 from run_events e where e.run_key = runs.key and e.kind = 'finished' and not exists (select 1 from withdrawals w where w.target_key = e.key)) from runs",
    'select f.key, player_id, r.kind, minutes_at_hand, plan, f."on", f.at_minute, f.logged_at, r.finished from runs r join facts f on f.id = r.fact_id',
  ],
  shares: [
    'select run_key, position, instrument_id, play_key, played_minutes, room_celsius, thirst from run_instruments',
    'select f.key, position, instrument_id, play_key, played_minutes, room_celsius, thirst from run_shares s join facts f on f.id = s.run_id',
  ],
  events: [
    'select key, run_key, kind, step_key, reason, count, answer, at from run_events',
    'select f.key, r.key, e.kind, step_key, reason, count, answer, f.logged_at from run_events e join facts f on f.id = e.fact_id join facts r on r.id = e.run_id and r.id = f.belongs_to',
  ],
  care: [
    'select key, instrument_id, item_id, unixepoch(done_on) / 60 + done_at_minute, done_on, by, source_key, logged_at, not exists (select 1 from withdrawals w where w.target_key in (care_done.key, care_done.source_key)) from care_done',
    'select f.key, instrument_id, item_id, wall_minute, f."on", by, o.key, f.logged_at, c.counts from care_done c join facts f on f.id = c.fact_id and f.counts = c.counts left join facts o on o.id = f.belongs_to',
  ],
  signs: [
    'select key, instrument_id, item_id, part, noticed_on, noticed_at_minute, source_key, logged_at from signs_noticed',
    'select f.key, instrument_id, item_id, part, f."on", f.at_minute, o.key, f.logged_at from signs_noticed s join facts f on f.id = s.fact_id left join facts o on o.id = f.belongs_to',
  ],
  decisions: [
    'select key, instrument_id, item_id, kind, until, decided_on, logged_at from care_decisions',
    'select f.key, instrument_id, item_id, d.kind, until, f."on", f.logged_at from care_decisions d join facts f on f.id = d.fact_id',
  ],
  resets: [
    'select key, instrument_id, at from wetness_resets',
    'select f.key, instrument_id, f.logged_at from wetness_resets r join facts f on f.id = r.fact_id',
  ],
  sets: [
    'select key, instrument_id, name, taken_on, logged_at from school_sets',
    'select f.key, instrument_id, name, f."on", f.logged_at from method_sets s join facts f on f.id = s.fact_id',
  ],
  choices: [
    'select key, instrument_id, school, choice, source_key, chosen_on, logged_at from school_choices',
    'select f.key, instrument_id, method, choice, o.key, f."on", f.logged_at from method_choices c join facts f on f.id = c.fact_id left join facts o on o.id = f.belongs_to',
  ],
  conditions: [
    'select key, condition, instrument_id, player_id, begins_on, ends_on, part, celsius, humidity_percent, logged_at from conditions',
    'select f.key, condition, instrument_id, player_id, begins_on, ends_on, part, celsius, humidity_percent, f.logged_at from conditions c join facts f on f.id = c.fact_id',
  ],
  ends: [
    'select key, condition_key, ends_on, logged_at from condition_ends',
    'select f.key, condition_key, e.ends_on, f.logged_at from condition_ends e join facts f on f.id = e.fact_id join facts o on o.id = f.belongs_to and o.key = e.condition_key',
  ],
  withdrawals: [
    'select key, target_key, at from withdrawals',
    'select f.key, target_key, f.logged_at from withdrawals w join facts f on f.id = w.fact_id',
  ],
};
export const linesOf = (client: Database.Database, which: 0 | 1): Record<string, string[]> =>
  Object.fromEntries(
    Object.entries(SAME).map(([what, queries]) => [
      what,
      client
        .prepare(queries[which])
        .raw()
        .all()
        .map((row) => JSON.stringify(row))
        .toSorted(),
    ]),
  );
