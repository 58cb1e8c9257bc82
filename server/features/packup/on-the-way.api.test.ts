import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import type { InstrumentPage } from '#contract/care.ts';
import type { TodayView } from '#contract/today.ts';
import type { ShownRun } from '#contract/shown-run.ts';
import { runsOf } from '#server/testing/runs.ts';
import {
  aKey,
  furnishedServer,
  NOW,
  playBody,
  runBody,
  share,
  type TestServer,
  TODAY,
} from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const { begin, look, send } = runsOf(() => server);
const TOMORROW = { on: '2026-11-25', atMinute: 540 };
const page = async (today: string = TODAY): Promise<InstrumentPage> =>
  (await server.api().get(`/api/care/clarinet?today=${today}`).expect(200)).body;
const today = async (now: { on: string; atMinute: number } = NOW): Promise<TodayView> =>
  (await server.api().get(`/api/today?playerId=ada&today=${now.on}&atMinute=${now.atMinute}`).expect(200)).body;
const lines = async (now = NOW) => (await today(now)).lines.map(({ what }) => what);
const finish = (runKey: string, now = NOW) => send(runKey, { kind: 'finished', now });

/** Ticks whatever is called for by now. */
async function tickCalled(run: ShownRun): Promise<void> {
  for (const { key, look: question } of (await look(run.key)).steps.filter(({ called }) => called === 'yes'))
    await send(
      run.key,
      question ? { kind: 'answered', stepKey: key, answer: question.answers[0]?.id } : { kind: 'ticked', stepKey: key },
    ).expect(201);
}

/** Played, and packed up on the way. */
async function casedOnTheWay(now = NOW): Promise<ShownRun> {
  server.clock.ms = Date.parse(`${now.on}T00:00:00.000Z`) + now.atMinute * 60_000;
  const play = playBody({ endedOn: now.on, endedAtMinute: now.atMinute - 10, now });
  await server.api().post('/api/plays').send(play).expect(201);
  const run = await begin({ parts: [share({ playKey: play.key })], now });
  await send(run.key, { kind: 'away' }).expect(201);
  await tickCalled(run);
  await finish(run.key, now).expect(201);
  return run;
}
const layOut = (now = TOMORROW) => begin({ kind: 'care', parts: [share({ itemIds: [CASED_DAMP] })], now });

describe('packed up on the way', () => {
  test('what cannot wait is done, the rest waits for home and for nothing else', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play).expect(201);
    const run = await begin({ parts: [share({ playKey: play.key })] });
    await send(run.key, { kind: 'away' }).expect(201);
    const away = await look(run.key);
    const called = (state: string) => away.steps.filter((step) => step.called === state).map(({ id }) => id);
    expect(away.isAway).toBe(true);
    expect(called('yes')).toEqual(
      expect.arrayContaining(['single-reed/reed-off', 'clarinet/swab-upper', 'wind/latch-lid', 'clarinet/part-joints']),
    );
    expect(called('at-home').toSorted()).toEqual([
      'clarinet/swab-bell',
      'clarinet/wipe-sockets',
      'keyed/blot-wet-skin-pads',
      'keyed/wipe-finger-marks',
    ]);
    await send(run.key, { kind: 'at-home' }).expect(201);
    expect((await look(run.key)).steps.every(({ called: one }) => one !== 'at-home')).toBe(true);
  });

  test('stands on Today as cased damp, with what that costs, until it is dried', async () => {
    await casedOnTheWay();
    expect(await lines()).toContain('damp');
    expect(await lines(TOMORROW)).toContain('damp');
    const line = (await today(TOMORROW)).lines.find(({ what }) => what === 'damp');
    expect(line?.words).toBe('Cased damp overnight, about 13 h');
    expect(line?.because.map(({ rule }) => rule)).toEqual(['cased-damp', 'damp-wood', 'damp-half']);
    expect(await page(TOMORROW.on)).toMatchObject({ awaitsPackUp: false, leftForLater: [] });
    const second = { on: '2026-11-26', atMinute: 540 };
    expect((await today(second)).lines.find(({ what }) => what === 'damp')?.words).toContain('for 2 nights');
  });

  test('is laid out at home by itself, with what was left, and is dry then', async () => {
    await casedOnTheWay();
    const run = await layOut();
    const ids = run.steps.map(({ id }) => id);
    expect(ids[0]).toBe('on-the-way/lay-out');
    expect(ids.filter((id) => !id.startsWith('on-the-way/')).toSorted()).toEqual([
      'clarinet/swab-bell',
      'clarinet/wipe-sockets',
      'keyed/blot-wet-skin-pads',
      'keyed/wipe-finger-marks',
    ]);
    await tickCalled(run);
    await finish(run.key, TOMORROW).expect(201);
    const after = await page(TOMORROW.on);
    expect(after).toMatchObject({ damp: null, awaitsPackUp: false, leftForLater: [] });
    expect(await lines(TOMORROW)).not.toContain('damp');
    const everyPlay = after.clocks.filter(({ everyPlay: one }) => one);
    expect(everyPlay.map(({ gauge }) => gauge.state)).toEqual(everyPlay.map(() => 'fresh'));
    const refused = await server
      .api()
      .post('/api/runs')
      .send(runBody({ kind: 'care', parts: [share({ itemIds: [CASED_DAMP] })], now: TOMORROW }))
      .expect(409);
    expect(refused.body.detail).toContain('does not lie cased damp');
  });

  test('is out again when it is played, and dry when it is packed up at home', async () => {
    await casedOnTheWay();
    const play = playBody({ endedOn: TOMORROW.on, endedAtMinute: 530, now: TOMORROW });
    await server.api().post('/api/plays').send(play).expect(201);
    expect(await lines(TOMORROW)).toContain('wet');
    expect(await lines(TOMORROW)).not.toContain('damp');
    const run = await begin({ parts: [share({ playKey: play.key })], now: TOMORROW });
    await tickCalled(run);
    await finish(run.key, TOMORROW).expect(201);
    expect((await page(TOMORROW.on)).damp).toBeNull();
    expect(await lines(TOMORROW)).not.toContain('damp');
  });

  test('on a tour it counts from the first evening', async () => {
    await casedOnTheWay();
    await casedOnTheWay({ on: '2026-11-25', atMinute: 1320 });
    await casedOnTheWay({ on: '2026-11-26', atMinute: 1320 });
    const morning = { on: '2026-11-27', atMinute: 540 };
    expect((await today(morning)).lines.find(({ what }) => what === 'damp')?.words).toContain('for 3 nights');
  });

  test('is not where its end is taken back, and not asked of what has nothing to wait', async () => {
    const run = await casedOnTheWay();
    const end = (await look(run.key)).finishKey;
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: end }).expect(201);
    expect(await lines()).not.toContain('damp');
    const before = await begin({ kind: 'before' });
    const refused = await send(before.key, { kind: 'away' }).expect(409);
    expect(refused.body.detail).toBe('Nothing in this run can wait until you are at home.');
  });

  test('all of it done all the same is packed up, and nothing is damp', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play).expect(201);
    const run = await begin({ parts: [share({ playKey: play.key })] });
    for (const { key } of run.steps) await send(run.key, { kind: 'ticked', stepKey: key }).expect(201);
    await send(run.key, { kind: 'away' }).expect(201);
    await finish(run.key).expect(201);
    expect(await lines()).not.toContain('damp');
    expect(await page()).toMatchObject({ damp: null, awaitsPackUp: false, leftForLater: [] });
  });

  test('what lies damp goes with nothing else into one run', async () => {
    await casedOnTheWay();
    await server
      .api()
      .post('/api/runs')
      .send(runBody({ kind: 'care', parts: [share({ itemIds: [CASED_DAMP, 'swab/wash'] })], now: TOMORROW }))
      .expect(400);
  });
});
