import { problem } from '#contract/problem.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { instrumentPage } from '#contract/care.ts';
import { kindList, shelfView } from '#contract/instruments.ts';
import {
  aKey,
  furnishedServer,
  NOW,
  playBody,
  runBody,
  type TestServer,
  TODAY,
  WOODEN,
} from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const body = (over: object = {}) => ({
  id: 'second',
  name: 'Second clarinet',
  kind: 'clarinet',
  build: WOODEN,
  playerId: 'kit',
  acquiredOn: '2026-09-01',
  cameNew: true,
  today: TODAY,
  ...over,
});
const add = (over: object = {}) => server.api().post('/api/instruments').send(body(over));

describe('adding an instrument', () => {
  test('puts it on the shelf once, after what stands there', async () => {
    server.clock.ms += 1000;
    expect((await add()).status).toBe(201);
    expect((await add()).status).toBe(200);
    const shelf = await server.api().get(`/api/instruments?today=${TODAY}`).expect(200);
    expect(shelfView.validateSync(shelf.body, { strict: true }).map(({ id }) => id)).toEqual([
      'clarinet',
      'trumpet',
      'second',
    ]);
  });

  test.each([
    ['build.finish', { build: { ...WOODEN, finish: 'lacquer' } }, 400],
    ['build.body', { build: { ...WOODEN, body: 'marble' } }, 400],
    ['build.pads', { build: { body: 'wood', tenons: 'cork', mouthpiece: 'glass' } }, 400],
    ['build', { build: { body: 7 } }, 400],
    ['kind', { kind: 'kazoo' }, 400],
    ['name', { name: '   ' }, 400],
    ['acquiredOn', { acquiredOn: '2026-11-25' }, 400],
    ['playerId', { playerId: 'nobody' }, 404],
    ['today', { today: '2020-01-01', acquiredOn: '2019-01-01' }, 400],
  ])('bad %s is refused by name: %j', async (field, over, status) => {
    const answer = await add(over);
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });

  test('the kinds tell what to ask', async () => {
    const answer = await server.api().get('/api/kinds').expect(200);
    expect(kindList.validateSync(answer.body, { strict: true }).map(({ id }) => id)).toEqual(KIND_IDS);
  });
});

describe('the page of an instrument', () => {
  test('keeps to the contract, and no number stands without its reason', async () => {
    const answer = await server.api().get(`/api/care/trumpet?today=${TODAY}`).expect(200);
    const page = instrumentPage.validateSync(answer.body, { strict: true });
    for (const { because } of page.clocks) expect(because.length).toBeGreaterThan(0);
  });

  test('a used instrument’s history is unknown until somebody says; a new one counts from the day it came', async () => {
    const states = async (id: string) => {
      const { body: page } = await server.api().get(`/api/care/${id}?today=${TODAY}`);
      return new Set(
        page.clocks
          .filter((clock: { everyPlay: boolean }) => !clock.everyPlay)
          .map((clock: { gauge: { state: string } }) => clock.gauge.state),
      );
    };
    expect(await states('clarinet')).toEqual(new Set(['unknown', 'as-seen', 'off']));
    // What playing wears is as it was: nothing has been played on it.
    expect(await states('trumpet')).toEqual(new Set(['overdue', 'fresh', 'as-seen']));
  });

  test('speaks the reader’s way of writing dates', async () => {
    const text = async (language: string) => {
      const { body: page } = await server
        .api()
        .get(`/api/care/trumpet?today=${TODAY}`)
        .set('Accept-Language', language);
      return JSON.stringify(page.clocks);
    };
    expect(await text('de')).toContain('10. Januar 2024');
    expect(await text('en-GB')).toContain('10 January 2024');
    expect(await text('x-nonsense-%%')).toContain('January');
  });

  test.each(['/api/care/none?today=2026-11-24', '/api/record/none?limit=5', '/api/nothing', '/api/runs/none'])(
    '%s is a 404 with a problem document',
    async (path) => {
      const answer = await server.api().get(path);
      expect([answer.status, answer.body.code]).toEqual([404, 'not-found']);
    },
  );

  test('a query that is wrong is named', async () => {
    expect((await server.api().get('/api/care/clarinet')).body.errors[0].field).toBe('today');
    expect((await server.api().get('/api/instruments?today=tomorrow')).status).toBe(400);
  });
});

test('an instrument under an id that another has is refused, and the answer names what differs', async () => {
  const add = (over: object) =>
    server
      .api()
      .post('/api/instruments')
      .send({
        ...{ id: 'other', name: 'Other', kind: 'clarinet', build: WOODEN, playerId: 'ada', cameNew: false },
        ...{ acquiredOn: '2024-01-10', today: TODAY, ...over },
      });
  await add({}).expect(201);
  await add({}).expect(200);
  for (const [field, over] of [
    ['name', { name: 'Another' }],
    ['acquiredOn', { acquiredOn: '2024-01-11' }],
    ['build', { build: { ...WOODEN, pads: 'leather' } }],
  ] as const) {
    const answer = await add(over);
    expect([answer.status, answer.body.errors?.[0]?.message]).toEqual([409, expect.stringContaining(field)]);
  }
});

describe('leaving the shelf', () => {
  const depart = (leftOn: string | null) =>
    server.api().post('/api/departures').send({ key: aKey(), instrumentId: 'clarinet', leftOn, now: NOW });

  test('keeps the record; nothing new is logged after it; it can be put back', async () => {
    await server.api().post('/api/plays').send(playBody()).expect(201);
    await depart(TODAY).expect(201);
    const shelf = await server.api().get(`/api/instruments?today=${TODAY}`);
    expect(shelf.body.map(({ id }: { id: string }) => id)).toEqual(['trumpet']);
    const { body: page } = await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
    expect([page.instrument.leftOn, page.lastPlay.minutes]).toEqual([TODAY, 45]);
    expect((await server.api().post('/api/runs').send(runBody())).status).toBe(409);
    await depart(null).expect(201);
    await server.api().post('/api/runs').send(runBody()).expect(201);
  });

  test('lies between the day it came and today', async () => {
    expect((await depart('2023-01-01')).status).toBe(400);
    expect((await depart('2026-11-25')).status).toBe(400);
  });

  test('not before a play that is in the record; taken back it is on the shelf again', async () => {
    await server.api().post('/api/plays').send(playBody()).expect(201);
    const early = await depart('2026-11-23');
    expect([early.status, early.body.errors[0].field]).toEqual([409, 'leftOn']);
    const key = aKey();
    const body = { key, instrumentId: 'clarinet', leftOn: TODAY, now: NOW };
    await server.api().post('/api/departures').send(body).expect(201);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: key }).expect(201);
    const { body: page } = await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
    expect(page.instrument.leftOn).toBeNull();
  });
});

describe('care logged by itself', () => {
  const log = (over: object) =>
    server
      .api()
      .post('/api/care')
      .send({
        key: aKey(),
        instrumentId: 'clarinet',
        itemId: 'swab/wash',
        doneOn: TODAY,
        by: 'player',
        now: NOW,
        ...over,
      });

  test('starts an unknown clock, even with a day before the instrument came', async () => {
    await log({ itemId: 'wooden-bore/oil', doneOn: '2023-12-01' }).expect(201);
    const { body: page } = await server.api().get(`/api/care/clarinet?today=${TODAY}`);
    const oil = page.clocks.find(({ itemId }: { itemId: string }) => itemId === 'wooden-bore/oil');
    expect(oil.gauge.state).toBe('overdue');
  });

  test.each([
    ['doneOn', { doneOn: '2026-11-25' }, 400],
    ['doneOn', { instrumentId: 'trumpet', itemId: 'piston-brass/bath', doneOn: '2023-12-31' }, 400],
    ['itemId', { itemId: 'piston-brass/bath' }, 404],
    ['by', { by: 'magic' }, 400],
  ])('bad %s is refused by name: %j', async (field, over, status) => {
    const answer = await log(over);
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });
});

describe('the door', () => {
  test('answers only under its own address, and only its own pages', async () => {
    const health = () => server.api().get('/api/health');
    expect((await health()).body).toEqual({ version: 'test', database: 'ok', migrations: 1 });
    expect((await health().set('Host', 'evil.example')).status).toBe(403);
    expect((await health().set('Host', '127.0.0.1.evil.example')).status).toBe(403);
    expect((await health().set('Host', 'localhost:4180')).status).toBe(200);
    expect((await health().set('Origin', 'https://evil.example')).status).toBe(403);
    expect((await health().set('Origin', 'null')).status).toBe(403);
    expect((await health().set('Host', '127.0.0.1:9').set('Origin', 'http://127.0.0.1:9')).status).toBe(200);
  });

  test('sends security headers and says nothing of its make', async () => {
    const { headers } = await server.api().get('/api/health');
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
    const refused = await server.api().get('/api/health').set('Host', 'evil.example');
    expect(refused.headers['content-security-policy']).toContain("default-src 'self'");
  });

  test.each([
    ['brackets without end', '['.repeat(90_000), 400],
    ['brackets that close again', `${'['.repeat(20_000)}${']'.repeat(20_000)}`, 400],
    ['an object in an object in …', `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`, 400],
    [
      'thousands of strange properties',
      JSON.stringify(Object.fromEntries(Array.from({ length: 3000 }, (_, n) => [`p${n}`, n]))),
      400,
    ],
    [
      'a list where a name should be',
      JSON.stringify({ id: [[[['x'.repeat(4000)]]]], name: { a: { b: { c: 'x'.repeat(4000) } } } }),
      400,
    ],
    ['brackets inside a text', JSON.stringify({ id: '['.repeat(9000) }), 400],
    ['no JSON', '{"a":', 400],
    ['too much', JSON.stringify({ id: 'x'.repeat(120_000) }), 413],
  ])('a body of %s is refused shortly', async (_what, body, status) => {
    const answer = await server.api().post('/api/players').set('Content-Type', 'application/json').send(body);
    expect([answer.status, answer.headers['content-type']]).toEqual([status, expect.stringContaining('problem+json')]);
    expect(answer.text.length).toBeLessThan(6000);
  });

  test('a post to where nothing lives is a problem document, whatever the path', async () => {
    for (const path of ['/api/nothing', '/nothing', '/assets/x.js', '/now']) {
      const answer = await server.api().post(path).send({});
      expect([path, answer.status, problem.isValidSync(answer.body)]).toEqual([path, 404, true]);
    }
  });
});
