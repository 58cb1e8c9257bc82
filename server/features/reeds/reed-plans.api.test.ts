import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { addDays, localDate } from '#core/time/local-date.ts';
import { reedPlanView, reedsOfRun } from '#contract/reed-views.ts';
import { reedBench } from '#server/testing/reed-bench.ts';
import { aKey, furnishedServer, NOW, runBody, share, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const { post, keyOf, aBox, aPlay, on, saying, clarinets } = reedBench(() => server);

describe('four weeks of reeds', () => {
  const planOf = async () =>
    reedPlanView.validateSync(
      (await server.api().get(`/api/reeds/plan?playerId=ada&kind=clarinet&today=${TODAY}&atMinute=1140`).expect(200))
        .body,
      { strict: true },
    );

  test('expect playing on the weekdays that are usual', async () => {
    await aBox({ before: [null, null] });
    for (const endedOn of ['2026-10-26', '2026-11-02', '2026-11-09', '2026-11-16', '2026-11-23'])
      await aPlay({ endedOn, endedAtMinute: 1200, minutes: 120 });
    const { expected } = await planOf();
    const longest = Math.max(...expected);
    // Mondays; today is a Tuesday.
    expect(expected.flatMap((minutes, day) => (minutes === longest ? [day] : []))).toEqual([6, 13, 20, 27]);
  });

  test('show what was played and plan what is to come, in a thread of its own', async () => {
    const box = await aBox({ before: [null, null, 0] });
    for (const day of ['2026-11-09', '2026-11-16', '2026-11-23'])
      await post(
        '/api/reeds/plays',
        on(await aPlay({ endedOn: day, endedAtMinute: 1200, minutes: 60 }), [[`${box}/1`, 60]]),
      ).expect(201);
    const { rows, words, because, expected } = await planOf();
    // Two are fewer than should be in turn: the third is opened today, and stands in the plan.
    expect(rows.map(({ number }) => number)).toEqual([1, 2, 3]);
    expect(rows[0]?.played.filter((minutes) => minutes > 0)).toEqual([60, 60, 60]);
    expect(rows.flatMap(({ planned }) => planned).some((minutes) => minutes > 0)).toBe(expected.some((one) => one > 0));
    expect(words).toMatch(/^Four weeks, planned from your usual weeks\./);
    expect(because.map(({ rule }) => rule)).toContain('wear');
    // One played yesterday rests today; what is proposed for now is what the plan begins with.
    expect(rows[0]?.planned[0]).toBe(0);
    const { play } = (await clarinets(1140)).today;
    expect(play.map(({ reedId }) => reedId)).toEqual([`${box}/3`, `${box}/2`]);
    const begins = rows.filter(({ planned }) => (planned[0] ?? 0) > 0).map(({ reedId }) => reedId);
    expect(begins.length > 0).toBe((expected[0] ?? 0) > 0);
    expect(begins).toEqual(
      play
        .map(({ reedId }) => reedId)
        .slice(0, begins.length)
        .toSorted(),
    );
  });

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
    const box = await aBox({ before: [0] });
    await post('/api/reeds/said', saying(`${box}/1`, { what: 'ended', cause: 'split' })).expect(201);
    expect(await planOf()).toMatchObject({ rows: [], words: 'No reed is in use, so there is nothing to plan.' });
  });
});

describe('a concert', () => {
  const concert = (over: object = {}) => ({
    key: aKey(),
    now: NOW,
    playerId: 'ada',
    what: 'concert',
    on: '2026-12-24',
    until: null,
    minutes: 80,
    name: null,
    instrumentIds: ['clarinet'],
    ...over,
  });

  test('asks in time how many reeds to open, and no more once it is deleted', async () => {
    await aBox({ before: [0, 0] });
    expect((await clarinets()).concert).toBeNull();
    const key = await keyOf('/api/events', concert());
    expect((await clarinets()).concert).toMatchObject({
      on: '2026-12-24',
      words: expect.stringMatching(/no reed is ready for it\. Open \d+ more reeds? by 14 December 2026:/) as unknown,
    });
    await post('/api/withdrawals', { key: aKey(), targetKey: key }).expect(201);
    expect((await clarinets()).concert).toBeNull();
  });

  test('is spoken of on its day until it has been played, and then no more', async () => {
    const box = await aBox({ before: [null, null] });
    await keyOf('/api/events', concert({ on: TODAY }));
    expect((await clarinets()).concert).toMatchObject({
      on: TODAY,
      words: expect.stringMatching(/^The concert is today: /) as unknown,
    });
    await post('/api/reeds/plays', on(await aPlay({ minutes: 60, endedAtMinute: 1195 }), [[`${box}/1`, 60]])).expect(
      201,
    );
    expect((await clarinets()).concert).toBeNull();
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

describe('the reeds of a run', () => {
  const linesOf = async (run: object) => {
    const { key: runKey } = (await post('/api/runs', runBody(run))).body as { key: string };
    const path = `/api/reeds/run?runKey=${runKey}&today=${TODAY}&atMinute=1200`;
    const { body } = await server.api().get(path).expect(200);
    return reedsOfRun.validateSync(body, { strict: true }).map(({ words }) => words);
  };

  test('the one proposed is taken out when it is made ready', async () => {
    expect(await linesOf({ kind: 'before' })).toEqual([]);
    await aBox();
    const { words, play } = (await clarinets()).today;
    // The run is open already: a second tab is answered with the same one. It says what the page of the reeds says.
    expect(await linesOf({ kind: 'before' })).toEqual([words[0]]);
    // Several new ones are named together: "reeds 1 and 2".
    for (const { name } of play)
      for (const part of name.split(', reed ')) expect(words[0]).toMatch(new RegExp(`(^|\\W)${part}(\\W|$)`));
  });

  test('the one that was played goes back when it is packed up', async () => {
    const box = await aBox({ place: 'lid' });
    const play = await aPlay();
    await post('/api/reeds/plays', on(play, [[`${box}/3`, 45]])).expect(201);
    expect(await linesOf({ parts: [share({ playKey: play })] })).toEqual([
      'Back into its slot: Fennel 2½, reed 3 (lid).',
    ]);
  });

  test('those in use are cleaned where that is its care, and none where it is not', async () => {
    await aBox();
    const hygiene = share({ itemIds: ['single-reed/reed-hygiene'] });
    expect(await linesOf({ kind: 'care', parts: [hygiene] })).toEqual(['2 reeds in use: Fennel 2½, reeds 3 and 4.']);
  });

  test('of no run are none', async () => {
    await server.api().get(`/api/reeds/run?runKey=${aKey()}&today=${TODAY}&atMinute=1200`).expect(404);
  });
});
