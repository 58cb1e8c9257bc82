import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { addDays, localDate } from '#core/time/local-date.ts';
import { loggedKey } from '#contract/scalars.ts';
import { readinessView, reedPlanView, reedsPage, type ReedsOfKindView, type ReedView } from '#contract/reed-views.ts';
import { aKey, furnish, NOW, playBody, testServer, TODAY, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = testServer();
  await furnish(server);
});
afterEach(() => {
  expect(server.faults()).toEqual([]);
  server.stop();
});

const post = (path: string, body: object) => server.api().post(path).send(body);
const keyOf = async (path: string, body: object): Promise<string> =>
  loggedKey.validateSync({ key: (await post(path, body).expect(201)).body.key }).key;
const boxBody = (over: object = {}) => ({
  key: aKey(),
  now: NOW,
  playerId: 'ada',
  kind: 'clarinet',
  name: 'Fennel',
  cut: null,
  strength: '2½',
  material: 'cane',
  breakIn: 'week',
  place: null,
  cost: null,
  cameOn: '2026-11-01',
  before: [0, 0, null, null],
  ...over,
});
const aBox = (over: object = {}) => keyOf('/api/reeds/boxes', boxBody(over));
const aPlay = (over: object = {}) => keyOf('/api/plays', playBody(over));
const on = (playKey: string, shares: readonly (readonly [string, number])[], over: object = {}) => ({
  key: aKey(),
  now: NOW,
  playKey,
  shares: shares.map(([reedId, minutes]) => ({ reedId, minutes })),
  high: 'none',
  ...over,
});
const saying = (reedId: string, over: object) => ({
  key: aKey(),
  now: NOW,
  reedId,
  what: 'flattened',
  feel: null,
  goodFor: null,
  signs: [],
  cause: null,
  ...over,
});
async function clarinets(atMinute = 1200, today = TODAY): Promise<ReedsOfKindView> {
  const { body } = await server.api().get(`/api/reeds?playerId=ada&today=${today}&atMinute=${atMinute}`).expect(200);
  const { kinds } = reedsPage.validateSync(body, { strict: true });
  const of = kinds.find(({ kind }) => kind === 'clarinet');
  if (of === undefined) throw new Error('no reeds of the clarinet');
  return of;
}
const reeds = async (): Promise<ReedView[]> => (await clarinets()).boxes.flatMap((box) => box.reeds);

describe('a box of reeds', () => {
  test('is there with its numbered reeds, and a player without one is offered to begin', async () => {
    expect((await clarinets()).boxes).toEqual([]);
    await aBox();
    expect((await reeds()).map(({ number, stage }) => [number, stage])).toEqual([
      [1, 'new'],
      [2, 'new'],
      [3, 'in-rotation'],
      [4, 'in-rotation'],
    ]);
  });

  test.each([
    ['kind', { kind: 'trumpet' }, 'no-reeds-on-it', 400],
    ['cameOn', { cameOn: '2026-11-25' }, 'box-from-tomorrow', 400],
    ['playerId', { playerId: 'nobody' }, 'no-such-player', 404],
  ])('of which %s cannot be is refused', async (field, over, code, status) => {
    const { body } = await post('/api/reeds/boxes', boxBody(over)).expect(status);
    expect(body.errors).toMatchObject([{ field, code }]);
  });

  test.each([
    { before: [] },
    { before: Array.from({ length: 51 }, () => 0) },
    { before: [-1] },
    { cost: { minor: -5, currency: 'EUR' } },
    { cost: { minor: 5, currency: 'euro' } },
    { name: '' },
    { material: 'glass' },
  ])('that is no box is refused: %j', async (over) => {
    await post('/api/reeds/boxes', boxBody(over)).expect(400);
    expect((await clarinets()).boxes).toEqual([]);
  });

  test('may be put right, but keeps its kind and its numbers once they are played', async () => {
    const key = await aBox();
    const right = { ...boxBody({ name: 'Gull Lane', corrects: key }) };
    await post('/api/reeds/boxes', right).expect(201);
    expect((await clarinets()).boxes.map((box) => [box.key, box.name])).toEqual([[key, 'Gull Lane 2½']]);
    await post('/api/reeds/plays', on(await aPlay(), [[`${key}/4`, 45]])).expect(201);
    const smaller = await post('/api/reeds/boxes', boxBody({ corrects: key, before: [0] })).expect(409);
    expect(smaller.body.errors).toMatchObject([{ field: 'before', code: 'numbers-are-played' }]);
    const other = await post('/api/reeds/boxes', boxBody({ corrects: key, kind: 'oboe' })).expect(409);
    expect(other.body.errors).toMatchObject([{ field: 'kind', code: 'kind-is-played' }]);
    await post('/api/withdrawals', { key: aKey(), targetKey: key }).expect(409);
  });
});

describe('the reed of a play', () => {
  let box: string;
  beforeEach(async () => {
    box = await aBox();
  });
  /** Minutes of reeds 3 and 4. */
  const minutes = async () => (await reeds()).slice(2, 4).map(({ playedMinutes }) => playedMinutes);

  test('follows its play: corrected, several keep their shares; taken back, nothing is left', async () => {
    const play = await aPlay({ minutes: 60 });
    await post(
      '/api/reeds/plays',
      on(play, [
        [`${box}/3`, 40],
        [`${box}/4`, 20],
      ]),
    ).expect(201);
    expect(await minutes()).toEqual([40, 20]);
    await post('/api/plays', playBody({ corrects: play, minutes: 30 })).expect(201);
    expect(await minutes()).toEqual([20, 10]);
    await post('/api/withdrawals', { key: aKey(), targetKey: play }).expect(201);
    expect(await minutes()).toEqual([0, 0]);
  });

  test('is said later, and put right where it was the wrong one', async () => {
    const play = await aPlay();
    expect((await clarinets()).plays).toMatchObject([{ playKey: play, saidKey: null, shares: [] }]);
    const said = await keyOf('/api/reeds/plays', on(play, [[`${box}/3`, 45]]));
    const again = await post('/api/reeds/plays', on(play, [[`${box}/4`, 45]])).expect(409);
    expect(again.body.errors).toMatchObject([{ code: 'reed-is-said' }]);
    await post('/api/reeds/plays', on(play, [[`${box}/4`, 45]], { corrects: said })).expect(201);
    expect(await minutes()).toEqual([0, 45]);
    expect((await clarinets()).plays).toMatchObject([
      { saidKey: said, shares: [{ name: 'Fennel 2½, reed 4', minutes: 45 }] },
    ]);
  });

  test.each<[string, (box: string) => object, string]>([
    ['of no box', () => ({ shares: [{ reedId: `${aKey()}/1`, minutes: 5 }] }), 'no-such-box'],
    ['of a number the box has not', (key) => ({ shares: [{ reedId: `${key}/5`, minutes: 5 }] }), 'no-such-reed'],
    ['named twice', (key) => ({ shares: [1, 2].map(() => ({ reedId: `${key}/1`, minutes: 5 })) }), 'reed-named-twice'],
    ['longer than the play', (key) => ({ shares: [{ reedId: `${key}/1`, minutes: 46 }] }), 'more-than-the-play'],
  ])('%s is refused', async (_, over, code) => {
    const { body } = await post('/api/reeds/plays', { ...on(await aPlay(), []), ...over(box) });
    expect(body.errors).toMatchObject([{ code }]);
    expect((await reeds())[0]?.playedMinutes).toBe(0);
  });

  test('is none that came later, has ended, or belongs to another kind or player', async () => {
    const early = await aPlay({ endedOn: '2026-10-20', endedAtMinute: 900 });
    expect((await post('/api/reeds/plays', on(early, [[`${box}/1`, 5]]))).body.errors).toMatchObject([
      { code: 'box-not-here-yet' },
    ]);
    const oboe = await aBox({ kind: 'oboe', breakIn: 'none' });
    const play = await aPlay();
    expect((await post('/api/reeds/plays', on(play, [[`${oboe}/1`, 5]]))).body.errors).toMatchObject([
      { code: 'reed-of-another-kind' },
    ]);
    const kits = await aBox({ playerId: 'kit' });
    expect((await post('/api/reeds/plays', on(play, [[`${kits}/1`, 5]]))).body.errors).toMatchObject([
      { code: 'no-such-box' },
    ]);
  });
});

describe('what is said of a reed', () => {
  test('a grade, a flattened back, an end; each can be taken back', async () => {
    const box = await aBox();
    const three = () => reeds().then((all) => all.find(({ number }) => number === 3));
    await post('/api/reeds/said', saying(`${box}/3`, { what: 'graded', feel: 'too-hard', signs: ['stuffy'] })).expect(
      201,
    );
    expect(await three()).toMatchObject({
      ungraded: true,
      words: 'too hard so far: rub its back flat and try it again',
    });
    await post('/api/reeds/said', saying(`${box}/3`, { what: 'flattened' })).expect(201);
    await post('/api/reeds/said', saying(`${box}/3`, { what: 'graded', feel: 'right', goodFor: 'concert' })).expect(
      201,
    );
    expect(await three()).toMatchObject({ ungraded: false, goodFor: 'concert' });
    const end = await keyOf('/api/reeds/said', saying(`${box}/3`, { what: 'ended', cause: 'split' }));
    expect(await three()).toMatchObject({ stage: 'retired', words: 'split since 24 Nov' });
    await post('/api/withdrawals', { key: aKey(), targetKey: end }).expect(201);
    expect(await three()).toMatchObject({ stage: 'in-rotation' });
  });

  test.each([
    { what: 'graded', feel: null },
    { what: 'ended', cause: null },
    { what: 'flattened', feel: 'right' },
    { what: 'flattened', cause: 'lost' },
  ])('that lacks what belongs to it is refused: %j', async (over) => {
    const box = await aBox();
    await post('/api/reeds/said', saying(`${box}/1`, over)).expect(400);
  });

  test('all reeds may end at once, and the page still says what to do', async () => {
    const box = await aBox();
    for (const number of [1, 2, 3, 4])
      await post('/api/reeds/said', saying(`${box}/${number}`, { what: 'ended', cause: 'lost' })).expect(201);
    const of = await clarinets();
    expect([of.first, of.choices, of.resting]).toEqual([[], [], []]);
    expect(of.supply.words).toMatch(/^You have 0 new reeds and 0 in use\./);
  });
});

test('the reed for tonight is the one that rested, with its cap and why', async () => {
  const box = await aBox();
  await post(
    '/api/reeds/plays',
    on(await aPlay({ endedOn: '2026-11-23', endedAtMinute: 1300 }), [[`${box}/3`, 45]]),
  ).expect(201);
  const { choices, resting } = await clarinets(1140);
  expect(choices.map(({ name, minutes }) => [name, minutes])).toEqual([['Fennel 2½, reed 4', 45]]);
  expect(choices[0]?.because.map(({ rule }) => rule)).toContain('wear');
  expect(resting).toMatchObject([{ name: 'Fennel 2½, reed 3', words: 'rests until today at 21:40' }]);
});

test('how many to open for a concert is answered with a table to check it by', async () => {
  await aBox();
  const ask = (wanted: number, day: string) =>
    server.api().get(`/api/reeds/readiness?playerId=ada&kind=clarinet&on=${day}&wanted=${wanted}&today=${TODAY}`);
  const ready = readinessView.validateSync((await ask(1, '2026-12-24').expect(200)).body, { strict: true });
  expect(ready.words).toMatch(/^Open \d+ more reeds by 14 December 2026:/);
  expect(ready.table.length).toBeGreaterThan(10);
  const late = readinessView.validateSync((await ask(1, '2026-11-25').expect(200)).body, { strict: true });
  expect(late.words).toMatch(/^It is too late/);
  await ask(0, '2026-12-24').expect(400);
});

describe('four weeks of reeds', () => {
  const planOf = async () =>
    reedPlanView.validateSync(
      (await server.api().get(`/api/reeds/plan?playerId=ada&kind=clarinet&today=${TODAY}&atMinute=1140`).expect(200))
        .body,
      { strict: true },
    );

  test('show what was played and plan what is to come, in a thread of its own', async () => {
    const box = await aBox({ before: [null, null, 0] });
    for (const day of ['2026-11-09', '2026-11-16', '2026-11-23'])
      await post(
        '/api/reeds/plays',
        on(await aPlay({ endedOn: day, endedAtMinute: 1200, minutes: 60 }), [[`${box}/1`, 60]]),
      ).expect(201);
    const { rows, words, because, expected } = await planOf();
    // The third is not opened yet: it is not planned.
    expect(rows.map(({ number }) => number)).toEqual([1, 2]);
    expect(rows[0]?.played.filter((minutes) => minutes > 0)).toEqual([60, 60, 60]);
    expect(rows.flatMap(({ planned }) => planned).some((minutes) => minutes > 0)).toBe(expected.some((one) => one > 0));
    expect(words).toMatch(/^Four weeks, planned from your usual weeks\./);
    expect(because.map(({ rule }) => rule)).toContain('wear');
    // One played yesterday rests today; what is proposed for now is what the plan begins with.
    expect(rows[0]?.planned[0]).toBe(0);
    const [best] = (await clarinets(1140)).choices;
    const begins = rows.filter(({ planned }) => (planned[0] ?? 0) > 0).map(({ reedId }) => reedId);
    expect(begins).toEqual(expected[0] === 0 ? [] : [best?.reedId]);
  }, 30_000);

  const setting = (pins: readonly object[]) => ({ key: aKey(), now: NOW, playerId: 'ada', pins });
  const tomorrow = addDays(localDate(TODAY), 1);

  test('a session set by hand stays, is rested for, and the reed of today agrees; taken back, all is as before', async () => {
    const box = await aBox({ before: [null, null] });
    for (const endedAtMinute of [700, 900]) await aPlay({ minutes: 40, endedAtMinute });
    const before = await planOf();
    const proposed = (await clarinets()).choices[0]?.reedId;
    const key = await keyOf('/api/reeds/sessions', setting([{ reedId: proposed, on: tomorrow, minutes: 60 }]));
    const { rows } = await planOf();
    const row = rows.find(({ reedId }) => reedId === proposed);
    expect(row?.planned.slice(0, 3)).toEqual([0, 60, 0]);
    expect(row?.set.slice(0, 3)).toEqual([null, 60, null]);
    const { choices, resting } = await clarinets();
    expect(choices[0]?.reedId).not.toBe(proposed);
    expect(resting.find(({ reedId }) => reedId === proposed)?.because[0]?.rule).toBe('set-for-tomorrow');
    await post('/api/withdrawals', { key: aKey(), targetKey: key }).expect(201);
    expect((await planOf()).rows).toEqual(before.rows);
    expect(box).toBeDefined();
  });

  test('a reed that is new is opened by setting it, and one retired meanwhile is planned no more', async () => {
    const box = await aBox();
    await post('/api/reeds/sessions', setting([{ reedId: `${box}/1`, on: tomorrow, minutes: 5 }])).expect(201);
    expect((await planOf()).rows.map(({ number }) => number)).toContain(1);
    await post('/api/reeds/said', saying(`${box}/1`, { what: 'ended', cause: 'chipped' })).expect(201);
    expect((await planOf()).rows.map(({ number }) => number)).not.toContain(1);
    const late = await post('/api/reeds/sessions', setting([{ reedId: `${box}/1`, on: tomorrow, minutes: 5 }]));
    expect(late.body.errors).toMatchObject([{ field: 'pins[0].reedId', code: 'reed-has-ended' }]);
  });

  test.each([
    [{ on: addDays(localDate(TODAY), -1) }, 'pins[0].on', 'session-is-past'],
    [{ on: addDays(localDate(TODAY), 57) }, 'pins[0].on', 'session-too-far'],
    [{ minutes: 7 }, 'pins[0].minutes', 'session-not-in-fives'],
  ])('a session that cannot be set is refused: %j', async (over, field, code) => {
    const box = await aBox();
    const pin = { reedId: `${box}/3`, on: tomorrow, minutes: 30, ...over };
    const { body } = await post('/api/reeds/sessions', setting([pin])).expect(400);
    expect(body.errors).toMatchObject([{ field, code }]);
    const twice = await post(
      '/api/reeds/sessions',
      setting([
        { ...pin, on: tomorrow, minutes: 30 },
        { ...pin, on: tomorrow, minutes: 35 },
      ]),
    );
    expect(twice.body.errors).toMatchObject([{ field: 'pins[1].reedId', code: 'session-set-twice' }]);
    const kits = { ...setting([{ ...pin, on: tomorrow, minutes: 30 }]), playerId: 'kit' };
    await post('/api/reeds/sessions', kits).expect(404);
  });

  test('without reeds in use there is nothing to plan', async () => {
    await aBox({ before: [0] });
    expect(await planOf()).toMatchObject({ rows: [], words: 'No reed is in use, so there is nothing to plan.' });
  }, 30_000);
});

describe('a concert', () => {
  const concert = (over: object = {}) => ({
    key: aKey(),
    now: NOW,
    playerId: 'ada',
    what: 'concert',
    on: '2026-12-24',
    minutes: 80,
    name: null,
    instrumentIds: ['clarinet'],
    ...over,
  });

  test('asks in time how many reeds to open, and no more once it is deleted', async () => {
    await aBox({ before: [0, 0] });
    expect((await clarinets()).reminder).toBeNull();
    const key = await keyOf('/api/events', concert());
    expect((await clarinets()).reminder).toMatch(/^Open \d+ more reeds by 14 December 2026:/);
    await post('/api/withdrawals', { key: aKey(), targetKey: key }).expect(201);
    expect((await clarinets()).reminder).toBeNull();
  });

  test('on its day is played on a concert reed, which ordinary days leave alone', async () => {
    const box = await aBox({ before: [null, null] });
    const graded = (number: number, goodFor: string) =>
      post('/api/reeds/said', saying(`${box}/${number}`, { what: 'graded', feel: 'right', goodFor })).expect(201);
    await graded(1, 'concert');
    await graded(2, 'rehearsal');
    expect((await clarinets()).choices[0]?.name).toBe('Fennel 2½, reed 2');
    await post('/api/events', concert({ on: TODAY })).expect(201);
    expect((await clarinets()).choices[0]?.name).toBe('Fennel 2½, reed 1');
  });

  test.each([
    ['event-on-anothers', { instrumentIds: ['nobodys'] }],
    ['event-of-nothing', { instrumentIds: [] }],
    ['event-too-far', { on: '2031-01-01' }],
  ])('%s is refused', async (code, over) => {
    expect((await post('/api/events', concert(over)).expect(400)).body.errors).toMatchObject([{ code }]);
  });

  test('stands in the list from its day on', async () => {
    await post('/api/events', concert({ on: '2026-11-20' })).expect(201);
    await post('/api/events', concert({ name: 'Gala' })).expect(201);
    const { body } = await server.api().get(`/api/events?playerId=ada&today=${TODAY}`).expect(200);
    expect(body).toMatchObject([{ name: 'Gala', on: '2026-12-24' }]);
  });
});

test('a reed retires once', async () => {
  const box = await aBox();
  await post('/api/reeds/said', saying(`${box}/1`, { what: 'ended', cause: 'split' })).expect(201);
  const again = await post('/api/reeds/said', saying(`${box}/1`, { what: 'ended', cause: 'lost' })).expect(409);
  expect(again.body.errors).toMatchObject([{ code: 'reed-has-ended' }]);
});
