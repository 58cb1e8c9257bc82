import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { runView, type RunStepView, type RunView } from '#contract/packup.ts';
import {
  aKey,
  furnish,
  NOW,
  playBody,
  runBody,
  testServer,
  TODAY,
  type TestServer,
} from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = testServer();
  await furnish(server);
});
afterEach(() => server.stop());

const start = (over: object = {}) => server.api().post('/api/runs').send(runBody(over));
const send = (runKey: string, body: object) =>
  server
    .api()
    .post(`/api/runs/${runKey}/events`)
    .send({ key: aKey(), ...body });
const finish = (runKey: string) => send(runKey, { kind: 'finished', now: NOW });
const page = async (id = 'clarinet') => (await server.api().get(`/api/care/${id}?today=${TODAY}`).expect(200)).body;
const tickAll = async (run: RunView, but: readonly string[] = []) => {
  for (const { id } of run.steps)
    if (!but.includes(id)) await send(run.key, { kind: 'ticked', stepId: id }).expect(201);
};

describe('a pack-up run', () => {
  test('goes from play to record: clocks move, the record holds exactly what was done', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play).expect(201);
    const answer = await start({ playKey: play.key }).expect(201);
    const run = runView.validateSync(answer.body, { strict: true });
    expect(run.playedMinutes).toBe(45);
    const passes = run.steps.find(({ id }: RunStepView) => id === 'clarinet/swab-upper')?.repeats;
    expect(passes).toMatchObject({ count: 5, noun: 'pass' });
    await tickAll(run, ['clarinet/wipe-finger-marks']);
    const done = await finish(run.key).expect(201);
    expect(done.body.doneItems).toContain('clarinet/swab-bore');
    expect(done.body.doneItems).not.toContain('clarinet/wipe-keys');
    const after = await page();
    expect(after.openRunKey).toBeNull();
    const gauge = (itemId: string) =>
      after.clocks.find((clock: { itemId: string }) => clock.itemId === itemId).gauge.state;
    expect(gauge('clarinet/swab-bore')).toBe('fresh');
    expect(gauge('clarinet/wipe-keys')).toBe('due');
  });

  test('a reload in the middle loses nothing, nor does a restart of the server', async () => {
    const { body: run } = await start();
    await send(run.key, { kind: 'ticked', stepId: run.steps[0].id }).expect(201);
    await send(run.key, { kind: 'counted', stepId: 'clarinet/swab-upper', count: 3 }).expect(201);
    server.restart();
    const again = await server.api().get(`/api/runs/${run.key}`).expect(200);
    expect(again.body.steps[0].state).toBe('ticked');
    expect(again.body.steps.find(({ id }: RunStepView) => id === 'clarinet/swab-upper').counted).toBe(3);
    expect((await page()).openRunKey).toBe(run.key);
  });

  test('is begun once: the same key, or a second tab, is the same run', async () => {
    const body = runBody();
    const first = await server.api().post('/api/runs').send(body);
    expect((await server.api().post('/api/runs').send(body)).status).toBe(200);
    const second = await start();
    expect([second.status, second.body.key]).toEqual([200, first.body.key]);
  });

  test('is finished once, and not before its must-steps are settled', async () => {
    const { body: run } = await start();
    const early = await finish(run.key);
    expect([early.status, early.body.errors[0].field]).toEqual([409, 'kind']);
    expect(early.body.detail).toContain('clarinet/reed-off');
    for (const { id, must } of run.steps)
      if (must) await send(run.key, { kind: 'skipped', stepId: id, reason: 'no-time' });
    const key = aKey();
    await send(run.key, { key, kind: 'finished', now: NOW }).expect(201);
    await send(run.key, { key, kind: 'finished', now: NOW }).expect(200);
    expect((await finish(run.key)).status).toBe(409);
    expect((await send(run.key, { kind: 'ticked', stepId: run.steps[0].id })).status).toBe(409);
    expect(server.client().prepare('select count(*) from care_done').pluck().get()).toBe(0);
  });

  test('undoing the end opens it again and takes the care back; undoing the run takes all of it back', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play);
    const { body: run } = await start({ playKey: play.key });
    await tickAll(run);
    const { body: done } = await finish(run.key);
    expect((await page()).awaitsPackUp).toBe(false);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: done.finishKey }).expect(201);
    expect(await page()).toMatchObject({ awaitsPackUp: true, openRunKey: run.key });
    await finish(run.key).expect(201);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: run.key }).expect(201);
    expect(await page()).toMatchObject({ awaitsPackUp: true, openRunKey: null });
    expect((await server.api().get(`/api/runs/${run.key}`)).status).toBe(404);
  });

  test('a wait runs from the tick, holds its follower and survives a restart', async () => {
    const { body: run } = await start({ kind: 'care', itemIds: ['clarinet/key-oil'] });
    await send(run.key, { kind: 'ticked', stepId: 'clarinet/oil-rods' }).expect(201);
    server.clock.ms += 60_000;
    server.restart();
    const { body: later } = await server.api().get(`/api/runs/${run.key}`);
    const follower = later.steps.find(({ id }: RunStepView) => id === 'clarinet/work-keys');
    expect(follower.waitsUntil).toBe('2026-11-24T20:05:00.000Z');
  });

  test('due work comes along when asked for, and bench work never does', async () => {
    const { body: run } = await start({ itemIds: ['clarinet/mouthpiece-wash'] });
    expect(run.steps.map(({ itemId }: RunStepView) => itemId)).toContain('clarinet/mouthpiece-wash');
    const bench = await start({ kind: 'care', itemIds: ['wind/bench-service'] });
    expect([bench.status, bench.body.errors[0].field]).toEqual([400, 'itemIds[0]']);
    // Ada has not said that she oils bores: for her that is the bench's.
    expect((await start({ kind: 'care', itemIds: ['clarinet/bore-oil'] })).status).toBe(400);
    const child = await start({ kind: 'care', playerId: 'kit', itemIds: ['clarinet/bore-oil'] }).expect(201);
    expect(new Set(child.body.steps.map(({ hands }: RunStepView) => hands))).toEqual(new Set(['with-a-grown-up']));
  });

  test.each([
    ['an unknown instrument', { instrumentId: 'none' }, 404, 'instrumentId'],
    ['an unknown player', { playerId: 'none' }, 404, 'playerId'],
    ['a care the instrument does not have', { itemIds: ['brass/bath'] }, 404, 'itemIds[0]'],
    ['a play of nobody', { playKey: '00000000-0000-4000-8000-999999999999' }, 404, 'playKey'],
    ['nothing to do', { kind: 'care' }, 400, 'itemIds'],
    ['a kind that is none', { kind: 'sometimes' }, 400, 'kind'],
  ])('%s is refused by name', async (_what, over, status, field) => {
    const answer = await start(over);
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });

  test.each([
    [{ kind: 'ticked', stepId: 'clarinet/fly' }, 404, 'stepId'],
    [{ kind: 'ticked' }, 400, 'stepId'],
    [{ kind: 'skipped', stepId: 'clarinet/reed-off', reason: 'because' }, 400, 'reason'],
    [{ kind: 'counted', stepId: 'clarinet/swab-upper', count: -1 }, 400, 'count'],
    [{ kind: 'toString', stepId: 'clarinet/reed-off' }, 400, 'kind'],
    [{ kind: 'finished' }, 400, 'now'],
  ])('a bad event is refused by name: %j', async (event, status, field) => {
    const { body: run } = await start();
    const answer = await send(run.key, event);
    expect(answer.status).toBe(status);
    expect(answer.body.errors.map((error: { field: string }) => error.field.split('.')[0])).toContain(field);
  });

  test('the record lists plays, runs and care, newest first', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play);
    const { body: run } = await start({ playKey: play.key, itemIds: ['clarinet/mouthpiece-wash'] });
    await tickAll(run);
    await finish(run.key);
    await server
      .api()
      .post('/api/care')
      .send({
        key: aKey(),
        instrumentId: 'clarinet',
        itemId: 'wind/bench-service',
        doneOn: '2026-11-01',
        by: 'bench',
        now: NOW,
      })
      .expect(201);
    const { body } = await server.api().get('/api/record/clarinet?limit=10').expect(200);
    expect(body.entries.map(({ words }: { words: string }) => words)).toEqual([
      'Packed up: wash the mouthpiece',
      'Played 45 min',
      'Bench service, by the bench',
    ]);
    expect((await server.api().get('/api/record/clarinet?limit=0')).status).toBe(400);
    expect((await server.api().get('/api/record/none?limit=10')).status).toBe(404);
  });
});
