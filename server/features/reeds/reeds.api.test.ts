import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { readinessView } from '#contract/reed-views.ts';
import { reedBench } from '#server/testing/reed-bench.ts';
import { aKey, furnishedServer, playBody, type TestServer, TODAY, WOODEN } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const { post, keyOf, boxBody, aBox, aPlay, on, saying, clarinets, reeds } = reedBench(() => server);

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

  test('says its price in the currency of the record, which the first price makes', async () => {
    const priced = (currency: string, over: object = {}) => boxBody({ cost: { minor: 2890, currency }, ...over });
    await post('/api/reeds/boxes', priced('XYQ')).expect(400);
    const key = await keyOf('/api/reeds/boxes', priced('EUR'));
    const other = await post('/api/reeds/boxes', priced('CHF')).expect(400);
    expect(other.body.errors).toMatchObject([{ field: 'cost.currency', code: 'another-currency' }]);
    // The only price there is may be put right in another currency.
    await post('/api/reeds/boxes', priced('CHF', { corrects: key })).expect(201);
    const of = await clarinets();
    expect(of.boxes[0]?.entered.cost).toEqual({ minor: 2890, currency: 'CHF' });
    expect(of.supply.costWords).toMatch(/^Reeds cost you about CHF.* a month, CHF.* for an hour of playing\.$/);
    expect(of.supply.spent.map(({ minor }) => minor)).toEqual([0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 2890]);
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

  test('comes with the play in one request, and is taken back and put right like any other', async () => {
    const onReed = (number: number) => ({ shares: [{ reedId: `${box}/${number}`, minutes: 45 }], high: 'some' });
    const play = playBody({ reeds: onReed(3) });
    await post('/api/plays', play).expect(201);
    expect(await minutes()).toEqual([45, 0]);
    const { body } = await post('/api/plays', { ...play, reeds: onReed(4) }).expect(409);
    expect(body.errors).toMatchObject([{ code: 'another-under-this-key' }]);
    const said = `${play.key}/reeds`;
    expect((await clarinets()).plays).toMatchObject([{ playKey: play.key, saidKey: said }]);
    await post('/api/reeds/plays', on(play.key, [[`${box}/4`, 45]], { corrects: said })).expect(201);
    expect(await minutes()).toEqual([0, 45]);
    await post('/api/plays', play).expect(200);
    await post('/api/withdrawals', { key: aKey(), targetKey: play.key }).expect(201);
    expect(await minutes()).toEqual([0, 0]);
  });

  test('that cannot be refuses the play it came with: neither is written', async () => {
    const shares = [{ reedId: `${box}/3`, minutes: 46 }];
    const { body } = await post('/api/plays', playBody({ reeds: { shares, high: 'none' } })).expect(400);
    expect(body.errors).toMatchObject([{ field: 'reeds.shares', code: 'more-than-the-play' }]);
    expect((await clarinets()).plays).toEqual([]);
  });

  test('may come with a correction of the play, unless it has been said', async () => {
    const play = await aPlay();
    const reeds = { shares: [{ reedId: `${box}/3`, minutes: 30 }], high: 'none' };
    await post('/api/plays', playBody({ corrects: play, minutes: 30, reeds })).expect(201);
    expect(await minutes()).toEqual([30, 0]);
    const again = await post('/api/plays', playBody({ corrects: play, minutes: 40, reeds })).expect(409);
    expect(again.body.errors).toMatchObject([{ field: 'reeds', code: 'reed-is-said' }]);
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

  test('is not on two clarinets at one hour, however it is said', async () => {
    await server
      .api()
      .post('/api/instruments')
      .send({
        id: 'second',
        name: 'Second',
        kind: 'clarinet',
        build: WOODEN,
        playerId: 'ada',
        acquiredOn: '2024-01-10',
        cameNew: false,
        today: TODAY,
      })
      .expect(201);
    const shares = [{ reedId: `${box}/3`, minutes: 45 }];
    await post('/api/plays', playBody({ endedAtMinute: 1140, reeds: { shares, high: 'none' } })).expect(201);
    const second = playBody({ instrumentId: 'second', endedAtMinute: 1150 });
    const together = await post('/api/plays', { ...second, reeds: { shares, high: 'none' } }).expect(400);
    expect(together.body.errors).toMatchObject([{ field: 'reeds.shares[0].reedId', code: 'reed-on-two-plays' }]);
    const key = await keyOf('/api/plays', second);
    const later = await post('/api/reeds/plays', on(key, [[`${box}/3`, 45]])).expect(400);
    expect(later.body.errors).toMatchObject([
      {
        code: 'reed-on-two-plays',
        message: expect.stringContaining('together that is 1 h 30 min of it within 55 min') as unknown,
      },
    ]);
    // What was said of the play itself is not held against its correction.
    const said = await keyOf('/api/reeds/plays', on(key, [[`${box}/4`, 45]]));
    await post('/api/reeds/plays', on(key, [[`${box}/4`, 40]], { corrects: said })).expect(201);
    await post('/api/reeds/plays', on(key, [[`${box}/3`, 10]], { corrects: said })).expect(201);
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

test('a reed that shares its playing with another lasts twice as many days', async () => {
  for (const endedOn of ['2026-11-02', '2026-11-09', '2026-11-16', '2026-11-23']) await aPlay({ endedOn, minutes: 60 });
  const daysLeft = async (): Promise<number> => {
    const [reed] = await reeds();
    const [, until = ''] = /likely until ([^)]*)/.exec(reed?.leftWords ?? '') ?? [];
    return (Date.parse(`${until} UTC`) - Date.parse(`${TODAY}T00:00:00Z`)) / 86_400_000;
  };
  await aBox({ before: [300] });
  const alone = await daysLeft();
  await aBox({ before: [300] });
  const shared = await daysLeft();
  expect(alone).toBeGreaterThan(14);
  // Played once a week: to within a week.
  expect(Math.abs(shared - 2 * alone)).toBeLessThanOrEqual(7);
});

test('of one last too soft half is left, and it is said why', async () => {
  const box = await aBox({ before: [300] });
  const feels = (feel: string) =>
    post('/api/reeds/said', saying(`${box}/1`, { what: 'graded', feel, goodFor: 'practice' })).expect(201);
  await feels('right');
  expect((await reeds())[0]?.because).toEqual([]);
  await feels('too-soft');
  expect((await reeds())[0]?.because).toEqual([
    {
      rule: 'too-soft',
      text: 'It was last too soft, so 50 % of what its age would leave is counted.',
      mark: 'estimate',
    },
  ]);
});

test('of a reed nobody knows the age of nothing is said to be left', async () => {
  await aBox({ before: [null, 60, 0] });
  const [unknown, known, fresh] = await reeds();
  expect(unknown).toMatchObject({ leftWords: 'nobody knows how old it is', shareOfLife: null });
  expect(known).toMatchObject({ leftWords: expect.stringMatching(/^about .* left/) as unknown });
  expect(known?.shareOfLife).toBeGreaterThan(0);
  expect(fresh).toMatchObject({ leftWords: null, shareOfLife: null });
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
  expect(ready.words).toMatch(/^Open \d+ more reeds? by 14 December 2026:/);
  expect(ready.table.length).toBeGreaterThan(10);
  const late = readinessView.validateSync((await ask(1, '2026-11-25').expect(200)).body, { strict: true });
  expect(late.words).toMatch(/^It is too late/);
  await ask(0, '2026-12-24').expect(400);
});
