import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { conditionPaths, conditionsPage } from '#contract/conditions.ts';
import { aKey, furnishedServer, NOW, playBody, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const page = async (id = 'clarinet', today = TODAY) =>
  conditionsPage.validateSync((await server.api().get(conditionPaths.page(id, today)).expect(200)).body, {
    strict: true,
  });
const body = (condition: string, over: object = {}) => ({
  key: aKey(),
  instrumentId: 'clarinet',
  condition,
  beginsOn: TODAY,
  endsOn: null,
  part: null,
  air: null,
  now: NOW,
  ...over,
});
const begin = (request: object) => server.api().post(conditionPaths.begin).send(request);
const end = (conditionKey: string, endsOn: string, key = aKey(), now: object = NOW) =>
  server.api().post(conditionPaths.end).send({ key, conditionKey, endsOn, now });
const takeBack = (targetKey: string) =>
  server.api().post('/api/withdrawals').send({ key: aKey(), targetKey }).expect(201);
const calling = async (id = 'clarinet', today = TODAY): Promise<string[]> =>
  (await server.api().get(`/api/care/${id}?today=${today}`).expect(200)).body.calling;
const logged = (itemId: string, doneOn: string, instrumentId = 'clarinet') =>
  server
    .api()
    .post('/api/care')
    .send({ key: aKey(), instrumentId, itemId, doneOn, by: 'player', now: NOW })
    .expect(201);
const stored = () => server.client().prepare('select count(*) from conditions').pluck().get();

describe('an illness', () => {
  test('calls for what touches the mouth on every instrument of its player, until it ends or is taken back', async () => {
    await logged('single-reed/mouthpiece-wash', '2026-11-23');
    await logged('brass/mouthpiece-wash', '2026-11-23', 'trumpet');
    expect(await calling()).not.toContain('single-reed/mouthpiece-wash');
    const ill = body('ill');
    await begin(ill).expect(201);
    await begin(ill).expect(200);
    expect(await calling()).toContain('single-reed/mouthpiece-wash');
    expect(await calling('trumpet')).toContain('brass/mouthpiece-wash');
    const [view] = (await page('trumpet')).standing;
    expect(view).toMatchObject({
      name: 'Ill',
      ofPlayer: true,
      inForce: true,
      lastDay: null,
      endWords: 'when you are well',
    });
    expect(view?.calls.map(({ itemId }) => itemId)).toContain('piston-brass/bath');
    expect(view?.effects.some(({ text }) => text.includes('Do not share'))).toBe(true);
    await takeBack(ill.key);
    expect(await calling()).not.toContain('single-reed/mouthpiece-wash');
    expect((await page()).standing).toEqual([]);
  });

  test('ends on its day; the end can be taken back; the last end said counts', async () => {
    await logged('single-reed/mouthpiece-wash', '2026-11-23');
    const ill = body('ill', { beginsOn: '2026-11-22' });
    await begin(ill).expect(201);
    const endKey = aKey();
    await end(ill.key, '2026-11-23', endKey).expect(201);
    await end(ill.key, '2026-11-23', endKey).expect(200);
    expect((await page()).standing[0]).toMatchObject({ inForce: false, lastDay: '2026-11-23', endKey });
    await takeBack(endKey);
    expect((await page()).standing[0]).toMatchObject({ inForce: true, endKey: null });
    server.clock.ms += 1000;
    await end(ill.key, '2026-11-22').expect(201);
    expect((await page()).standing[0]?.lastDay).toBe('2026-11-22');
  });

  test('cannot end before it begins, nor tomorrow; what is none cannot end', async () => {
    const ill = body('ill');
    await begin(ill).expect(201);
    expect((await end(ill.key, '2026-11-20').expect(400)).body.errors[0].field).toBe('endsOn');
    await end(ill.key, '2026-11-25').expect(400);
    expect((await end(aKey(), TODAY).expect(404)).body.errors[0].field).toBe('conditionKey');
  });

  test('the thorough clean is due on day 4, done then on day 7, then weekly', async () => {
    const ill = body('ill', { beginsOn: '2026-11-20' });
    await begin(ill).expect(201);
    const on = async () =>
      (await page()).standing[0]?.calls.find(({ itemId }) => itemId === 'clarinet/thorough-clean')?.on;
    expect(await on()).toBe('2026-11-24');
    await logged('clarinet/thorough-clean', TODAY);
    expect(await on()).toBe('2026-11-27');
  });
});

describe('the others', () => {
  test('a long rest to come asks for oil and grease before it', async () => {
    await begin(body('long-rest', { instrumentId: 'trumpet', beginsOn: '2026-11-28' })).expect(201);
    const [view] = (await page('trumpet')).standing;
    expect(view).toMatchObject({ inForce: false, beginsOn: '2026-11-28' });
    expect(view?.calls.map(({ itemId, on }) => [itemId, on])).toContainEqual(['piston-brass/valve-oil', '2026-11-28']);
  });

  test('dry air shortens the interval of bore oil by default, and says so', async () => {
    await begin(body('dry-air', { air: { celsius: 21, humidityPercent: 28 } })).expect(201);
    const { effects } = (await page()).standing[0] ?? { effects: [] };
    expect(effects.map(({ text }) => text)).toContain(
      'How often is the wooden bore oiled? By default now: every 3 months.',
    );
  });

  test('new wood counts what was played today', async () => {
    await begin(body('new-wood')).expect(201);
    await server
      .api()
      .post('/api/plays')
      .send(playBody({ minutes: 13 }))
      .expect(201);
    expect((await page()).standing[0]?.effects[0]?.text).toContain('7 min left today');
  });

  test('in the rain on three days of a week: a wet tour is suggested, until it is said or the week is over', async () => {
    const rained = (happenedOn: string) => {
      const rain = { key: aKey(), instrumentId: 'clarinet', mishap: 'rain', part: null, happenedOn, now: NOW };
      return server.api().post('/api/faults/mishaps').send(rain).expect(201);
    };
    await rained('2026-11-19');
    await rained('2026-11-22');
    expect((await page()).suggested).toBeNull();
    await rained('2026-11-23');
    expect((await page()).suggested).toEqual({
      condition: 'wet-tour',
      name: 'Wet tour week',
      because: 'It was in the rain on 3 of the last 7 days.',
    });
    expect((await page('trumpet')).suggested).toBeNull();
    expect((await page('clarinet', '2026-11-26')).suggested).toBeNull();
    const said = body('wet-tour');
    await begin(said).expect(201);
    expect((await page()).suggested).toBeNull();
    await takeBack(said.key);
    expect((await page()).suggested).not.toBeNull();
  });

  test('what is offered is what this instrument can be in', async () => {
    const names = async (id: string) => (await page(id)).offers.map(({ condition }) => condition);
    expect(await names('clarinet')).toEqual([
      'ill',
      'new-cork',
      'new-wood',
      'dry-air',
      'wet-tour',
      'long-rest',
      'in-parts',
    ]);
    expect(await names('trumpet')).toEqual(['ill', 'wet-tour', 'long-rest', 'in-parts']);
  });

  test.each([
    ['an end before the begin', body('ill', { endsOn: '2026-11-01' }), 400, 'endsOn'],
    ['no day', body('ill', { beginsOn: '2026-02-31' }), 400, 'beginsOn'],
    ['80 °C', body('dry-air', { air: { celsius: 80, humidityPercent: 30 } }), 400, 'air.celsius'],
    ['half a reading', body('dry-air', { air: { celsius: 20 } }), 400, 'air.humidityPercent'],
    ['a cork on a bell it has, but a part it has not', body('new-cork', { part: 'wing-joint' }), 400, 'part'],
    ['new wood on a trumpet', body('new-wood', { instrumentId: 'trumpet' }), 400, 'condition'],
    ['no such condition', body('bored'), 400, 'condition'],
    ['no such instrument', body('ill', { instrumentId: 'none' }), 404, 'instrumentId'],
  ])('with %s is refused by name', async (_what, request, status, field) => {
    const answer = await begin(request).expect(status);
    expect(answer.body.errors[0].field).toBe(field);
    expect(stored()).toBe(0);
  });

  test('on an instrument that was sold is refused, and none is offered', async () => {
    await server
      .api()
      .post('/api/departures')
      .send({ key: aKey(), instrumentId: 'clarinet', leftOn: TODAY, now: NOW })
      .expect(201);
    const answer = await begin(body('new-wood')).expect(409);
    expect(answer.body.detail).toContain('It left on');
    expect((await page()).offers).toEqual([]);
  });
});
