import { expect, test } from '@jest/globals';
import { localDate } from '#core/time/local-date.ts';
import type { RunView } from '#contract/packup.ts';
import type { FeedView } from '#contract/sittings.ts';
import { anOboe, crowed, lookedAt, oboeBox, onTable } from '#server/testing/examples/doublereeds.ts';
import { everyQuestion } from '#server/testing/every-question.ts';
import { furnished } from '#server/testing/furnished.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';
import { aKey, furnishedServer, NOW, playBody, runBody, TODAY, WOODEN } from '#server/testing/test-server.ts';

const { server } = furnished();
const post = (path: string, body: object) => server().api().post(path).send(body);
const now = { ...NOW, on: localDate(NOW.on) };
const OTHER = {
  ...{ id: 'other', name: 'Other', kind: 'clarinet', build: WOODEN, playerId: 'ada', cameNew: false },
  ...{ acquiredOn: '2024-01-10', today: TODAY },
};

/** Tables that are read from end to end on purpose, and why that does not grow with the years. */
const MAY_BE_SCANNED: Readonly<Record<string, string>> = {
  players: 'everybody, for a list of everybody',
  instruments: 'all there are, for a shelf of all',
  player_aliases: 'who players of other records are here: as many as were ever matched',
  runs: 'for the check of the whole record alone',
};
/** Indexes that hold so little that going through them is no matter. */
const SMALL_INDEXES: Readonly<Record<string, string>> = {
  reed_boxes_paid: 'boxes with a price, the last first, until one is found',
  settings_with_currency: 'currencies that were chosen, the last first, until one is found',
  bills_paid: 'bills, the last first, until one is found',
  savings_counted: 'what was put aside, the last first, until one is found',
  events_paid: 'stays with a price, the last first, until one is found',
};

/** Everything that is prepared while a fact of each kind is logged, corrected and taken back. */
async function preparedByFacts(): Promise<string[]> {
  const prepared = new Set<string>();
  for (const [kind, { make }] of Object.entries(oneOfEach)) {
    const own = await furnishedServer();
    try {
      const log = (path: string, body: object) => own.api().post(path).send(body);
      await log('/api/instruments', OTHER).expect(201);
      const { path, body } = await make(log);
      const key = aKey();
      const { status } = await log(path, { ...body, key });
      expect([kind, status]).toEqual([kind, 201]);
      await log(path, { ...body, key: aKey(), corrects: key });
      await log('/api/withdrawals', { key: aKey(), targetKey: key });
      for (const sql of own.prepared()) prepared.add(sql);
    } finally {
      own.stop();
    }
  }
  return [...prepared];
}

/** What SQLite says it would do for a statement. */
function planOf(sql: string): string[] {
  const statement = server().client().prepare(`explain query plan ${sql}`);
  const asked = (sql.match(/\?|@\w+|:\w+\b/g) ?? []).length;
  try {
    return (statement.all(...Array<null>(asked).fill(null)) as { detail: string }[]).map(({ detail }) => detail);
  } catch {
    return (statement.all({}) as { detail: string }[]).map(({ detail }) => detail);
  }
}
/** The steps of a statement that go through a table that grows. */
function scansIn(sql: string, tables: ReadonlySet<unknown>): string[] {
  const named = tablesIn(sql, tables);
  return planOf(sql).filter((step) => {
    const [, called = '', index = ''] = /^SCAN (\w+)(?: USING (?:COVERING )?INDEX (\w+))?/.exec(step) ?? [];
    const table = called === '' ? undefined : named.get(called);
    return table !== undefined && !(table in MAY_BE_SCANNED) && !(index in SMALL_INDEXES);
  });
}
/** The tables of the record by the names a statement calls them. */
function tablesIn(sql: string, tables: ReadonlySet<unknown>): ReadonlyMap<string, string> {
  const named = [...sql.matchAll(/(?:from|join|update|into)\s+"?(\w+)"?(?:\s+(?:as\s+)?"?(\w+)"?)?/gi)];
  const called = named.flatMap(([, table = '', alias = '']): [string, string][] =>
    tables.has(table)
      ? [
          [table, table],
          [alias, table],
        ]
      : [],
  );
  return new Map(called);
}

test('of a record of which SQLite knows no statistics, no statement goes through a table that grows', async () => {
  await post('/api/instruments', OTHER).expect(201);
  await post('/api/plays', playBody()).expect(201);
  const choice = { key: aKey(), instrumentId: 'clarinet', now: NOW, method: 'swab-wash', choice: 'monthly' };
  await post('/api/methods/choices', choice).expect(201);
  const run = (await post('/api/runs', runBody()).expect(201)).body as RunView;
  const feed = (await post('/api/calendar/feed', { playerId: 'ada' }).expect(200)).body as FeedView;
  const { name: copy } = (await post('/api/data/copies', { today: TODAY }).expect(201)).body;
  const brought = await server()
    .api()
    .post('/api/data/incoming?name=x')
    .set('Content-Type', 'application/octet-stream')
    .send('{}');
  const box = await oboeBox(post);
  const examination = await onTable(post, `${box}/1`);
  await lookedAt(post, examination);
  await crowed(post, examination, -30).expect(201);
  const clip = { key: aKey(), now: NOW, examinationKey: examination, step: 'clip', tenths: 1 };
  await post('/api/doublereeds/steps', clip).expect(201);
  const questions = everyQuestion({
    ...{
      reedId: `${box}/1`,
      oboe: await anOboe(post),
      copy,
      incoming: brought.body.id,
      playerId: 'ada',
      instrumentId: 'clarinet',
      runKey: run.key,
      secret: feed.path?.split('/').at(-1) ?? '',
      lines: 50,
      now,
    },
  });
  const reads = server()
    .routes()
    .flatMap(({ method, path }) => (method === 'get' ? [path] : []));
  expect(Object.keys(questions).toSorted()).toEqual(reads.toSorted());
  for (const [route, url] of Object.entries(questions)) {
    const { status } = await server().api().get(url);
    expect([route, status]).toEqual([route, 200]);
  }
  const tables = new Set(
    server().client().prepare("select name from sqlite_master where type = 'table'").pluck().all(),
  );
  expect(tables.has('sqlite_stat1')).toBe(false);
  const statements = [...new Set([...server().prepared(), ...(await preparedByFacts())])];
  const scans = statements
    .filter((sql) => /^\s*(select|with|update|delete|insert)/i.test(sql))
    .flatMap((sql) => scansIn(sql, tables).map((step) => `${step}: ${sql}`));
  expect(scans).toEqual([]);
  expect(statements.length).toBeGreaterThan(100);
});
