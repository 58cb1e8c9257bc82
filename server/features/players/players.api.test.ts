import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { problem } from '#contract/problem.ts';
import { playerList } from '#contract/players.ts';
import { aKey, furnishedServer, NOW, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
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
    expect((await list()).find(({ id }) => id === 'kit')).toEqual({ id: 'kit', ...kit, way: null, minderId: null });
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

  test('choose how they go through a run, and a child names who looks after them; both can be taken back', async () => {
    const log = (path: string, body: object) =>
      server
        .api()
        .post(path)
        .send({ now: NOW, ...body });
    const kitNow = async () => (await list()).find(({ id }) => id === 'kit');
    await log('/api/run-ways', { key: aKey(), playerId: 'kit', way: 'stretches' }).expect(201);
    const key = aKey();
    await log('/api/run-ways', { key, playerId: 'kit', way: 'as-listed' }).expect(201);
    expect(await kitNow()).toMatchObject({ way: 'as-listed', minderId: null });
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: key }).expect(201);
    await log('/api/minders', { key: aKey(), playerId: 'kit', minderId: 'ada' }).expect(201);
    expect(await kitNow()).toMatchObject({ way: 'stretches', minderId: 'ada' });
    await log('/api/minders', { key: aKey(), playerId: 'kit', minderId: null }).expect(201);
    expect((await kitNow())?.minderId).toBeNull();
  });

  test.each([
    ['themselves', { playerId: 'kit', minderId: 'kit' }, 400],
    ['a grown-up', { playerId: 'ada', minderId: 'kit' }, 400],
    ['by nobody known', { playerId: 'kit', minderId: 'nobody' }, 404],
    ['nobody known', { playerId: 'nobody', minderId: 'ada' }, 404],
  ])('looking after %s is refused', async (_, body, status) => {
    await server
      .api()
      .post('/api/minders')
      .send({ key: aKey(), now: NOW, ...body })
      .expect(status);
    expect((await list()).every(({ minderId }) => minderId === null)).toBe(true);
  });

  test('nobody is a 404', async () => {
    await profile({ playerId: 'nobody', ...kit }).expect(404);
  });
});
