import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import type { Response } from 'supertest';
import type { IncomingView } from '#contract/data.ts';
import {
  aKey,
  furnishedServer,
  NOW,
  playBody,
  runBody,
  testServer,
  TODAY,
  type TestServer,
} from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const get = (at: string, of = server) => of.api().get(at).buffer(true).parse(asBytes);
/** An answer as the bytes it has. */
function asBytes(res: Response, done: (error: Error | null, body: unknown) => void): void {
  const pieces: Buffer[] = [];
  res.on('data', (piece: Buffer) => pieces.push(piece));
  res.on('end', () => done(null, Buffer.concat(pieces)));
}
const bring = async (bytes: Uint8Array | string, of = server, name = 'a file'): Promise<IncomingView> => {
  const { body } = await of
    .api()
    .post(`/api/data/incoming?name=${encodeURIComponent(name)}`)
    .set('Content-Type', 'application/octet-stream')
    .send(typeof bytes === 'string' ? Buffer.from(bytes) : Buffer.from(bytes))
    .expect(201);
  return settled(body.id, of);
};
/** What has come of a file, once nothing is done with it any more. */
async function settled(id: string, of = server): Promise<IncomingView> {
  for (;;) {
    const { body } = await of.api().get(`/api/data/incoming/${id}`).expect(200);
    if (body.phase !== 'reading' && body.phase !== 'taking') return body;
    await new Promise((resolve) => setImmediate(resolve));
  }
}
const take = async (id: string, players: object[] = [], of = server): Promise<IncomingView> => {
  await of.api().post(`/api/data/incoming/${id}/take`).send({ players, today: TODAY }).expect(200);
  return settled(id, of);
};
const lies = (folder: string) => readdirSync(path.join(server.folder, folder));
const plays = async (of = server) =>
  (await of.api().get('/api/record/clarinet?limit=200').expect(200)).body.entries.filter(
    ({ kind }: { kind: string }) => kind === 'play',
  ).length;

test('a copy is made in one tap, told in words, listed, and given out as it lies on the disk', async () => {
  await server.api().post('/api/plays').send(playBody()).expect(201);
  const before = await server.api().get(`/api/data?today=${TODAY}`).expect(200);
  expect(before.body).toMatchObject({ copies: [], age: 'There is no copy of your record yet.', isOld: true });
  const made = await server.api().post('/api/data/copies').send({ today: TODAY }).expect(201);
  expect(made.body.words).toMatch(
    /^The copy is whole: 2 players, 2 instruments and 1 play, from .+\. It takes \d+ kB\.$/,
  );
  const { body } = await server.api().get(`/api/data?today=${TODAY}`).expect(200);
  expect(body).toMatchObject({ age: 'The newest copy is of today.', isOld: false });
  expect(body.copies.map(({ name }: { name: string }) => name)).toEqual([made.body.name]);
  const file = await get(`/api/data/copies/${made.body.name}`).expect(200);
  expect(gunzipSync(file.body).subarray(0, 15).toString()).toBe('SQLite format 3');
  await server.api().get('/api/data/copies/..%2Fulu.db').expect(404);
});

test('where the folder for copies cannot be reached the page says so, and goes on', async () => {
  writeFileSync(path.join(server.folder, 'copies'), 'no folder');
  const { body } = await server.api().get(`/api/data?today=${TODAY}`).expect(200);
  expect(body).toMatchObject({ copies: [], isOld: true, age: expect.stringMatching(/cannot be reached/) });
  const made = await server.api().post('/api/data/copies').send({ today: TODAY }).expect(409);
  expect(made.body.detail).toMatch(/cannot be reached/);
});

describe('a copy that is taken back', () => {
  test('is looked at first, and takes the place of the record while the server runs; that lies aside', async () => {
    await server.api().post('/api/plays').send(playBody()).expect(201);
    const { body: made } = await server.api().post('/api/data/copies').send({ today: TODAY }).expect(201);
    await server
      .api()
      .post('/api/plays')
      .send(playBody({ endedOn: '2026-11-20' }))
      .expect(201);
    expect(await plays()).toBe(2);
    const { body } = await server.api().post(`/api/data/copies/${made.name}/look`).send({}).expect(201);
    const looked = await settled(body.id);
    expect(looked).toMatchObject({ kind: 'copy', phase: 'ready', problems: [] });
    expect(looked.preview).toMatchObject({ holds: expect.stringContaining('and 1 play, from'), isWorthIt: true });
    expect(await plays()).toBe(2);
    const taken = await take(body.id);
    expect(taken.outcome).toMatch(/lies at .+ulu\.db\.before-restore-\d+\.bak/);
    expect(await plays()).toBe(1);
    await server
      .api()
      .post('/api/plays')
      .send(playBody({ endedOn: '2026-11-21' }))
      .expect(201);
    expect(await plays()).toBe(2);
    expect([lies('.').filter((name) => name.endsWith('.bak')).length, lies('incoming')]).toEqual([1, []]);
  });

  test('every page answers as it did', async () => {
    await server.api().post('/api/plays').send(playBody()).expect(201);
    const run = runBody();
    await server.api().post('/api/runs').send(run).expect(201);
    const pages = [
      `/api/care/clarinet?today=${TODAY}`,
      '/api/record/clarinet?limit=200',
      `/api/runs/${run.key}`,
      `/api/today?playerId=ada&today=${TODAY}&atMinute=1200`,
    ];
    const answers = async () => Promise.all(pages.map(async (at) => (await server.api().get(at).expect(200)).body));
    const before = await answers();
    const { body: made } = await server.api().post('/api/data/copies').send({ today: TODAY }).expect(201);
    const file = await get(`/api/data/copies/${made.name}`);
    await take((await bring(file.body)).id);
    expect(await answers()).toEqual(before);
  });

  test('of a newer version, damaged, cut off or of something else is refused in one line', async () => {
    const { body: made } = await server.api().post('/api/data/copies').send({ today: TODAY }).expect(201);
    const packed = (await get(`/api/data/copies/${made.name}`)).body as Buffer;
    const plain = gunzipSync(packed);
    const spoilt = Buffer.from(plain);
    spoilt.fill(7, 4096, 20_000);
    for (const [bytes, words] of [
      [spoilt, /damaged|no record of Ulu/],
      [packed.subarray(0, packed.length / 2), /cannot be unpacked|damaged/],
      [plain.subarray(0, 5000), /damaged|no record/],
    ] as const) {
      const { phase, problems } = await bring(bytes);
      expect([phase, problems.length]).toEqual(['refused', 1]);
      expect(problems[0]?.words).toMatch(words);
    }
    expect(await plays()).toBe(0);
  });
});

describe('a record that is brought in', () => {
  const document = async (of: TestServer) => (await get('/api/data/record.json', of).expect(200)).body as Buffer;

  test('moves to an empty machine: export, bring in, export, the same', async () => {
    await server.api().post('/api/plays').send(playBody()).expect(201);
    const one = await document(server);
    const empty = testServer();
    try {
      const looked = await bring(one, empty);
      expect(looked).toMatchObject({ kind: 'record', phase: 'ready', problems: [] });
      expect(looked.preview?.lines[0]).toMatch(/^\d+ entries are new here\.$/);
      expect((await document(empty)).toString()).not.toContain('clarinet');
      const taken = await take(looked.id, [], empty);
      expect(taken).toMatchObject({ phase: 'taken', problems: [] });
      expect((await document(empty)).equals(one)).toBe(true);
      expect((await bring(gzipSync(one), empty)).preview).toMatchObject({
        isWorthIt: false,
        lines: ['Your record has all of it already. Nothing would change.'],
      });
    } finally {
      empty.stop();
    }
  });

  test('beside a used record: players are matched by name, and the copy of before is there', async () => {
    const other = await furnishedServer();
    try {
      await other.api().post('/api/plays').send(playBody()).expect(201);
      const one = (await document(other))
        .toString()
        .replaceAll('"ada"', '"other-ada"')
        .replaceAll('player/ada', 'player/other-ada');
      const renamed = one
        .replaceAll('profile/ada', 'profile/other-ada')
        .replaceAll('"trumpet"', '"horn"')
        .replaceAll('/trumpet', '/horn')
        .replaceAll('"clarinet"', '"bassetto"')
        .replaceAll('/clarinet', '/bassetto')
        .replaceAll('"kind":"horn"', '"kind":"trumpet"')
        .replaceAll('"kind":"bassetto"', '"kind":"clarinet"');
      const looked = await bring(renamed);
      expect(looked.problems).toEqual([]);
      expect(looked.preview?.players).toEqual([{ playerId: 'other-ada', name: 'Ada', seemsToBe: 'ada' }]);
      const taken = await take(looked.id, [{ playerId: 'other-ada', isHere: 'ada' }]);
      expect(taken.problems).toEqual([]);
      const { body } = await server.api().get('/api/players').expect(200);
      expect(body.length).toBe(2);
      const shelf = await server.api().get(`/api/instruments?today=${TODAY}`).expect(200);
      expect(shelf.body.map(({ id, playerId }: { id: string; playerId: string }) => [id, playerId])).toEqual([
        ['clarinet', 'ada'],
        ['trumpet', 'ada'],
        ['bassetto', 'ada'],
        ['horn', 'ada'],
      ]);
      expect(lies('copies').length).toBe(1);
      // Known for good: brought in again there is nothing new, and nobody is asked.
      expect((await bring(renamed)).preview).toMatchObject({ isWorthIt: false, players: [] });
    } finally {
      other.stop();
    }
  });

  test('what is said while it is taken in is kept: told to come back, or written', async () => {
    const other = await furnishedServer();
    for (let day = 10; day < 24; day++)
      await other
        .api()
        .post('/api/plays')
        .send(playBody({ endedOn: `2026-11-${day}` }))
        .expect(201);
    const one = await document(other);
    other.stop();
    const looked = await bring(one);
    const key = aKey();
    const taking = take(looked.id);
    const send = async (): Promise<number> => {
      const { status } = await server
        .api()
        .post('/api/plays')
        .send(playBody({ key, endedOn: '2026-10-02', now: NOW }));
      return status === 503 ? send() : status;
    };
    expect(await send()).toBe(201);
    await taking;
    expect(await plays()).toBe(15);
  });

  test('one that is let go leaves nothing behind', async () => {
    const { id } = await bring(await document(server));
    await server.api().post(`/api/data/incoming/${id}/end`).send({}).expect(200);
    await server.api().get(`/api/data/incoming/${id}`).expect(404);
    await server.api().post(`/api/data/incoming/${id}/take`).send({ players: [], today: TODAY }).expect(404);
    expect(lies('incoming')).toEqual([]);
  });
});

test.each([
  ['nothing', ''],
  ['a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 1])],
  ['a spreadsheet', Buffer.from('PK\u0003\u0004\u0000\u0000')],
  ['zeros packed a thousandfold', gzipSync(Buffer.alloc(5_000_000))],
])('%s is nothing that can be brought in, and says so', async (_what, bytes) => {
  const { phase, problems } = await bring(bytes);
  expect([phase, problems]).toEqual(['refused', [{ at: null, words: expect.stringMatching(/Nothing was changed/) }]]);
});

test('the history of one instrument goes out under its name', async () => {
  const answer = await get('/api/data/history/clarinet.json').expect(200);
  expect(answer.headers['content-disposition']).toMatch(/filename="ulu-clarinet-\d{4}-\d\d-\d\d\.json"/);
  expect(JSON.parse(answer.body.toString()).instrument).toBe('clarinet');
  await server.api().get('/api/data/history/spell.json').expect(404);
});

test('what a program that was cut off was brought is gone at the next start', async () => {
  const { id } = await bring(JSON.stringify({ format: 'ulu-record' }));
  const file = path.join(server.folder, 'incoming', id);
  expect(existsSync(file)).toBe(true);
  server.restart();
  expect(existsSync(file)).toBe(false);
});
