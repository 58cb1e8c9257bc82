import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { problem } from '#contract/problem.ts';
import { playerList } from '#contract/players.ts';
import { aKey, furnish, NOW, testServer, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = testServer();
  await furnish(server);
});
afterEach(() => server.stop());

const list = async () =>
  playerList.validateSync((await server.api().get('/api/players').expect(200)).body, { strict: true });
const profile = (over: object) =>
  server
    .api()
    .post('/api/profiles')
    .send({ key: aKey(), now: NOW, ...over });
const kit = { name: 'Kit', standing: 'pupil', does: [] };

describe('players', () => {
  test('are added once under their key, and an id is not taken over', async () => {
    const same = { id: 'kit', name: 'Kit', standing: 'child', does: [] };
    await server.api().post('/api/players').send(same).expect(200);
    await server
      .api()
      .post('/api/players')
      .send({ ...same, name: 'Somebody else' })
      .expect(409);
    expect((await list()).map(({ id }) => id)).toEqual(['ada', 'kit']);
  });

  test('may change, and who a step is for follows', async () => {
    const key = aKey();
    await profile({ key, playerId: 'kit', ...kit }).expect(201);
    expect((await list()).find(({ id }) => id === 'kit')).toEqual({ id: 'kit', ...kit });
    await profile({ playerId: 'ada', name: 'Ada', standing: 'grown-up', does: [] }).expect(201);
    const page = await server.api().get('/api/care/clarinet?today=2026-11-24').expect(200);
    const clocks = page.body.clocks as { itemId: string; hands: string }[];
    expect(clocks.find(({ itemId }) => itemId === 'keyed/key-oil')?.hands).toBe('bench');
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: key }).expect(201);
    expect((await list()).find(({ id }) => id === 'kit')?.standing).toBe('child');
  });

  test.each([
    ['standing', { ...kit, standing: 'wizard' }],
    ['name', { ...kit, name: '' }],
    ['does[0]', { ...kit, does: ['magic'] }],
    ['name', { ...kit, name: '\u200b \u2060' }],
    ['name', { ...kit, name: '\u3164' }],
    ['id', { ...kit, id: 'ada' }],
  ])('bad %s is refused by name and nothing is written', async (field, body) => {
    const before = await list();
    const { body: answer } = await profile({ playerId: 'kit', ...body }).expect(400);
    expect(problem.validateSync(answer, { strict: true }).errors.map((error) => error.field)).toContain(field);
    expect(await list()).toEqual(before);
  });

  test('nobody is a 404', async () => {
    await profile({ playerId: 'nobody', ...kit }).expect(404);
  });
});
