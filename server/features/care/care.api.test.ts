import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { instrumentPage } from '#contract/care.ts';
import { aKey, furnishedServer, NOW, playBody, type TestServer, TODAY, WOODEN } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const page = async (id = 'clarinet', today = TODAY) =>
  instrumentPage.validateSync((await server.api().get(`/api/care/${id}?today=${today}`).expect(200)).body, {
    strict: true,
  });
const clock = async (itemId: string, today = TODAY) =>
  (await page('clarinet', today)).clocks.find((one) => one.itemId === itemId);
const sign = (over: object = {}) => ({
  key: aKey(),
  instrumentId: 'clarinet',
  itemId: 'single-reed/mouthpiece-soak',
  part: 'mouthpiece',
  now: NOW,
  ...over,
});
const decision = (over: object = {}) => ({
  key: aKey(),
  instrumentId: 'clarinet',
  itemId: 'swab/wash',
  kind: 'postponed',
  until: '2026-11-29',
  now: NOW,
  ...over,
});
const post = (path: string, body: object) => server.api().post(`/api/care/${path}`).send(body);
const takeBack = (targetKey: string) =>
  server.api().post('/api/withdrawals').send({ key: aKey(), targetKey }).expect(201);

test('the care of all is that of what is on the shelf', async () => {
  const ids = async () =>
    (await server.api().get(`/api/care?today=${TODAY}`).expect(200)).body.map(
      ({ instrumentId }: { instrumentId: string }) => instrumentId,
    );
  expect(await ids()).toEqual(['clarinet', 'trumpet']);
  const left = { key: aKey(), instrumentId: 'clarinet', leftOn: TODAY, now: NOW };
  await server.api().post('/api/departures').send(left).expect(201);
  expect(await ids()).toEqual(['trumpet']);
});

test('no water is told of what was not played, and some of what was, with its reason', async () => {
  const water = async () => (await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200)).body.water;
  expect(await water()).toMatchObject({ grams: 0, because: [] });
  await server.api().post('/api/plays').send(playBody()).expect(201);
  const played = await water();
  expect(played.grams).toBeGreaterThan(0);
  expect(played.because).toHaveLength(1);
});

describe('a sign', () => {
  test('is put where it was seen, and refused where it cannot be', async () => {
    await post('signs', sign({ itemId: 'keyed/rod-dust', part: 'lower-joint' })).expect(201);
    expect(await clock('keyed/rod-dust')).toMatchObject({ part: 'lower-joint', partName: 'Lower joint' });
    for (const over of [{ part: 'bell' }, { itemId: 'keyed/rod-dust', part: 'wing-joint' }])
      expect((await post('signs', sign(over)).expect(400)).body.errors[0].field).toBe('part');
  });

  test('calls for its item from the moment it is seen, once, until it is put right or taken back', async () => {
    expect((await clock('single-reed/mouthpiece-soak'))?.gauge.state).toBe('as-seen');
    const seen = sign();
    await post('signs', seen).expect(201);
    await post('signs', seen).expect(200);
    const due = await clock('single-reed/mouthpiece-soak');
    expect(due?.gauge).toMatchObject({ state: 'due', words: 'noticed' });
    expect(due?.because[0]?.text).toContain('Noticed on');
    await takeBack(seen.key);
    expect((await clock('single-reed/mouthpiece-soak'))?.gauge.state).toBe('as-seen');
    await post('signs', sign()).expect(201);
    server.clock.ms += 60_000;
    const done = { key: aKey(), instrumentId: 'clarinet', itemId: 'single-reed/mouthpiece-soak', doneOn: TODAY };
    await server
      .api()
      .post('/api/care')
      .send({ ...done, by: 'player', now: { on: TODAY, atMinute: 1201 } })
      .expect(201);
    expect((await clock('single-reed/mouthpiece-soak'))?.gauge.state).toBe('as-seen');
  });

  test.each([
    ['an item that goes by its clock', { itemId: 'swab/wash' }, 400, 'itemId'],
    ['an item it does not have', { itemId: 'piston-brass/bath' }, 404, 'itemId'],
    ['an unknown instrument', { instrumentId: 'none' }, 404, 'instrumentId'],
    ['a part that is none', { part: 'engine' }, 400, 'part'],
  ])('about %s is refused by name', async (_what, over, status, field) => {
    const answer = await post('signs', sign(over));
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
    expect(server.client().prepare('select count(*) from signs_noticed').pluck().get()).toBe(0);
  });
});

describe('a decision', () => {
  test('lets an item wait until its day, and no longer', async () => {
    const calling = async (today = TODAY) => (await page('clarinet', today)).calling;
    expect(await calling()).toContain('swab/wash');
    await post('decisions', decision()).expect(201);
    expect(await calling()).not.toContain('swab/wash');
    expect((await clock('swab/wash'))?.postponedUntil).toBe('2026-11-29');
    expect(await calling('2026-11-29')).toContain('swab/wash');
  });

  test('switches an item off with what that costs, and on again; the last one counts', async () => {
    await post('decisions', decision({ kind: 'declined', until: null })).expect(201);
    const off = await clock('swab/wash');
    expect([off?.gauge.state, off?.declined]).toEqual(['off', true]);
    expect(off?.caution).toContain('wiped out of the bore');
    server.clock.ms += 1000;
    const again = decision({ kind: 'resumed', until: null });
    await post('decisions', again).expect(201);
    expect((await clock('swab/wash'))?.gauge.state).not.toBe('off');
    await takeBack(again.key);
    expect((await clock('swab/wash'))?.gauge.state).toBe('off');
    const { body } = await server.api().get('/api/record/clarinet?limit=5').expect(200);
    expect(body.entries[0]).toMatchObject({ kind: 'decision', words: 'Wash the swab: not done here' });
  });

  test.each([
    ['a day that has gone', { until: TODAY }, 400, 'until'],
    ['a day in two years', { until: '2028-11-24' }, 400, 'until'],
    ['no day at all', { until: null }, 400, 'until'],
    ['a day with "not done here"', { kind: 'declined' }, 400, 'until'],
    ['what belongs to every play', { itemId: 'clarinet/swab-bore' }, 400, 'itemId'],
    ['what is done on the spot or not at all', { itemId: 'single-reed/set-anew' }, 400, 'itemId'],
    ['a kind that is none', { kind: 'perhaps' }, 400, 'kind'],
  ])('with %s is refused by name', async (_what, over, status, field) => {
    const answer = await post('decisions', decision(over));
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
    expect(server.client().prepare('select count(*) from care_decisions').pluck().get()).toBe(0);
  });
});

describe('an edited build', () => {
  test('keeps the history, closes what no longer applies with the reason, and a wrong one changes nothing', async () => {
    const oiled = {
      key: aKey(),
      instrumentId: 'clarinet',
      itemId: 'wooden-bore/oil',
      doneOn: '2026-10-01',
      by: 'bench',
    };
    await server
      .api()
      .post('/api/care')
      .send({ ...oiled, now: NOW })
      .expect(201);
    const put = (build: object) =>
      server.api().post('/api/builds').send({ key: aKey(), instrumentId: 'clarinet', build, now: NOW });
    const wrong = await put({ ...WOODEN, valves: 'rotary' });
    expect([wrong.status, wrong.body.errors[0].field]).toEqual([400, 'build.valves']);
    await put({ ...WOODEN, body: 'plastic' }).expect(201);
    const plastic = await page();
    expect(plastic.clocks.some(({ itemId }) => itemId === 'wooden-bore/oil')).toBe(false);
    expect(plastic.closed.map(({ itemId }) => itemId)).toEqual(['wooden-bore/oil']);
    const { body } = await server.api().get('/api/record/clarinet?limit=5').expect(200);
    expect(body.entries.map(({ words }: { words: string }) => words)).toEqual([
      'Built from now on: plastic, cork, skin, hard rubber',
      'Oil the bore, by the bench',
    ]);
    await put(WOODEN).expect(201);
    expect((await clock('wooden-bore/oil'))?.lastDone).toEqual({ on: '2026-10-01', by: 'bench' });
  });

  test('an open run goes on without the steps the new build does not have', async () => {
    const body = { key: aKey(), playerId: 'kit', kind: 'care', minutesAtHand: null, now: NOW };
    const parts = [{ instrumentId: 'clarinet', playKey: null, itemIds: ['wooden-bore/oil', 'swab/wash'] }];
    const { body: run } = await server
      .api()
      .post('/api/runs')
      .send({ ...body, parts })
      .expect(201);
    await server
      .api()
      .post('/api/builds')
      .send({ key: aKey(), instrumentId: 'clarinet', build: { ...WOODEN, body: 'plastic' }, now: NOW })
      .expect(201);
    const { body: later } = await server.api().get(`/api/runs/${run.key}`).expect(200);
    expect(later.plan.steps.map(({ item }: { item: string }) => item)).toEqual(['swab/wash']);
  });
});

describe('every kind', () => {
  test('can be added with its usual build, played, packed up and looked at', async () => {
    const { body: kinds } = await server.api().get('/api/kinds').expect(200);
    for (const { id: kind, fields } of kinds as { id: string; fields: { field: string; usual: string }[] }[]) {
      const build = Object.fromEntries(fields.map(({ field, usual }) => [field, usual]));
      const id = `my-${kind}`;
      const made = {
        id,
        name: kind,
        kind,
        build,
        playerId: 'ada',
        acquiredOn: '2026-01-01',
        cameNew: true,
        today: TODAY,
      };
      await server.api().post('/api/instruments').send(made).expect(201);
      const start = { key: aKey(), playerId: 'ada', kind: 'after', minutesAtHand: 4, now: NOW };
      const { body: run } = await server
        .api()
        .post('/api/runs')
        .send({ ...start, parts: [{ instrumentId: id, playKey: null, itemIds: [] }] })
        .expect(201);
      expect([kind, run.plan.steps.length > 2]).toEqual([kind, true]);
      expect((await page(id)).strip.reduce((sum, { waterShare }) => sum + waterShare, 0)).toBeGreaterThan(0.5);
    }
  });
});

describe('when each was last done, as remembered', () => {
  const items = [
    { itemId: 'swab/wash', doneOn: '2026-11-01', by: 'player' },
    { itemId: 'wind/bench-service', doneOn: '2026-05-01', by: 'bench' },
  ];
  const body = (over: object = {}) => ({ key: aKey(), instrumentId: 'clarinet', items, now: NOW, ...over });

  test('lands whole, is one line of the record, and is taken back whole', async () => {
    const sent = body();
    await post('last-done', sent).expect(201);
    await post('last-done', sent).expect(200);
    expect((await clock('swab/wash'))?.lastDone).toEqual({ on: '2026-11-01', by: 'player' });
    expect((await clock('wind/bench-service'))?.lastDone).toEqual({ on: '2026-05-01', by: 'bench' });
    const entries = async () => (await server.api().get('/api/record/clarinet?limit=9').expect(200)).body.entries;
    expect(await entries()).toMatchObject([{ words: 'Last done, as remembered: wash the swab and bench service' }]);
    await takeBack(sent.key);
    expect((await clock('swab/wash'))?.lastDone).toBeNull();
    expect((await clock('wind/bench-service'))?.lastDone).toBeNull();
    expect(await entries()).toEqual([]);
  });

  test.each([
    ['an item it does not have', { itemId: 'piston-brass/bath' }, 404, 'items[1].itemId'],
    ['a day to come', { doneOn: '2026-12-24' }, 400, 'items[1].doneOn'],
    ['the same item twice', { itemId: 'swab/wash' }, 400, 'items[1].itemId'],
  ])('with %s lands not at all', async (_what, over, status, field) => {
    const answer = await post('last-done', body({ items: [items[0], { ...items[1], ...over }] }));
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
    expect((await clock('swab/wash'))?.lastDone).toBeNull();
    expect((await post('last-done', body({ items: [] }))).status).toBe(400);
  });
});
