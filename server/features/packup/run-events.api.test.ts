import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { runDefinition } from '#server/features/packup/run.fact.ts';
import { runsOf } from '#server/testing/runs.ts';
import { aKey, furnishedServer, NOW, playBody, share, type TestServer, TODAY } from '#server/testing/test-server.ts';

const MOST_STATEMENTS = 10;
const UPPER = 'clarinet:clarinet/swab-upper';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer({ counting: true });
});
afterEach(() => server.stop());

const { begin, look, send } = runsOf(() => server);
const tick = (runKey: string, stepKey: string | undefined, over: object = {}) =>
  send(runKey, { kind: 'ticked', stepKey, ...over });
/** Overwrites what is stored of a run, as another version may have left it. */
const replan = (plan: string) => server.client().prepare('update runs set plan = ?').run(plan);

describe('a look', () => {
  test('puts what it saw in the record, where this build can have it', async () => {
    const signsOf = async (mouthpiece: string) => {
      const id = `with-${mouthpiece}`;
      const build = { ...usualBuild(BOOK.kinds['alto-saxophone']), mouthpiece };
      const shelved = { id, name: id, kind: 'alto-saxophone', build, playerId: 'ada' };
      await server
        .api()
        .post('/api/instruments')
        .send({ ...shelved, acquiredOn: '2026-01-01', cameNew: true, today: TODAY })
        .expect(201);
      const itemIds = ['single-reed/mouthpiece-wash'];
      const run = await begin({ kind: 'care', parts: [share({ instrumentId: id, itemIds })] });
      for (const { key: stepKey, look: asks } of run.steps)
        await send(
          run.key,
          asks ? { kind: 'answered', stepKey, answer: asks.answers.at(-1)?.id } : { kind: 'ticked', stepKey },
        ).expect(201);
      await send(run.key, { kind: 'finished', now: NOW }).expect(201);
      return server.client().prepare('select item_id from signs_noticed where instrument_id = ?').pluck().all(id);
    };
    // The last answer of the look is that lime stays: in a mouthpiece of metal, which is never soaked, nothing follows.
    expect(await signsOf('hard-rubber')).toEqual(['single-reed/mouthpiece-soak']);
    expect(await signsOf('metal')).toEqual([]);
  });
});

describe('a tick', () => {
  test('of a run of one takes ten statements at the most, right after a start and later alike', async () => {
    const run = await begin();
    server.restart();
    for (const { key } of run.steps.slice(0, 3)) {
      const statements = await server.statementsOf(() => tick(run.key, key).expect(201));
      expect(statements.length).toBeLessThanOrEqual(MOST_STATEMENTS);
      expect(statements.length).toBeGreaterThan(2);
    }
  });

  test('of a run of twelve takes hardly more, and its answer is the entry alone', async () => {
    const ids = Array.from({ length: 12 }, (_, index) => `horn-${index}`);
    const build = { finish: 'lacquer', brassMouthpiece: 'plated' };
    const horn = { kind: 'trumpet', build, playerId: 'ada', acquiredOn: '2026-01-01', cameNew: true, today: TODAY };
    for (const id of ids)
      await server
        .api()
        .post('/api/instruments')
        .send({ ...horn, id, name: id })
        .expect(201);
    const run = await begin({ parts: ids.map((instrumentId) => share({ instrumentId })) });
    const stepKey = run.steps[0]?.key;
    const statements = await server.statementsOf(async () => {
      const { body, text } = await tick(run.key, stepKey).expect(201);
      expect(body).toMatchObject({ event: { kind: 'ticked', stepKey } });
      expect(text.length).toBeLessThan(300);
    });
    // One for each instrument: how it is built now.
    expect(statements.length).toBeLessThanOrEqual(MOST_STATEMENTS + 11);
  });

  test('changes nothing that is known beyond its run; the end does', async () => {
    const revision = () => server.client().prepare('select sum(revision) from subjects').pluck().get();
    const run = await begin({ kind: 'care', parts: [share({ itemIds: ['swab/wash'] })] });
    const before = revision();
    for (const { key } of run.steps) await tick(run.key, key).expect(201);
    expect(revision()).toBe(before);
    await send(run.key, { kind: 'finished', now: NOW }).expect(201);
    expect(revision()).not.toBe(before);
  });

  test('along with others is kept as it was said, sent again like any other, and shown so after a restart', async () => {
    const run = await begin();
    const [first, second] = run.steps.filter(({ look: asks }) => asks === null);
    const key = aKey();
    const said = { key, kind: 'ticked-along', stepKey: first?.key, along: 'list' };
    await send(run.key, said).expect(201);
    await send(run.key, said).expect(200);
    await send(run.key, { ...said, along: 'stretch' }).expect(409);
    await send(run.key, { kind: 'ticked-along', stepKey: second?.key, along: 'all' }).expect(400);
    await send(run.key, { kind: 'not-looked', stepKey: second?.key }).expect(400);
    server.restart();
    const after = await look(run.key);
    expect(after.steps.find((one) => one.key === first?.key)).toMatchObject({ state: 'ticked', along: 'list' });
  });

  test('a child goes step by step, somebody else after five runs by stretches, and whoever has chosen as they chose', async () => {
    const wayOf = async (key: string) => (await server.api().get(`/api/runs/${key}`).expect(200)).body.way as string;
    const finished = async () => {
      const run = await begin({ kind: 'care', parts: [share({ itemIds: ['swab/wash'] })] });
      for (const { key } of run.steps) await tick(run.key, key).expect(201);
      await send(run.key, { kind: 'finished', now: NOW }).expect(201);
      return run.key;
    };
    const keys: string[] = [];
    for (let runs = 0; runs < 6; runs++) keys.push(await finished());
    expect(await Promise.all(keys.map(wayOf))).toEqual([...Array<string>(5).fill('guided'), 'stretches']);
    await server
      .api()
      .post('/api/run-ways')
      .send({ key: aKey(), playerId: 'ada', way: 'as-listed', now: NOW })
      .expect(201);
    expect(await wayOf(keys[0] ?? '')).toBe('as-listed');
  });

  test('sent out of order, twice, or from two tabs is the same run in the end', async () => {
    const run = await begin();
    const [a, b, c] = run.steps.map(({ key }) => key);
    const key = aKey();
    await tick(run.key, c, { key }).expect(201);
    await tick(run.key, c, { key }).expect(200);
    const twice = await Promise.all([tick(run.key, a), tick(run.key, a), tick(run.key, b)]);
    expect(twice.map(({ status }) => status)).toEqual([201, 201, 201]);
    const { steps } = await look(run.key);
    expect(steps.filter(({ state }) => state === 'ticked').map((step) => step.key)).toEqual([a, b, c]);
  });

  test('under a key that said something else is refused, and names what differs', async () => {
    const run = await begin();
    const [a, b] = run.steps.map(({ key }) => key);
    const key = aKey();
    await tick(run.key, a, { key }).expect(201);
    const answer = await tick(run.key, b, { key });
    expect([answer.status, answer.body.errors[0].code]).toEqual([409, 'another-under-this-key']);
    expect(answer.body.errors[0].message).toContain('stepKey');
  });

  test('after the end is refused with a code and its words; so is one of a run taken back', async () => {
    const run = await begin({ kind: 'care', parts: [share({ itemIds: ['swab/wash'] })] });
    await send(run.key, { kind: 'finished', now: NOW }).expect(201);
    const late = await tick(run.key, run.steps[0]?.key);
    expect([late.status, late.body.errors[0]]).toEqual([
      409,
      { field: 'kind', code: 'already-finished', message: 'This run is finished. Undo its end to go on with it.' },
    ]);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: run.key }).expect(201);
    expect((await tick(run.key, run.steps[0]?.key)).status).toBe(404);
  });
});

describe('what could not be sent at once', () => {
  const MINUTE = 60_000;

  test('happened when it happened: waits and learned minutes go by that, not by when it arrived', async () => {
    const run = await begin({ kind: 'care', parts: [share({ itemIds: ['keyed/key-oil'] })] });
    server.clock.ms += 60 * MINUTE;
    const oil = 'clarinet:keyed/oil-rods';
    const { body } = await tick(run.key, oil, { msAgo: 55 * MINUTE }).expect(201);
    expect(body.event.at).toBe('2026-11-24T20:05:00.000Z');
    const next = (await look(run.key)).steps.find(({ id }) => id === 'keyed/work-keys');
    expect(next?.waitsUntilMs).toBe(Date.parse('2026-11-24T20:10:00.000Z'));
  });

  test('sent again later it is the same entry, however long ago it is by then', async () => {
    const run = await begin();
    const [key, stepKey] = [aKey(), run.steps[0]?.key];
    server.clock.ms += MINUTE;
    const first = await tick(run.key, stepKey, { key, msAgo: 1000 }).expect(201);
    server.clock.ms += MINUTE;
    const again = await tick(run.key, stepKey, { key, msAgo: MINUTE + 1000 }).expect(200);
    expect(again.body).toEqual(first.body);
  });

  test('is never before the run, nor before what the log holds already, nor ahead of the clock', async () => {
    const run = await begin();
    const [a, b] = run.steps.map(({ key }) => key);
    server.clock.ms += 10 * MINUTE;
    const early = await tick(run.key, a, { msAgo: 999 * MINUTE }).expect(201);
    expect(early.body.event.at).toBe('2026-11-24T20:00:00.000Z');
    await tick(run.key, b, { msAgo: 2 * MINUTE }).expect(201);
    const behind = await send(run.key, { kind: 'unticked', stepKey: a, msAgo: 5 * MINUTE }).expect(201);
    expect(behind.body.event.at).toBe('2026-11-24T20:08:00.000Z');
    for (const msAgo of [-1, 0.5, 99 * 86_400_000, 'long'])
      expect((await tick(run.key, b, { msAgo })).status).toBe(400);
  });

  test('an end of two days ago belongs to its day', async () => {
    const run = await begin({ kind: 'care', parts: [share({ itemIds: ['swab/wash'] })] });
    for (const { key } of run.steps) await tick(run.key, key).expect(201);
    const now = { on: TODAY, atMinute: 1205 };
    server.clock.ms += 2 * 86_400_000;
    expect((await send(run.key, { kind: 'finished', now })).body.errors[0].code).toBe('not-today');
    await send(run.key, { kind: 'finished', now, msAgo: 2 * 86_400_000 - 5 * MINUTE }).expect(201);
    const clock = (await server.api().get(`/api/care/clarinet?today=${TODAY}`)).body.clocks.find(
      ({ itemId }: { itemId: string }) => itemId === 'swab/wash',
    );
    expect(clock.lastDone).toEqual({ on: TODAY, by: 'player' });
  });
});

describe('a plan another version left', () => {
  test('that is none is said so, keeps nothing else from working, and can be taken back', async () => {
    await server.api().post('/api/plays').send(playBody()).expect(201);
    const run = await begin();
    replan('{}');
    for (const answer of [
      await server.api().get(`/api/runs/${run.key}`),
      await tick(run.key, run.steps[0]?.key),
      await send(run.key, { kind: 'finished', now: NOW }),
    ])
      expect([answer.status, answer.body.errors[0].code]).toEqual([409, 'unreadable-plan']);
    await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
    expect(runDefinition.breaking?.(server.services())).toEqual([
      `run ${run.key} of ${TODAY}: its plan cannot be read`,
    ]);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: run.key }).expect(201);
    await begin();
  });

  test('does not keep a later run from learning what it can', async () => {
    const first = await begin({ kind: 'care', parts: [share({ itemIds: ['swab/wash'] })] });
    for (const { key } of first.steps) await tick(first.key, key);
    await send(first.key, { kind: 'finished', now: NOW }).expect(201);
    replan('{"steps":7}');
    await begin({ kind: 'care', parts: [share({ itemIds: ['swab/wash'] })] });
  });

  test('of the first version is ticked through and finished, its retired reasons left out', async () => {
    const run = await begin();
    const steps = run.steps.map(({ key, instrumentId, id, count, activeMinutes, startsAtMinute }) => ({
      key,
      instrumentId,
      id,
      count,
      activeMinutes,
      startsAtMinute,
    }));
    const because = [{ rule: 'nobody-says-this-now', figure: 1 }];
    replan(JSON.stringify({ steps, leftOut: [], activeMinutes: 9, elapsedMinutes: 9, because }));
    const old = await look(run.key);
    expect(old.because).toEqual([]);
    expect(old.steps.map(({ key }) => key)).toEqual(run.steps.map(({ key }) => key));
    for (const { key, look: question } of old.steps)
      await (
        question === null
          ? tick(run.key, key)
          : send(run.key, { kind: 'answered', stepKey: key, answer: question.answers[0]?.id })
      ).expect(201);
    await send(run.key, { kind: 'finished', now: NOW }).expect(201);
    expect((await look(run.key)).doneNames).toContain('swab the bore');
  });

  test('keeps its passes: the count it was shown with stands, whatever is known since', async () => {
    const run = await begin();
    const planned = run.steps.find(({ key }) => key === UPPER)?.count;
    await send(run.key, { kind: 'last-pass', stepKey: UPPER, count: 2, found: 'wet' }).expect(201);
    expect((await look(run.key)).steps.find(({ key }) => key === UPPER)).toMatchObject({
      count: planned,
      lastPass: 'wet',
    });
  });
});
