import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { renameSync } from 'node:fs';
import path from 'node:path';
import { healthView } from '#contract/health.ts';
import { problem } from '#contract/problem.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { recordTrouble } from '#server/db/record-trouble.ts';
import { watchFile } from '#server/db/watch-file.ts';
import { furnishedServer, playBody, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const log = (body: object) => server.api().post('/api/plays').send(body);
const file = () => path.join(server.folder, DATABASE_FILE);

describe('another program holds the record', () => {
  test('a request is told so soon, nothing is lost, and the same request goes through afterwards', async () => {
    const other = new Database(file());
    other.exec('begin immediate');
    const play = playBody();
    const answer = await log(play);
    // What the thread waits, ms: it would hold up every other request meanwhile.
    expect(server.client().pragma('busy_timeout', { simple: true })).toBe(0);
    expect([answer.status, answer.headers['retry-after']]).toEqual([503, '1']);
    expect(problem.validateSync(answer.body, { strict: true })).toMatchObject({
      code: 'busy',
      detail: expect.stringContaining('Nothing was lost'),
    });
    await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
    other.exec('rollback');
    other.close();
    await log(play).expect(201);
  });
});

describe('the file of the record has gone', () => {
  test('nothing more is written, it is said why, and health tells the truth', async () => {
    await log(playBody()).expect(201);
    renameSync(file(), `${file()}.moved`);
    const answer = await log(playBody({ endedAtMinute: 600 }));
    expect([answer.status, answer.body.code]).toEqual([503, 'unusable']);
    expect(answer.body.detail).toContain('no longer in its folder');
    const health = await server.api().get('/api/health').expect(503);
    expect(healthView.validateSync(health.body, { strict: true }).database).toBe('gone');
    renameSync(`${file()}.moved`, file());
    await log(playBody({ endedAtMinute: 600 })).expect(201);
    expect((await server.api().get('/api/health').expect(200)).body.database).toBe('ok');
  });
});

describe('the disk is full', () => {
  test('it is said so, nothing recorded is lost, and with room again the same request goes through', async () => {
    const play = playBody();
    server.client().exec('vacuum');
    const pages = server.client().pragma('page_count', { simple: true }) as number;
    server.client().pragma(`max_page_count = ${pages}`);
    let refused: { status: number; body: { code: string; detail: string } } | undefined;
    // The free room within the pages is used up first.
    for (let minute = 0; minute < 200 && refused === undefined; minute++) {
      const answer = await log(playBody({ minutes: 1, endedAtMinute: null, endedOn: '2026-11-20' }));
      if (answer.status !== 201) refused = answer;
    }
    expect([refused?.status, refused?.body.code]).toEqual([503, 'unusable']);
    expect(refused?.body.detail).toContain('The disk is full');
    expect((await server.api().get('/api/health').expect(503)).body.database).toBe('full');
    expect(server.breaches()).toEqual([]);
    server.client().pragma('max_page_count = 1000000');
    await log(play).expect(201);
    await server.api().get('/api/health').expect(200);
  });
});

describe('pages of the file are damaged', () => {
  test('from the first error that says so nothing more is written, until a restart', () => {
    const watch = watchFile(file());
    watch.noticed(Object.assign(new Error('malformed'), { code: 'SQLITE_BUSY' }));
    expect(watch.state()).toBe('ok');
    watch.noticed(new Error('query failed', { cause: Object.assign(new Error('x'), { code: 'SQLITE_CORRUPT' }) }));
    expect(watch.state()).toBe('damaged');
    expect(() => watch.beforeWriting()).toThrow(/damaged, so nothing more is written/);
  });
});

describe('text of the file is not what was written', () => {
  test('it is said to be damaged, and nothing more is written', async () => {
    server.client().exec(`update builds set build = '{"body'`);
    server.restart();
    const answer = await server.api().get(`/api/care/clarinet?today=${TODAY}`);
    expect([answer.status, answer.body.code]).toEqual([503, 'unusable']);
    expect(answer.body.detail).toContain('damaged');
    expect((await server.api().get('/api/health').expect(503)).body.database).toBe('damaged');
    await log(playBody()).expect(503);
  });

  test('a request that is none says nothing of the record', async () => {
    await server.api().post('/api/plays').set('Content-Type', 'application/json').send('{"key":').expect(400);
    await server.api().get('/api/health').expect(200);
  });
});

describe('what an error says of the record', () => {
  test.each([
    ['SQLITE_BUSY', 'busy'],
    ['SQLITE_BUSY_SNAPSHOT', 'busy'],
    ['SQLITE_CORRUPT_VTAB', 'damaged'],
    ['SQLITE_NOTADB', 'damaged'],
    ['SQLITE_FULL', 'full'],
    ['SQLITE_IOERR_READ', 'gone'],
    ['SQLITE_CONSTRAINT_UNIQUE', undefined],
    [undefined, undefined],
  ])('%s: %s, also where another error wraps it', (code, state) => {
    const error = Object.assign(new Error('x'), { code });
    expect(recordTrouble(error)?.state).toBe(state);
    expect(recordTrouble(new Error('wrapped', { cause: error }))?.state).toBe(state);
  });
});
