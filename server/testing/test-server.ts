import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import supertest from 'supertest';
import { createApp } from '#server/app.ts';
import { DATABASE_FILE, openDatabase } from '#server/db/connection.ts';
import { BOOK } from '#core/tables/book.ts';
import { IncomingFiles } from '#server/features/data/incoming.ts';
import { holdRecord } from '#server/held-record.ts';
import { FACTS } from '#server/facts.ts';
import { recordBreaches } from '#server/record/check-record.repository.ts';
import { createDesk } from '#server/work/desk.ts';
import { builtThread } from '#server/testing/built-thread.ts';
import { routesOf } from '#server/http/routes-of.ts';
import { everybodyMay, type May } from '#server/may.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Tuesday 24 November 2026, 20:00 UTC: "now" in every API test unless it moves the clock. */
export const TODAY = '2026-11-24';
export const NOW = { on: TODAY, atMinute: 1200 };

type Setting = {
  /** Who may see and say what; everybody unless it is said. It may change its mind. */
  readonly may?: May;
  /** Other kinds of fact than the program's own. */
  readonly kinds?: readonly AnyFact<Services>[];
  /** Puts something into the data folder before it is opened. */
  readonly prepare?: (folder: string) => void;
  /** Statements can be counted; it makes each of them slower. */
  readonly counting?: true;
};

let emptyRecord: Buffer | undefined;
/** A record with nothing in it, made once for a file of tests: going through every migration takes longer than most tests. */
function startEmpty(folder: string): void {
  if (emptyRecord === undefined) {
    openDatabase(folder).close();
    emptyRecord = readFileSync(path.join(folder, DATABASE_FILE));
  } else writeFileSync(path.join(folder, DATABASE_FILE), emptyRecord);
}

/** The real app on a real database file in a folder of its own. */
export function testServer({ kinds, prepare = startEmpty, counting, may = everybodyMay }: Setting = {}) {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-api-'));
  prepare(folder);
  const clock = { ms: Date.parse(`${TODAY}T20:00:00.000Z`) };
  const desk = createDesk(builtThread());
  const composing = { book: BOOK, nowMs: () => clock.ms, desk, may, ...(kinds ? { kinds } : {}) };
  const statements: string[] = [];
  const prepared = new Set<string>();
  const watching = {
    built: (sql: string) => void prepared.add(sql),
    ...(counting && { statement: (sql: string) => void statements.push(sql) }),
  };
  const start = () => {
    const record = holdRecord(folder, composing, { watching });
    const incoming = new IncomingFiles({ ...composing, record, definitions: kinds ?? FACTS });
    const app = createApp({
      ...(kinds ? { kinds } : {}),
      serve: record.serve,
      files: { record, incoming, nowMs: composing.nowMs },
      noticed: (error) => record.database().watch.noticed(error),
      health: () => ({ version: 'test', database: record.database().watch.state(), migrations: 1 }),
      boundHost: '127.0.0.1',
    });
    return { record, incoming, app };
  };
  let running = start();
  return {
    folder,
    clock,
    api: () => supertest(running.app),
    client: () => running.record.database().client,
    /** Every route of the app. */
    routes: () => routesOf(running.app),
    /** Every statement that has been prepared, as it was written. */
    prepared: (): readonly string[] => [...prepared],
    /** Statements the record runs while something is done. */
    statementsOf: async (work: () => Promise<unknown>): Promise<readonly string[]> => {
      statements.length = 0;
      await work();
      return [...statements];
    },
    /** What in the record does not hold together. */
    breaches: () => recordBreaches(running.record.database().db, kinds ?? FACTS),
    services: () => running.record.serve(),
    /** Closes and opens the file again, as a restart does. */
    restart: () => {
      running.record.database().close();
      running = start();
    },
    stop: () => {
      void desk.close();
      running.incoming.endAll();
      running.record.database().close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
export type TestServer = ReturnType<typeof testServer>;

let keys = 0;
/** A fresh client key. */
export const aKey = (): string => `00000000-0000-4000-8000-${String(++keys).padStart(12, '0')}`;

export const WOODEN = { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' };

/** A grown-up, a child, a used wooden clarinet and a new trumpet. */
export async function furnish({ api }: TestServer): Promise<void> {
  await api()
    .post('/api/players')
    .send({ id: 'ada', name: 'Ada', standing: 'grown-up', does: ['key-oil'] })
    .expect(201);
  await api().post('/api/players').send({ id: 'kit', name: 'Kit', standing: 'child', does: [] }).expect(201);
  const add = (body: object) =>
    api()
      .post('/api/instruments')
      .send({ playerId: 'ada', acquiredOn: '2024-01-10', today: TODAY, ...body })
      .expect(201);
  await add({ id: 'clarinet', name: 'Clarinet', kind: 'clarinet', build: WOODEN, cameNew: false });
  await add({
    id: 'trumpet',
    name: 'Trumpet',
    kind: 'trumpet',
    build: { finish: 'lacquer', brassMouthpiece: 'plated' },
    cameNew: true,
  });
}

let furnishedRecord: Buffer | undefined;
/** A furnished server of its own. What furnishes it is logged once for a file of tests, and copied for the others. */
export async function furnishedServer(setting: Omit<Setting, 'prepare' | 'kinds'> = {}): Promise<TestServer> {
  const copy = furnishedRecord;
  if (copy !== undefined)
    return testServer({ ...setting, prepare: (folder) => writeFileSync(path.join(folder, DATABASE_FILE), copy) });
  const server = testServer(setting);
  await furnish(server);
  furnishedRecord = server.client().serialize();
  return server;
}

export const playBody = (over: object = {}) => ({
  key: aKey(),
  instrumentId: 'clarinet',
  playerId: 'ada',
  endedOn: TODAY,
  endedAtMinute: 1190,
  minutes: 45,
  roomCelsius: null,
  now: NOW,
  ...over,
});

/** One instrument in a run. */
export const share = (over: object = {}) => ({ instrumentId: 'clarinet', playKey: null, itemIds: [], ...over });

export const runBody = (over: object = {}) => ({
  key: aKey(),
  playerId: 'ada',
  kind: 'after',
  parts: [share()],
  minutesAtHand: null,
  now: NOW,
  ...over,
});
