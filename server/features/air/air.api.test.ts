import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { airView } from '#contract/air.ts';
import { conditionsPage } from '#contract/conditions.ts';
import { aKey, furnishedServer, NOW, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const reading = (over: object = {}) => ({
  key: aKey(),
  now: NOW,
  playerId: 'ada',
  celsius: 17,
  humidityPercent: 31,
  ...over,
});
const post = (path: string, body: object) => server.api().post(path).send(body);
const today = async () =>
  airView.validateSync((await server.api().get(`/api/air?playerId=ada&today=${TODAY}`).expect(200)).body).read;
const standing = async () => {
  const { body } = await server.api().get(`/api/conditions/clarinet?today=${TODAY}`).expect(200);
  return conditionsPage
    .validateSync(body, { strict: true })
    .standing.map(({ condition, inForce, byReading }) => ({ condition, inForce, byReading }));
};

describe('a reading of the air', () => {
  test('is today’s until a newer one; taken back, the older one is', async () => {
    expect(await today()).toBeNull();
    await post('/api/air/readings', reading()).expect(201);
    const newer = reading({ humidityPercent: 52 });
    await post('/api/air/readings', newer).expect(201);
    expect(await today()).toMatchObject({ humidityPercent: 52 });
    await post('/api/withdrawals', { key: aKey(), targetKey: newer.key }).expect(201);
    expect(await today()).toMatchObject({ humidityPercent: 31 });
  });

  test('put right stays where it was: yesterday’s is not read today, and the older of two not the newest', async () => {
    const yesterday = { on: '2026-11-23', atMinute: 1200 };
    const old = reading({ now: yesterday });
    await post('/api/air/readings', old).expect(201);
    await post('/api/air/readings', reading({ corrects: old.key, humidityPercent: 47 })).expect(201);
    expect(await today()).toBeNull();
    const [early, late] = [reading({ now: { on: TODAY, atMinute: 600 } }), reading({ humidityPercent: 52 })];
    await post('/api/air/readings', early).expect(201);
    await post('/api/air/readings', late).expect(201);
    await post('/api/air/readings', reading({ corrects: early.key, humidityPercent: 39 })).expect(201);
    expect(await today()).toMatchObject({ key: late.key, humidityPercent: 52 });
    await post('/api/withdrawals', { key: aKey(), targetKey: late.key }).expect(201);
    expect(await today()).toMatchObject({ key: early.key, atMinute: 600, humidityPercent: 39 });
  });

  test('kept on a device over a weekend lands on its own day, in its place', async () => {
    const saturday = { on: '2026-11-21', atMinute: 600 };
    const kept = reading({ now: saturday, humidityPercent: 44 });
    const late = await post('/api/air/readings', kept);
    expect([late.status, late.body.errors[0].code]).toEqual([400, 'not-today']);
    const msAgo = server.clock.ms - Date.parse('2026-11-21T10:00:00.000Z');
    await post('/api/air/readings', { ...kept, msAgo }).expect(201);
    await post('/api/air/readings', { ...kept, msAgo: msAgo + 60_000 }).expect(200);
    expect(await today()).toBeNull();
    const then = await server.api().get('/api/air?playerId=ada&today=2026-11-21').expect(200);
    expect(then.body.read).toMatchObject({ key: kept.key, atMinute: 600, humidityPercent: 44 });
    await post('/api/air/readings', { ...reading(), msAgo: 32 * 86_400_000 }).expect(400);
  });

  test('puts wood in dry air until it is read not to be dry, whatever was entered', async () => {
    expect(await standing()).toEqual([]);
    await post('/api/air/readings', reading()).expect(201);
    expect(await standing()).toEqual([{ condition: 'dry-air', inForce: true, byReading: true }]);
    await post('/api/air/readings', reading({ humidityPercent: 48 })).expect(201);
    expect(await standing()).toEqual([]);
  });

  test('is the room of what is played that day', async () => {
    const rooms = () =>
      server
        .services()
        .readings.of('clarinet')
        ?.situation(TODAY as never).conditions.roomCelsius;
    expect(rooms()).toBe(20);
    await post('/api/air/readings', reading({ celsius: 12, humidityPercent: 60 })).expect(201);
    expect(rooms()).toBe(12);
  });

  test.each([
    ['celsius', { celsius: 68 }, 'air-no-room', 400],
    ['humidityPercent', { humidityPercent: 101 }, 'air-no-humidity', 400],
    ['humidityPercent', { humidityPercent: -1 }, 'air-no-humidity', 400],
    ['playerId', { playerId: 'nobody' }, 'no-such-player', 404],
  ])('of which %s cannot be is refused: %j', async (field, over, code, status) => {
    const { body } = await post('/api/air/readings', reading(over)).expect(status);
    expect(body.errors).toMatchObject([{ field, code }]);
    expect(await today()).toBeNull();
  });

  test('that is no reading is refused', async () => {
    for (const over of [{ celsius: '20' }, { humidityPercent: null }, { playerId: '' }])
      await post('/api/air/readings', reading(over)).expect(400);
  });
});
