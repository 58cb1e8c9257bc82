import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { REED_BOX } from '#server/testing/examples/example.ts';
import { aKey, furnishedServer, NOW, playBody, TODAY, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const post = (at: string, body: object) => server.api().post(at).send(body);
const NOTHING_SETTLED = { playerId: 'ada', roomCelsius: null, tuningHertz: null, currency: null };
const settle = (over: object = {}) => post('/api/settings', { key: aKey(), now: NOW, ...NOTHING_SETTLED, ...over });
const settingsOf = async (playerId = 'ada') =>
  (await server.api().get(`/api/settings?playerId=${playerId}`).expect(200)).body;
const water = async () => (await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200)).body.water;

describe('the usual room', () => {
  test('makes the water in the bore another, as if somebody had said so of the play; the last word counts', async () => {
    await post('/api/plays', playBody()).expect(201);
    const before = await water();
    await settle({ roomCelsius: 5 }).expect(201);
    const cold = await water();
    expect(cold.grams).toBeGreaterThan(before.grams);
    const key = aKey();
    await settle({ key, roomCelsius: 28 }).expect(201);
    expect((await water()).grams).toBeLessThan(before.grams);
    await post('/api/withdrawals', { key: aKey(), targetKey: key }).expect(201);
    expect(await water()).toEqual(cold);
    expect((await settingsOf('kit')).roomCelsius).toBeNull();
  });

  test.each([-41, 51])('of %s °C is none', async (roomCelsius) => {
    await settle({ roomCelsius }).expect(400);
  });
});

describe('the note they tune to', () => {
  const before = async () =>
    (await server.api().get(`/api/case-lid?instrumentId=clarinet&today=${TODAY}`).expect(200)).body.routine.before;

  test('stands on the sheet in the lid of the case, once somebody has said it', async () => {
    const unsaid = await before();
    await settle({ tuningHertz: 443 }).expect(201);
    expect(await settingsOf()).toMatchObject({ tuningHertz: 443 });
    expect(await before()).toEqual([...unsaid, 'Tune to A = 443 Hz, once it is warm']);
    await settle().expect(201);
    expect(await before()).toEqual(unsaid);
  });

  test.each([379, 491, 440.5, '440'])('of %s Hz is none', async (tuningHertz) => {
    await settle({ tuningHertz }).expect(400);
  });
});

describe('how many reeds are opened for a concert', () => {
  test('is as usual until somebody says otherwise, and the answer goes by it', async () => {
    const chance = async () => {
      const asked = `/api/reeds/readiness?playerId=ada&kind=clarinet&on=2026-12-28&wanted=2&today=${TODAY}`;
      const { body } = await server.api().get(asked).expect(200);
      return body.because.find(({ rule }: { rule: string }) => rule === 'sure-enough').text;
    };
    await post('/api/reeds/boxes', { ...REED_BOX, key: aKey(), now: NOW }).expect(201);
    expect(await settingsOf()).toMatchObject({ reedWish: 'usual' });
    expect(await chance()).toContain('a chance of 80 %,');
    await settle({ reedWish: 'fewer' }).expect(201);
    expect(await settingsOf()).toMatchObject({ reedWish: 'fewer' });
    expect(await chance()).toContain('a chance of 60 %, for you want to open fewer reeds');
    // What was sent before this could be said says nothing of it.
    await settle().expect(201);
    expect(await chance()).toContain('a chance of 80 %,');
    await settle({ reedWish: 'none' }).expect(400);
  });
});

describe('the currency', () => {
  test('is the one chosen before anything has a price, and from then on the one of the prices', async () => {
    expect(await settingsOf()).toMatchObject({ currency: null, isPriced: false });
    await settle({ currency: 'XYZ' }).expect(400);
    await settle({ currency: 'CHF' }).expect(201);
    expect(await settingsOf('kit')).toMatchObject({ currency: 'CHF', isPriced: false });
    const box = { ...REED_BOX, cost: { minor: 2890, currency: 'CHF' } };
    await post('/api/reeds/boxes', { ...box, key: aKey(), now: NOW }).expect(201);
    expect(await settingsOf()).toMatchObject({ currency: 'CHF', isPriced: true });
    const { body } = await settle({ currency: 'EUR' }).expect(409);
    expect(body.errors).toMatchObject([{ field: 'currency', code: 'another-currency' }]);
  });
});

describe('whoever reads says how', () => {
  const airTold = async (headers: Record<string, string>) => {
    const { body } = await server.api().get('/api/record/clarinet?limit=50').set(headers).expect(200);
    return body.entries.find(({ kind }: { kind: string }) => kind === 'air-reading')?.words;
  };
  beforeEach(async () => {
    await post('/api/air/readings', {
      key: aKey(),
      now: NOW,
      playerId: 'ada',
      celsius: 20.5,
      humidityPercent: 38,
    }).expect(201);
  });

  test.each([
    ['German', { 'Accept-Language': 'de-DE' }, 'The air: 20,5 °C, 38 %.'],
    ['American', { 'Accept-Language': 'en-US', 'Ulu-Units': 'fahrenheit inch' }, 'The air: 68.9 °F, 38 %.'],
    ['nobody', {}, 'The air: 20.5 °C, 38 %.'],
    ['nonsense', { 'Accept-Language': '!!', 'Ulu-Units': 'kelvin cubit' }, 'The air: 20.5 °C, 38 %.'],
  ])('%s', async (_who, headers, words) => {
    expect(await airTold(headers)).toBe(words);
  });

  test('lengths in the words of the book are in inches where that is asked', async () => {
    const verdicts = async (headers: Record<string, string>) =>
      JSON.stringify(
        (await server.api().get(`/api/agents/slide-grease/verdicts/trumpet?today=${TODAY}`).set(headers).expect(200))
          .body,
      );
    expect(await verdicts({})).toContain('0.025 mm');
    expect(await verdicts({ 'Ulu-Units': 'celsius inch' })).toContain('0.001 in');
  });
});
