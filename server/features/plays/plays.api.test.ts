import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { problem } from '#contract/problem.ts';
import { aKey, furnishedServer, NOW, playBody, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const post = (body: object) => server.api().post('/api/plays').send(body);
const countPlays = () => server.client().prepare('select count(*) from plays').pluck().get();

describe('an evening on several instruments', () => {
  const evening = (plays: readonly object[]) =>
    server
      .api()
      .post('/api/evenings')
      .send({
        ...{ key: aKey(), playerId: 'ada', endedOn: TODAY, endedAtMinute: 600, roomCelsius: null, plays, now: NOW },
      });
  const play = (instrumentId: string, key = aKey()) => ({ key, instrumentId, minutes: 30 });
  const refused = async (plays: readonly object[]) => {
    const answer = await evening(plays);
    return [answer.status, answer.body.errors[0].field];
  };
  const lines = async (id: string) =>
    (await server.api().get(`/api/record/${id}?limit=9`).expect(200)).body.entries as { key: string; words: string }[];

  test('names each instrument once, and each play has a key of its own', async () => {
    expect(await refused([play('clarinet'), play('clarinet')])).toEqual([400, 'plays[1].instrumentId']);
    const key = aKey();
    expect(await refused([play('clarinet', key), play('trumpet', key)])).toEqual([409, 'plays[1].key']);
    const known = playBody({ endedAtMinute: 300 });
    await post(known).expect(201);
    expect(await refused([play('trumpet', known.key)])).toEqual([409, 'plays[0].key']);
    expect(countPlays()).toBe(1);
  });

  test('stands in the record of each, and is corrected and taken back there', async () => {
    const [one, two] = [play('clarinet'), play('trumpet')];
    await evening([one, two]).expect(201);
    expect(await lines('clarinet')).toMatchObject([{ key: one.key, words: 'Played 30 min' }]);
    expect(await lines('trumpet')).toMatchObject([{ key: two.key, words: 'Played 30 min' }]);
    const longer = playBody({ endedAtMinute: 600, minutes: 60, corrects: one.key });
    await post(longer).expect(201);
    expect(await lines('clarinet')).toMatchObject([{ key: one.key, words: 'Played 1 h', corrected: true }]);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: two.key }).expect(201);
    expect(await lines('trumpet')).toEqual([]);
    expect(await lines('clarinet')).toHaveLength(1);
  });
});

describe('logging a play', () => {
  test('writes it down once, however often the same entry is sent', async () => {
    const body = playBody();
    expect((await post(body)).status).toBe(201);
    expect((await post(body)).status).toBe(200);
    expect((await post({ ...body, now: { on: TODAY, atMinute: 1300 } })).status).toBe(200);
    expect(countPlays()).toBe(1);
    const other = await post({ ...body, minutes: 50 });
    expect([other.status, other.body.errors[0].field]).toEqual([409, 'key']);
  });

  test('survives a restart', async () => {
    await post(playBody()).expect(201);
    server.restart();
    const page = await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
    expect(page.body.lastPlay.minutes).toBe(45);
    expect(page.body.awaitsPackUp).toBe(true);
  });

  test('the room it was played in stands in the record, where somebody said', async () => {
    await post(playBody({ roomCelsius: 10 })).expect(201);
    await post(playBody({ endedAtMinute: 600 })).expect(201);
    const { entries } = (await server.api().get('/api/record/clarinet?limit=5').expect(200)).body;
    expect(entries.map(({ words }: { words: string }) => words)).toEqual([
      'Played 45 min at about 10 °C',
      'Played 45 min',
    ]);
  });

  test.each([
    ['minutes', { minutes: 0 }],
    ['minutes', { minutes: -5 }],
    ['minutes', { minutes: 2000 }],
    ['minutes', { minutes: '45' }],
    ['minutes', { minutes: 4.5 }],
    ['minutes', { minutes: null }],
    ['endedOn', { endedOn: '2026-02-31' }],
    ['endedOn', { endedOn: '24.11.2026' }],
    ['endedOn', { endedOn: '2026-11-25' }],
    ['endedAtMinute', { endedAtMinute: 1201 }],
    ['endedAtMinute', { endedAtMinute: 1440 }],
    ['endedOn', { endedOn: '2024-01-09' }],
    ['key', { key: 'not-a-key' }],
    ['now.on', { now: { on: '2031-01-01', atMinute: 0 }, endedOn: '2030-12-31' }],
    ['roomCelsius', { roomCelsius: 80 }],
    ['roomCelsius', { roomCelsius: '20' }],
    ['roomCelsius', { roomCelsius: undefined }],
    ['surprise', { surprise: true }],
  ])('bad %s is refused by name and nothing is written: %j', async (field, over) => {
    const answer = await post(playBody(over));
    expect(answer.status).toBe(400);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(problem.isValidSync(answer.body)).toBe(true);
    expect(answer.body.errors.map((error: { field: string }) => error.field)).toContain(field);
    expect(countPlays()).toBe(0);
  });

  test.each([
    ['instrumentId', { instrumentId: 'nobody-knows' }],
    ['playerId', { playerId: 'stranger' }],
  ])('an unknown %s is a 404', async (field, over) => {
    const answer = await post(playBody(over));
    expect([answer.status, answer.body.errors[0].field]).toEqual([404, field]);
  });

  test('two plays of one instrument cannot overlap; another instrument may sound meanwhile', async () => {
    await post(playBody()).expect(201);
    const overlap = await post(playBody({ endedAtMinute: 1160, minutes: 20 }));
    expect(overlap.status).toBe(409);
    expect(overlap.body.detail).toContain('45 min');
    await post(playBody({ endedAtMinute: 1145, minutes: 20 })).expect(201);
    await post(playBody({ instrumentId: 'trumpet' })).expect(201);
    await post(playBody({ endedAtMinute: null, minutes: 1440 })).expect(409);
  });

  test('a body that is no JSON, or too large, is a problem document too', async () => {
    const broken = await server.api().post('/api/plays').set('Content-Type', 'application/json').send('{"key":');
    expect([broken.status, broken.body.code]).toEqual([400, 'invalid-request']);
    const large = await post({ ...playBody(), padding: 'x'.repeat(200_000) });
    expect([large.status, large.body.code]).toEqual([413, 'too-large']);
  });

  test('whatever is sent, the answer is no 500', async () => {
    await fc.assert(
      fc.asyncProperty(fc.jsonValue(), async (value) => {
        const answer = await server
          .api()
          .post('/api/plays')
          .set('Content-Type', 'application/json')
          .send(JSON.stringify(value));
        expect(answer.status).toBeLessThan(500);
        expect(problem.isValidSync(answer.body)).toBe(true);
      }),
      { seed: 12, numRuns: 60 },
    );
    expect(countPlays()).toBe(0);
  });
});

describe('taking a play back', () => {
  const withdraw = (targetKey: string, key = aKey()) => server.api().post('/api/withdrawals').send({ key, targetKey });

  test('makes it count no longer, moves the clocks back, and is itself recorded once', async () => {
    const body = playBody();
    await post(body).expect(201);
    const key = aKey();
    expect((await withdraw(body.key, key)).status).toBe(201);
    expect((await withdraw(body.key, key)).status).toBe(200);
    expect((await withdraw(body.key)).status).toBe(200);
    const page = await server.api().get(`/api/care/clarinet?today=${TODAY}`);
    expect(page.body.lastPlay).toBeNull();
    expect(page.body.awaitsPackUp).toBe(false);
    expect(countPlays()).toBe(1);
    expect((await post(body)).status).toBe(409);
    await post(playBody()).expect(201);
  });

  test('what is not in the record cannot be taken back', async () => {
    expect((await withdraw(aKey())).status).toBe(404);
    expect((await server.api().post('/api/withdrawals').send({ key: aKey() })).status).toBe(400);
  });

  test('one withdrawal key takes one thing back', async () => {
    const [one, other] = [playBody(), playBody({ endedAtMinute: 600 })];
    await post(one).expect(201);
    await post(other).expect(201);
    const key = aKey();
    await withdraw(one.key, key).expect(201);
    expect((await withdraw(other.key, key)).status).toBe(409);
  });
});

test('a late logging for an earlier day corrects every clock', async () => {
  const load = async () => {
    const page = await server.api().get(`/api/care/trumpet?today=${TODAY}`);
    return page.body.clocks.find(({ itemId }: { itemId: string }) => itemId === 'piston-brass/valve-oil').gauge.load;
  };
  await server
    .api()
    .post('/api/care')
    .send({
      key: aKey(),
      instrumentId: 'trumpet',
      itemId: 'piston-brass/valve-oil',
      doneOn: '2026-11-22',
      by: 'player',
      now: NOW,
    })
    .expect(201);
  const before = await load();
  await post(playBody({ instrumentId: 'trumpet', endedOn: '2026-11-23', endedAtMinute: null, minutes: 180 })).expect(
    201,
  );
  expect(await load()).toBe(1);
  expect(before).toBeLessThan(1);
});
