import { BOOK } from '#core/tables/book.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { condensate, dryThreshold } from '#core/water/condensation.ts';
import { dryingPerPass, learnWetness, wetnessMoments } from '#core/water/wetness.ts';
import type { RunView } from '#contract/packup.ts';
import { conditionPaths } from '#contract/conditions.ts';
import { methodPaths } from '#contract/methods.ts';
import type { ShownRun, ShownStep } from '#contract/shown-run.ts';
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

const { start, begin, look, send } = runsOf(() => server);
const stepIn = (run: ShownRun, id: string): ShownStep => {
  const found = run.steps.find((step) => step.id === id);
  if (!found) throw new Error(`no step ${id}`);
  return found;
};
const finish = (runKey: string) => send(runKey, { kind: 'finished', now: NOW });
const page = async (id = 'clarinet') => (await server.api().get(`/api/care/${id}?today=${TODAY}`).expect(200)).body;
const tickAll = async (run: ShownRun, but: readonly string[] = []) => {
  for (const { key, id, look: question } of run.steps)
    if (!but.includes(id))
      await send(
        run.key,
        question
          ? { kind: 'answered', stepKey: key, answer: question.answers[0]?.id }
          : { kind: 'ticked', stepKey: key },
      ).expect(201);
};

describe('the care a run is about', () => {
  test('is named, and what every play asks for is told from what comes at its time', async () => {
    const body = runBody({ parts: [share({ itemIds: ['swab/wash'] })] });
    const run = (await server.api().post('/api/runs').send(body).expect(201)).body as RunView;
    const wash = run.items.find(({ itemId }) => itemId === 'swab/wash');
    expect(wash).toEqual({ instrumentId: 'clarinet', itemId: 'swab/wash', name: 'Wash the swab', everyPlay: false });
    const others = run.items.filter(({ itemId }) => itemId !== 'swab/wash');
    expect(others.length).toBeGreaterThan(2);
    const keys = run.items.map(({ instrumentId, itemId }) => `${instrumentId}:${itemId}`);
    expect(new Set(keys).size).toBe(keys.length);
    expect(others.filter(({ everyPlay }) => everyPlay).length).toBeGreaterThan(2);
  });
});

describe('a pack-up run', () => {
  test('counts in the room it was played in: as said, else as read off while dry air holds', async () => {
    const upper = async (roomCelsius: number | null, endedAtMinute: number) => {
      const play = playBody({ roomCelsius, minutes: 30, endedAtMinute });
      await server.api().post('/api/plays').send(play).expect(201);
      const run = await begin({ parts: [share({ playKey: play.key })] });
      const { count, repeats } = stepIn(run, 'clarinet/swab-upper');
      return { count: count ?? 0, why: repeats?.because[0]?.text, water: run.parts[0]?.strip };
    };
    const cold = await upper(10, 600);
    const hot = await upper(28, 700);
    expect(cold.why).toContain('at about 10 °C');
    expect(hot.why).toContain('at about 28 °C');
    expect(cold.count).toBeGreaterThan(hot.count);
    const dryAir = { key: aKey(), condition: 'dry-air', instrumentId: 'clarinet', beginsOn: TODAY, endsOn: null };
    await server
      .api()
      .post(conditionPaths.begin)
      .send({ ...dryAir, part: null, air: { celsius: 24, humidityPercent: 28 }, now: NOW })
      .expect(201);
    expect((await upper(null, 800)).why).toContain('at about 24 °C');
    expect((await upper(10, 900)).why).toContain('at about 10 °C');
    expect((await page()).water.because[0].text).toContain('at about 10 °C');
  });

  test('goes from play to record: clocks move, the record holds exactly what was done', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play).expect(201);
    const run = await begin({ parts: [share({ playKey: play.key })] });
    expect(run.parts[0]?.playedMinutes).toBe(45);
    const swab = stepIn(run, 'clarinet/swab-upper');
    expect(swab).toMatchObject({ count: 5, repeats: { noun: 'pass' } });
    expect(swab.repeats?.because[0]?.text).toContain('at about 20 °C');
    await tickAll(run, ['keyed/wipe-finger-marks']);
    await finish(run.key).expect(201);
    const done = await look(run.key);
    expect(done.doneNames).toContain('swab the bore');
    expect(done.doneNames).not.toContain('wipe keys and body');
    expect(done.waitingNames).toEqual(['wipe keys and body']);
    const after = await page();
    expect(after.openRunKey).toBeNull();
    expect(after.awaitsPackUp).toBe(false);
    expect(after.leftForLater).toEqual([{ itemId: 'keyed/wipe-keys', name: 'Wipe keys and body' }]);
    expect(after.water.grams).toBe(0);
    const gauge = (itemId: string) =>
      after.clocks.find((clock: { itemId: string }) => clock.itemId === itemId).gauge.state;
    expect(gauge('clarinet/swab-bore')).toBe('fresh');
    expect(gauge('keyed/wipe-keys')).toBe('due');
    const rest = await begin({ kind: 'care', parts: [share({ itemIds: ['keyed/wipe-keys'] })] });
    expect(rest.steps.map(({ item }) => item)).toEqual(['keyed/wipe-keys']);
    await tickAll(rest);
    await finish(rest.key).expect(201);
    expect((await page()).leftForLater).toEqual([]);
  });

  test('a reload in the middle loses nothing, nor does a restart of the server', async () => {
    const run = await begin();
    await send(run.key, { kind: 'ticked', stepKey: run.steps[0]?.key }).expect(201);
    await send(run.key, { kind: 'counted', stepKey: 'clarinet:clarinet/swab-upper', count: 3 }).expect(201);
    server.restart();
    const again = await look(run.key);
    expect(again.steps[0]?.state).toBe('ticked');
    expect(stepIn(again, 'clarinet/swab-upper').counted).toBe(3);
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
    const run = await begin();
    const early = await finish(run.key);
    expect([early.status, early.body.errors[0].field]).toEqual([409, 'kind']);
    expect(early.body.detail).toContain('Take the reed off');
    for (const { key, must } of run.steps)
      if (must) await send(run.key, { kind: 'skipped', stepKey: key, reason: 'no-time' });
    const key = aKey();
    await send(run.key, { key, kind: 'finished', now: NOW }).expect(201);
    await send(run.key, { key, kind: 'finished', now: NOW }).expect(200);
    expect((await finish(run.key)).status).toBe(409);
    expect((await send(run.key, { kind: 'ticked', stepKey: run.steps[0]?.key })).status).toBe(409);
    expect(server.client().prepare('select count(*) from care_done').pluck().get()).toBe(0);
  });

  test('undoing the end opens it again and takes the care back; undoing the run takes all of it back', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play);
    const run = await begin({ parts: [share({ playKey: play.key })] });
    await tickAll(run);
    const done = (await finish(run.key)).body;
    expect((await page()).awaitsPackUp).toBe(false);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: done.key }).expect(201);
    expect(await page()).toMatchObject({ awaitsPackUp: true, openRunKey: run.key });
    await finish(run.key).expect(201);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: run.key }).expect(201);
    expect(await page()).toMatchObject({ awaitsPackUp: true, openRunKey: null });
    expect((await server.api().get(`/api/runs/${run.key}`)).status).toBe(404);
  });

  test('a wait runs from the tick, holds its follower and survives a restart', async () => {
    const run = await begin({ kind: 'care', parts: [share({ itemIds: ['keyed/key-oil'] })] });
    await send(run.key, { kind: 'ticked', stepKey: 'clarinet:keyed/oil-rods' }).expect(201);
    server.clock.ms += 60_000;
    server.restart();
    const follower = stepIn(await look(run.key), 'keyed/work-keys');
    expect(follower.waitsUntilMs).toBe(Date.parse('2026-11-24T20:05:00.000Z'));
  });

  test('due work comes along when asked for, and bench work never does', async () => {
    const run = await begin({ parts: [share({ itemIds: ['single-reed/mouthpiece-wash'] })] });
    expect(run.steps.map(({ item }) => item)).toContain('single-reed/mouthpiece-wash');
    const bench = await start({ kind: 'care', parts: [share({ itemIds: ['wind/bench-service'] })] });
    expect([bench.status, bench.body.errors[0].field]).toEqual([400, 'parts[0].itemIds[0]']);
    // Ada has not said that she oils bores: for her that is the bench's.
    expect((await start({ kind: 'care', parts: [share({ itemIds: ['wooden-bore/oil'] })] })).status).toBe(400);
    const child = await begin({ kind: 'care', playerId: 'kit', parts: [share({ itemIds: ['wooden-bore/oil'] })] });
    expect(new Set(child.steps.map(({ hands }) => hands))).toEqual(new Set(['with-a-grown-up']));
  });

  test.each([
    ['an unknown instrument', { parts: [share({ instrumentId: 'none' })] }, 404, 'parts[0].instrumentId'],
    ['an unknown player', { playerId: 'none' }, 404, 'playerId'],
    [
      'a care the instrument does not have',
      { parts: [share({ itemIds: ['piston-brass/bath'] })] },
      404,
      'parts[0].itemIds[0]',
    ],
    ['a play of nobody', { parts: [share({ playKey: '00000000-0000-4000-8000-999999999999' })] }, 404, 'playKey'],
    ['nothing to do', { kind: 'care' }, 400, 'parts[0].itemIds'],
    ['no instrument', { parts: [] }, 400, 'parts'],
    ['thirteen instruments', { parts: Array.from({ length: 13 }, () => share()) }, 400, 'parts'],
    ['an instrument twice', { parts: [share(), share()] }, 400, 'parts[1].instrumentId'],
    ['301 minutes at hand', { minutesAtHand: 301 }, 400, 'minutesAtHand'],
    ['negative minutes at hand', { minutesAtHand: -1 }, 400, 'minutesAtHand'],
    ['a kind that is none', { kind: 'sometimes' }, 400, 'kind'],
  ])('%s is refused by name', async (_what, over, status, field) => {
    const answer = await start(over);
    expect([answer.status, answer.body.errors[0].field]).toEqual([status, field]);
  });

  test.each([
    [{ kind: 'ticked', stepKey: 'clarinet:clarinet/fly' }, 404, 'stepKey'],
    [{ kind: 'ticked' }, 400, 'stepKey'],
    [{ kind: 'skipped', stepKey: 'clarinet:single-reed/reed-off', reason: 'because' }, 400, 'reason'],
    [{ kind: 'counted', stepKey: 'clarinet:clarinet/swab-upper', count: -1 }, 400, 'count'],
    [{ kind: 'toString', stepKey: 'clarinet:single-reed/reed-off' }, 400, 'kind'],
    [{ kind: 'finished' }, 400, 'now'],
    [{ kind: 'answered', stepKey: 'clarinet:single-reed/reed-off', answer: 'blue' }, 400, 'answer'],
    [{ kind: 'pulled-in', stepKey: 'clarinet:single-reed/reed-off' }, 404, 'stepKey'],
  ])('a bad event is refused by name: %j', async (event, status, field) => {
    const run = await begin();
    const answer = await send(run.key, event);
    expect(answer.status).toBe(status);
    expect(answer.body.errors.map((error: { field: string }) => error.field.split('.')[0])).toContain(field);
  });

  test('what is done on the spot is a run of its own, beside no other care and in no pack-up, and stands in no list', async () => {
    const itemIds = ['single-reed/set-anew'] as const;
    const run = await begin({ kind: 'care', parts: [share({ itemIds: [...itemIds] })] });
    expect(run.steps.map(({ heading }) => heading)).toEqual([
      'Take the ligature and the reed off',
      'Lay the reed on straight',
      'Set the ligature below the cut',
    ]);
    for (const over of [
      { kind: 'care', parts: [share({ itemIds: [...itemIds, 'keyed/wipe-keys'] })] },
      { kind: 'after', parts: [share({ itemIds: [...itemIds] })] },
      { kind: 'before', parts: [share({ itemIds: [...itemIds] })] },
    ] as const) {
      const refused = await start(over);
      expect([refused.status, refused.body.errors[0].field]).toEqual([400, 'parts[0].itemIds[0]']);
    }
    // The page of the clarinet knows its run, and no care of that name.
    const { clocks } = await page();
    expect(clocks.map(({ itemId }: { itemId: string }) => itemId)).not.toContain(itemIds[0]);
    expect(clocks.length).toBeGreaterThan(10);
  });

  test('the record lists plays, runs and care, newest first', async () => {
    const play = playBody();
    await server.api().post('/api/plays').send(play);
    const run = await begin({ parts: [share({ playKey: play.key, itemIds: ['single-reed/mouthpiece-wash'] })] });
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

  test('in two minutes it leaves out what may wait, says what that costs, and lets it be pulled back in', async () => {
    const full = await begin({ kind: 'after' });
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: full.key }).expect(201);
    const short = await begin({ minutesAtHand: 3.5 });
    expect(short.leftOut.length).toBeGreaterThan(0);
    expect(short.steps.length).toBeLessThan(full.steps.length);
    expect(short.because[0]?.rule).toBe('time-at-hand');
    const [left] = short.leftOut;
    expect(left?.cost).toEqual(expect.any(String));
    const leftKeys = left?.steps.map(({ key }) => key) ?? [];
    await send(short.key, { kind: 'pulled-in', stepKey: leftKeys[0] }).expect(201);
    const pulled = await look(short.key);
    expect(pulled.steps.map(({ key }) => key)).toEqual(expect.arrayContaining(leftKeys));
    expect(pulled.leftOut).toHaveLength(short.leftOut.length - 1);
    expect(pulled.steps.at(-1)?.id).toBe('wind/latch-lid');
    // What stays left out is not recorded as done.
    await tickAll(pulled);
    await finish(short.key).expect(201);
    const done = await look(short.key);
    for (const { name } of pulled.leftOut) expect(done.doneNames).not.toContain(name.toLowerCase());
  });

  test('two instruments go in one run, and each keeps its own record', async () => {
    const run = await begin({ parts: [share(), share({ instrumentId: 'trumpet' })] });
    expect(run.parts.map(({ name }) => name)).toEqual(['Clarinet', 'Trumpet']);
    expect((await page('trumpet')).openRunKey).toBe(run.key);
    await tickAll(run);
    await finish(run.key).expect(201);
    const count = (id: string) =>
      server.client().prepare('select count(*) from care_done where instrument_id = ?').pluck().get(id);
    expect([Number(count('clarinet')), Number(count('trumpet'))].every((one) => one > 3)).toBe(true);
    const { body } = await server.api().get('/api/record/trumpet?limit=5').expect(200);
    expect(body.entries[0].words).toBe('Packed up');
  });

  test('a stuck slide stops the bath, sends it to the bench, and waits until the bench has freed it', async () => {
    const trumpet = (itemIds: string[]) => ({ kind: 'care', parts: [share({ instrumentId: 'trumpet', itemIds })] });
    const run = await begin(trumpet(['piston-brass/bath']));
    const [first] = run.steps;
    expect(first?.look?.answers.map(({ id }) => id)).toEqual(['move', 'stuck']);
    expect((await send(run.key, { kind: 'ticked', stepKey: first?.key })).status).toBe(400);
    await send(run.key, { kind: 'answered', stepKey: first?.key, answer: 'stuck' }).expect(201);
    const stopped = await look(run.key);
    expect(stopped.steps.slice(1).every(({ called }) => called === 'no')).toBe(true);
    await finish(run.key).expect(201);
    const state = async (id: string) =>
      (await page('trumpet')).clocks.find(({ itemId }: { itemId: string }) => itemId === id).gauge.state;
    expect([await state('piston-brass/bath'), await state('brass/stuck')]).toEqual(['waiting', 'due']);
    const again = await start(trumpet(['piston-brass/bath']));
    expect([again.status, again.body.errors[0].field]).toEqual([400, 'parts[0].itemIds[0]']);
    server.clock.ms += 60_000;
    const freed = { key: aKey(), instrumentId: 'trumpet', itemId: 'brass/stuck', doneOn: TODAY, by: 'bench' };
    await server
      .api()
      .post('/api/care')
      .send({ ...freed, now: { on: TODAY, atMinute: 1205 } })
      .expect(201);
    expect(await state('piston-brass/bath')).not.toBe('waiting');
    await start(trumpet(['piston-brass/bath'])).expect(201);
  });

  test('twelve instruments go in one run, and the time at hand may be none or five hours', async () => {
    const ids = Array.from({ length: 12 }, (_, index) => `trumpet-${index}`);
    for (const id of ids)
      await server
        .api()
        .post('/api/instruments')
        .send({
          id,
          name: id,
          kind: 'trumpet',
          build: { finish: 'lacquer', brassMouthpiece: 'plated' },
          playerId: 'ada',
          acquiredOn: '2026-01-01',
          cameNew: true,
          today: TODAY,
        })
        .expect(201);
    const parts = ids.map((instrumentId) => share({ instrumentId }));
    const none = await begin({ parts, minutesAtHand: 0 });
    expect(none.parts).toHaveLength(12);
    expect(none.because[0]?.rule).toBe('must-exceeds');
    expect(none.steps.filter(({ must }) => must).length).toBeGreaterThanOrEqual(12 * 4);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: none.key }).expect(201);
    const ample = await begin({ parts, minutesAtHand: 300 });
    expect(ample.leftOut).toEqual([]);
  });

  test('may be left open for days, beside another run, and is finished on the day it is finished', async () => {
    const run = await begin();
    const care = await begin({ kind: 'care', parts: [share({ itemIds: ['swab/wash'] })] });
    expect(care.key).not.toBe(run.key);
    server.clock.ms += 3 * 86_400_000;
    const now = { on: '2026-11-27', atMinute: 600 };
    await tickAll(run);
    await send(run.key, { kind: 'finished', now }).expect(201);
    expect(server.client().prepare('select distinct "on" from facts where kind = \'care\'').pluck().all()).toEqual([
      '2026-11-27',
    ]);
    expect((await page()).openRunKey).toBe(care.key);
  });

  test('a new cork is greased at each making-ready for two weeks, and not after', async () => {
    const cork = { key: aKey(), instrumentId: 'clarinet', condition: 'new-cork', beginsOn: TODAY, endsOn: null };
    const before = () => begin({ kind: 'before' });
    const has = (run: ShownRun) => run.steps.some(({ id }) => id === 'tenons/grease-new-cork');
    const without = await before();
    expect(has(without)).toBe(false);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: without.key });
    await server
      .api()
      .post('/api/conditions')
      .send({ ...cork, part: 'barrel', air: null, now: NOW })
      .expect(201);
    const withIt = await before();
    expect(has(withIt)).toBe(true);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: withIt.key });
    server.clock.ms += 14 * 86_400_000;
    const later = await begin({ kind: 'before', now: { on: '2026-12-08', atMinute: 600 } });
    expect(has(later)).toBe(false);
  });

  describe('after the last pass', () => {
    /** Plays, packs up and says what the cloth showed. */
    const packedUp = async (minuteOfDay: number, found: string, count = 5) => {
      const play = playBody({ minutes: 40, endedAtMinute: minuteOfDay });
      await server.api().post('/api/plays').send(play).expect(201);
      const run = await begin({ parts: [share({ playKey: play.key })] });
      await tickAll(run);
      await finish(run.key).expect(201);
      const stepKey = 'clarinet:clarinet/swab-upper';
      await send(run.key, { kind: 'last-pass', stepKey, count, found }).expect(201);
      return run.key;
    };
    const passes = async () => {
      const run = await begin({ kind: 'care', parts: [share({ itemIds: ['clarinet/swab-bore'] })] });
      return stepIn(run, 'clarinet/swab-upper');
    };

    test('one tap tunes the passes, even once the run is finished, and is shown with its count', async () => {
      expect((await page()).wetness).toMatchObject({ taps: 0 });
      await packedUp(600, 'wet');
      const { wetness } = await page();
      expect(wetness.taps).toBe(1);
      // E[w] = 0.51297 after "40 min, 5 passes, not dry": the worked example of the exact rule.
      expect(Math.log(wetness.factor)).toBeCloseTo(0.51297, 4);
      const play = playBody({ minutes: 40, endedAtMinute: 700 });
      await server.api().post('/api/plays').send(play).expect(201);
      const run = await begin({ parts: [share({ playKey: play.key })] });
      const { count, repeats } = stepIn(run, 'clarinet/swab-upper');
      expect(count).toBe(6);
      expect(repeats?.because.map(({ rule }) => rule)).toContain('your-wetness');
    });

    test('a tap is read with the cloth it was made with: another swab later leaves the belief where it was', async () => {
      await packedUp(600, 'wet');
      const before = (await page()).wetness;
      await server
        .api()
        .post(methodPaths.choices)
        .send({ key: aKey(), instrumentId: 'clarinet', method: 'swab-cloth', choice: 'cotton', now: NOW })
        .expect(201);
      expect((await page()).wetness).toEqual(before);
      await packedUp(700, 'wet');
      // Five passes of a thirstier cloth, and wet all the same: a wetter player than two such evenings with silk.
      const cotton = (await page()).wetness.factor;
      const taps = [1, 1.3].map((thirst) => ({ passes: 5, found: 'wet' as const, thirst }));
      const { water } = BOOK.kinds['clarinet'];
      const lambda = dryingPerPass(water.pickedUpPerPass);
      const logWaterOverDry = Math.log(condensate(water, 40, 20) / dryThreshold(water));
      const belief = learnWetness(
        taps.map(({ thirst, ...tap }) => ({ ...tap, lambda: lambda * thirst, logWaterOverDry })),
      );
      expect(Math.log(cotton)).toBeCloseTo(wetnessMoments(belief).mean, 9);
    });

    test('a second answer of the same run replaces the first; taking the run back takes the tap back', async () => {
      const key = await packedUp(600, 'wet');
      await send(key, { kind: 'last-pass', stepKey: 'clarinet:clarinet/swab-upper', count: 5, found: 'dry' }).expect(
        201,
      );
      const { wetness } = await page();
      expect([wetness.taps, wetness.factor < 1]).toEqual([1, true]);
      await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: key }).expect(201);
      expect((await page()).wetness.taps).toBe(0);
    });

    test('a reset forgets what was tapped before it, and can be taken back', async () => {
      await packedUp(600, 'wet');
      server.clock.ms += 1000;
      const reset = { key: aKey(), instrumentId: 'clarinet', now: NOW };
      await server.api().post('/api/care/wetness-resets').send(reset).expect(201);
      await server.api().post('/api/care/wetness-resets').send(reset).expect(200);
      expect((await page()).wetness.taps).toBe(0);
      await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: reset.key }).expect(201);
      expect((await page()).wetness.taps).toBe(1);
      expect(
        (
          await server
            .api()
            .post('/api/care/wetness-resets')
            .send({ ...reset, key: aKey(), instrumentId: 'none' })
        ).status,
      ).toBe(404);
    });

    test('a step without passes is not tuned, and a run without a play tells nothing', async () => {
      const run = await begin();
      const answer = { kind: 'last-pass', count: 3, found: 'dry' };
      expect((await send(run.key, { ...answer, stepKey: 'clarinet:single-reed/reed-off' })).status).toBe(400);
      await send(run.key, { ...answer, stepKey: 'clarinet:clarinet/swab-upper' }).expect(201);
      expect((await page()).wetness.taps).toBe(0);
      expect((await passes()).count).toBe(1);
      expect((await page('trumpet')).wetness).toBeNull();
    });
  });
});
