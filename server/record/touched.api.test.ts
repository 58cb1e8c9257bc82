import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { DECLARED } from '#contract/facts.ts';
import type { TouchedSubject } from '#contract/fact.ts';
import { FACTS } from '#server/facts.ts';
import { aKey, furnishedServer, NOW, playBody, TODAY, WOODEN, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
  for (const [id, playerId] of [
    ['adas', 'ada'],
    ['kits', 'kit'],
  ])
    await post('/api/instruments', {
      ...{ id, name: id, kind: 'clarinet', build: WOODEN, playerId, cameNew: false },
      ...{ acquiredOn: '2024-01-10', today: TODAY },
    }).expect(201);
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const post = (path: string, body: object) => server.api().post(path).send(body);
const logged = async (path: string, body: object): Promise<string[]> => {
  const { touched } = (await post(path, { key: aKey(), now: NOW, ...body }).expect(201)).body as {
    touched: TouchedSubject[];
  };
  return touched.map(({ kind, id }) => `${kind} ${id}`).toSorted();
};

test('every kind that is sent is declared, and the other way round', () => {
  const sent = FACTS.flatMap(({ kind, request }) => (request === undefined ? [] : [kind]));
  expect(DECLARED.map(({ kind }) => kind).toSorted()).toEqual(sent.toSorted());
});

describe('whose pages look again', () => {
  const air = { playerId: 'kit', celsius: 21, humidityPercent: 40 };

  test('of an instrument are its own and those of its player', async () => {
    expect(await logged('/api/plays', playBody())).toEqual(['instrument clarinet', 'player ada']);
  });

  test('of a player are theirs and those of all they play', async () => {
    expect(await logged('/api/air/readings', { ...air, playerId: 'ada' })).toEqual([
      'instrument adas',
      'instrument clarinet',
      'instrument trumpet',
      'player ada',
    ]);
  });

  test('are those of whoever looks after the instruments as well, and of whoever did until now', async () => {
    await logged('/api/minders', { playerId: 'kit', minderId: 'ada' });
    expect(await logged('/api/air/readings', air)).toEqual(['instrument kits', 'player ada', 'player kit']);
    expect(await logged('/api/minders', { playerId: 'kit', minderId: null })).toEqual([
      'instrument kits',
      'player ada',
      'player kit',
    ]);
  });

  test('are named by how often they were written about, the same when it is sent again, and when it is taken back', async () => {
    const play = playBody();
    const first = (await post('/api/plays', play).expect(201)).body;
    expect(first.touched).toEqual([
      { kind: 'instrument', id: 'clarinet', revision: 2 },
      { kind: 'player', id: 'ada', revision: 1 },
    ]);
    expect((await post('/api/plays', play).expect(200)).body).toEqual(first);
    const taken = (await post('/api/withdrawals', { key: aKey(), targetKey: play.key }).expect(201)).body;
    expect(taken.touched).toEqual([
      { kind: 'instrument', id: 'clarinet', revision: 3 },
      { kind: 'player', id: 'ada', revision: 1 },
    ]);
  });
});

describe('the record of an instrument', () => {
  const linesOf = async (id: string): Promise<string[]> =>
    (await server.api().get(`/api/record/${id}?limit=20`).expect(200)).body.entries.map(
      ({ words }: { words: string }) => words,
    );
  const event = (over: object) => ({
    ...{ playerId: 'ada', what: 'concert', on: '2026-12-20', until: null, minutes: 60, name: 'Gala' },
    ...over,
  });

  test('tells no events of another instrument, and what is said of its player', async () => {
    await logged('/api/events', event({ instrumentIds: ['adas'] }));
    expect(await linesOf('clarinet')).toEqual([]);
    expect(await linesOf('adas')).toHaveLength(1);
    await logged('/api/air/readings', { playerId: 'ada', celsius: 21, humidityPercent: 40 });
    expect(await linesOf('clarinet')).toHaveLength(1);
    expect(await linesOf('adas')).toHaveLength(2);
  });
});
