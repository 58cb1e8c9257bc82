import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { RUNS_GUIDED } from '#core/players/run-way.ts';
import type { SignId } from '#core/book/fault.ts';
import { faultBook, faultPaths, faultsPage } from '#contract/faults.ts';
import { packupPaths } from '#contract/packup.ts';
import { sittingPaths, sittingsView } from '#contract/sittings.ts';
import {
  aKey,
  furnishedServer,
  NOW,
  playBody,
  runBody,
  share,
  TODAY,
  WOODEN,
  type TestServer,
} from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const page = async (id = 'clarinet', way = 'sure', today = TODAY, by = 'ada') =>
  faultsPage.validateSync(
    (
      await server
        .api()
        .get(faultPaths.page(id, today, way, by))
        .expect(200)
    ).body,
    { strict: true },
  );
const post = (path: string, body: object) =>
  server
    .api()
    .post(path)
    .send({ key: aKey(), now: NOW, ...body });
const begin = async (noticed: string[], instrumentId = 'clarinet') => {
  const key = aKey();
  await post(faultPaths.begin, { key, instrumentId, noticed }).expect(201);
  return key;
};
const answer = (interviewKey: string, sign: string, said: string) =>
  post(faultPaths.answer, { interviewKey, sign, answer: said, noticed: false });
const mishap = (what: string, part: string | null = null, on = TODAY, instrumentId = 'clarinet') =>
  post(faultPaths.mishap, { instrumentId, mishap: what, part, happenedOn: on });
const end = (faultKey: string, by: string) => post(faultPaths.end, { faultKey, by });
const takeBack = (targetKey: string) =>
  server.api().post('/api/withdrawals').send({ key: aKey(), targetKey }).expect(201);

describe('an interview', () => {
  test('asks, believes, and comes to a remedy that helped; Undo asks again', async () => {
    const key = await begin(['single-reed/squeak']);
    const first = (await page()).open;
    expect(first?.question?.sign).toBeDefined();
    expect(first?.suspected.length).toBeGreaterThan(1);
    for (let asked = 0; asked < 8; asked++) {
      const { open } = await page();
      if (!open?.question) break;
      const is = open.question.sign === 'single-reed/rocks' || open.question.sign === 'single-reed/second-reed';
      await answer(key, open.question.sign, is ? 'yes' : 'no').expect(201);
    }
    const { open } = await page();
    expect(open?.question).toBeNull();
    expect(open?.suspected[0]).toMatchObject({
      name: 'The back of the reed has bulged',
      wordSaid: 'Nearly sure',
      remedy: { handWords: 'You can do this', heading: 'Flatten the back of the reed' },
    });
    expect(open?.note).toContain('Noticed: It squeaks.');
    const outcome = aKey();
    await post(faultPaths.outcome, {
      key: outcome,
      interviewKey: key,
      cause: 'single-reed/back-bulged',
      helped: true,
    }).expect(201);
    const after = await page();
    expect(after.open).toBeNull();
    expect(after.before[0]?.text).toBe('It squeaks. The back of the reed has bulged: that was it.');
    await answer(key, 'single-reed/rocks', 'no').expect(409);
    await takeBack(outcome);
    expect((await page()).open?.key).toBe(key);
  });

  test('what it was on another instrument of the same player speaks for it here, and not of somebody else’s', async () => {
    const found = async (instrumentId: string) => {
      const key = await begin(['keyed/sticky'], instrumentId);
      await post(faultPaths.outcome, { interviewKey: key, cause: 'keyed/dirty-pad', helped: true }).expect(201);
    };
    for (const [id, playerId] of [
      ['second', 'ada'],
      ['of-kit', 'kit'],
    ])
      await server
        .api()
        .post('/api/instruments')
        .send({
          ...{ id, playerId, name: id, kind: 'clarinet', build: WOODEN },
          ...{ cameNew: false, acquiredOn: '2024-01-10', today: TODAY },
        })
        .expect(201);
    await begin(['keyed/sticky']);
    const percent = async () => (await page()).open?.suspected.find(({ cause }) => cause === 'keyed/dirty-pad');
    const before = await percent();
    expect(before?.because.map(({ text }) => text).join(' ')).not.toContain('other instruments');
    await found('of-kit');
    expect(await percent()).toEqual(before);
    await found('second');
    const after = await percent();
    expect(after?.percent).toBeGreaterThan(before?.percent ?? 100);
    expect(after?.because.map(({ text }) => text)).toContain(
      'On other instruments of the same player it was this once.',
    );
  });

  test('an answer changed counts as it was said last; taken back, as it was said before', async () => {
    const key = await begin(['single-reed/squeak']);
    await answer(key, 'single-reed/rocks', 'yes').expect(201);
    const chance = async () =>
      (await page()).open?.suspected.find(({ cause }) => cause === 'single-reed/back-bulged')?.percent ?? 0;
    const yes = await chance();
    const second = aKey();
    await post(faultPaths.answer, {
      key: second,
      interviewKey: key,
      sign: 'single-reed/rocks',
      answer: 'no',
      noticed: false,
    }).expect(201);
    expect(await chance()).toBeLessThan(yes);
    await takeBack(second);
    expect(await chance()).toBe(yes);
  });

  test('what else is noticed is asked at once: what is so and what is not is one answer, taken back as one', async () => {
    const key = await begin(['single-reed/squeak']);
    await answer(key, 'single-reed/rocks', 'no').expect(201);
    const question = (await page()).open?.question;
    expect(question).toMatchObject({ question: 'What else do you notice?', several: true, part: null, tool: null });
    const options = question?.options?.map(({ sign }) => sign) ?? [];
    expect(options.length).toBeGreaterThan(20);
    expect(options).not.toContain('single-reed/squeak');
    const so: SignId[] = ['keyed/rattle', 'keyed/sticky'];
    const [sign, ...also] = so;
    const beside = options.filter((one) => !so.includes(one));
    const said = { interviewKey: key, sign, answer: 'yes', noticed: false, also };
    // What stops the instrument is asked by itself; what a look shows is none of it; nothing is so and not so at once.
    await post(faultPaths.answer, { ...said, beside: [...beside, 'wood/line'] }).expect(400);
    await post(faultPaths.answer, { ...said, beside: [...beside, 'keyed/cork-gone'] }).expect(400);
    await post(faultPaths.answer, { ...said, beside: [...beside, 'keyed/sticky'] }).expect(400);
    await post(faultPaths.answer, { ...said, answer: 'no', beside }).expect(400);
    const named = aKey();
    await post(faultPaths.answer, { ...said, key: named, beside }).expect(201);
    const { open } = await page();
    expect(open?.asked).toBe(2);
    expect(open?.question?.question).not.toBe('What else do you notice?');
    expect(open?.said.at(-1)).toMatchObject({ key: named, answer: 'yes', so, options: { length: options.length } });
    expect(open?.note).toContain(
      'Noticed: It squeaks; A key rattles, clicks or buzzes; A key sticks, or smacks as it opens.',
    );
    expect(open?.note).toContain('Not so: The back of the reed rocks on glass.\n');
    await takeBack(named);
    expect((await page()).open?.question?.several).toBe(true);
    await post(faultPaths.answer, {
      interviewKey: key,
      sign: options[0],
      answer: 'no',
      noticed: false,
      also: [],
      beside: options.slice(1),
    }).expect(201);
    expect((await page()).open?.note).toContain('Nothing else was noticed.');
  });

  test('several things that one look shows are one question; what is named says no to the others', async () => {
    const key = await begin(['keyed/not-flat']);
    const question = (await page()).open?.question;
    expect(question).toMatchObject({ question: 'Look closely at the keys. What do you see?' });
    const options = question?.options?.map(({ sign }) => sign) ?? [];
    expect(options).toEqual(['keyed/cork-gone', 'keyed/seen-bent', 'keyed/spring-seen', 'keyed/screw-proud']);
    const beside = options.filter((sign) => sign !== 'keyed/seen-bent');
    const said = { interviewKey: key, sign: 'keyed/seen-bent', answer: 'yes', noticed: false };
    await post(faultPaths.answer, { ...said, beside: [...beside, 'keyed/gurgle'] }).expect(400);
    await post(faultPaths.answer, { ...said, beside: [...beside, 'keyed/seen-bent'] }).expect(400);
    const named = aKey();
    await post(faultPaths.answer, { ...said, key: named, beside }).expect(201);
    const { open } = await page();
    expect(open?.asked).toBe(1);
    expect(open?.suspected[0]?.cause).toBe('keyed/bent');
    expect(open?.said.at(-1)).toMatchObject({
      key: named,
      sign: 'keyed/seen-bent',
      answer: 'yes',
      options: { length: 4 },
    });
    expect(open?.note).toContain('Seen or tried: A key or its rod is seen to be bent.');
    expect(open?.note).toContain('Not so: A cork or felt is missing under a key; ');
    // One of them noticed since: it has a line of its own, and the look speaks of the others.
    await answer(key, 'keyed/cork-gone', 'yes').expect(201);
    const since = (await page()).open?.said;
    expect(since?.map(({ sign, answer: its, options: of }) => [sign, its, of?.length ?? null])).toEqual([
      ['keyed/not-flat', 'yes', null],
      ['keyed/seen-bent', 'yes', 3],
      ['keyed/cork-gone', 'yes', null],
    ]);
    await takeBack(named);
    expect((await page()).open?.said.map(({ sign }) => sign)).toEqual(['keyed/not-flat', 'keyed/cork-gone']);
  });

  test('a remedy that did not help makes its cause less likely', async () => {
    const key = await begin(['keyed/sticky']);
    const before = (await page()).open?.suspected[0];
    await post(faultPaths.outcome, { interviewKey: key, cause: 'keyed/dirty-pad', helped: false }).expect(201);
    const after = (await page()).open?.suspected.find(({ cause }) => cause === 'keyed/dirty-pad');
    expect(after?.percent ?? 0).toBeLessThan(before?.percent ?? 0);
    expect(after?.wasTried ?? true).toBe(true);
  });

  test('what the record knows speaks for a cause', async () => {
    await mishap('knocked', 'mouthpiece').expect(201);
    await begin(['single-reed/squeak']);
    const { open, known } = await page();
    expect(known.map(({ text }) => text)).toContain('It was dropped or knocked on 24 Nov.');
    expect(open?.question?.sign).toBe('single-reed/mouthpiece-chipped');
  });
});

describe('what stops an instrument', () => {
  test('a line in the wood is asked for first; yes stops it until the bench has looked', async () => {
    const key = await begin(['keyed/stuffy']);
    expect((await page()).open?.question).toMatchObject({ sign: 'wooden/line', isStop: true });
    await answer(key, 'wooden/line', 'yes').expect(201);
    const { stopped, open } = await page();
    expect(stopped).toMatchObject({ key, mayBePlayed: false, clearedBy: 'bench' });
    expect(open?.said.filter(({ stops }) => stops).map(({ sign }) => sign)).toEqual(['wooden/line']);
    // The calendar names it, and asks nothing of it.
    const { body } = await server.api().get(sittingPaths.of('ada', TODAY)).expect(200);
    const weeks = sittingsView.validateSync(body, { strict: true });
    expect(weeks.stopped).toMatchObject([{ instrumentId: 'clarinet', heading: stopped?.heading }]);
    expect(weeks.sittings.flatMap(({ items }) => items).map((one) => one.instrumentId)).not.toContain('clarinet');
    expect(open?.question).toBeNull();
    await end(key, 'nobody').expect(409);
    await end(key, 'self').expect(409);
    await end(key, 'teacher').expect(409);
    await end(key, 'bench').expect(201);
    expect(await page()).toMatchObject({ stopped: null, open: null });
  });

  test('“I cannot tell” stops it until a named person has looked', async () => {
    const key = await begin(['keyed/stuffy']);
    await answer(key, 'wooden/line', 'cannot-tell').expect(201);
    expect((await page()).stopped).toMatchObject({ clearedBy: 'teacher' });
    await end(key, 'self').expect(409);
    await end(key, 'teacher').expect(201);
    expect((await page()).stopped).toBeNull();
  });

  test('plastic is not asked about wood', async () => {
    await post('/api/builds', {
      instrumentId: 'clarinet',
      build: { body: 'plastic', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' },
    }).expect(201);
    await begin(['keyed/stuffy']);
    expect((await page()).open?.question?.sign).not.toBe('wooden/line');
  });

  test('water stops it at once; a hot car for the day', async () => {
    const key = aKey();
    await post(faultPaths.mishap, {
      key,
      instrumentId: 'clarinet',
      mishap: 'in-water',
      part: null,
      happenedOn: TODAY,
    }).expect(201);
    expect((await page()).stopped).toMatchObject({ key, clearedBy: 'teacher' });
    await end(key, 'bench').expect(201);
    expect((await page()).stopped).toBeNull();
    await mishap('hot-car').expect(201);
    expect((await page()).stopped).toMatchObject({ clearedBy: 'self' });
    expect((await page('clarinet', 'sure', '2026-11-25')).stopped).toBeNull();
  });

  test('a night in the cold that is dated to its evening stops the morning after, and no longer', async () => {
    await mishap('cold-night', null, '2026-11-23').expect(201);
    expect((await page()).stopped).toMatchObject({ clearedBy: 'self', heading: 'Let it grow warm in its shut case' });
    expect((await page('clarinet', 'sure', '2026-11-25')).stopped).toBeNull();
  });

  test('a stuck mouthpiece that was not forced stops nothing, a forced one does', async () => {
    const key = await begin(['brass/mouthpiece-stuck'], 'trumpet');
    expect((await page('trumpet')).open?.question).toMatchObject({ sign: 'brass/forced', isStop: true });
    await answer(key, 'brass/forced', 'no').expect(201);
    expect((await page('trumpet')).stopped).toBeNull();
  });
});

test('a slide that is said to be stuck keeps the bath waiting, until it is mended', async () => {
  const bath = async () => {
    const { clocks } = (await server.api().get(`/api/care/trumpet?today=${TODAY}`).expect(200)).body;
    return clocks.find((one: { itemId: string }) => one.itemId === 'piston-brass/bath').gauge.state;
  };
  const before = await bath();
  const key = await begin(['brass/stuck'], 'trumpet');
  expect(await bath()).toBe('waiting');
  await post(faultPaths.outcome, { interviewKey: key, cause: 'brass/slide-set', helped: true }).expect(201);
  expect(await bath()).toBe(before);
});

describe('a sign that is tapped where it is seen is a sign of the same list', () => {
  const sign = (itemId: string, which: string | undefined, over: object = {}) =>
    post('/api/care/signs', { instrumentId: 'clarinet', itemId, sign: which, part: 'upper-joint', ...over });
  const careOf = async (itemId: string) => {
    const { clocks } = (await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200)).body;
    return clocks.find((one: { itemId: string }) => one.itemId === itemId);
  };

  test('a line in the wood stops the instrument, as if it had been said; taken back, it does not', async () => {
    const key = aKey();
    await sign('wind/crack', 'wooden/line', { key }).expect(201);
    const { stopped, open } = await page();
    expect(stopped).toMatchObject({ mayBePlayed: false, clearedBy: 'bench' });
    expect(open?.said).toMatchObject([{ sign: 'wooden/line', answer: 'yes', stops: true }]);
    // For the bench it is one piece of work, however it is said.
    const bench = await server.api().get(`/api/bench?playerId=ada&today=${TODAY}`);
    expect(bench.status).toBe(200);
    const second = aKey();
    await sign('wind/crack', 'wooden/line', { key: second }).expect(201);
    const twice = await page();
    expect([twice.open?.key, twice.before]).toEqual([open?.key, []]);
    expect((await server.api().get(`/api/bench?playerId=ada&today=${TODAY}`)).body).toEqual(bench.body);
    // Each tap stops by itself.
    await takeBack(key);
    expect((await page()).stopped).toMatchObject({ mayBePlayed: false });
    await takeBack(second);
    expect((await page()).stopped).toBeNull();
  });

  test('tapped twice, it is over once somebody has looked; tapped since, it stands again', async () => {
    await sign('wind/crack', 'wooden/line').expect(201);
    await sign('wind/crack', 'wooden/line').expect(201);
    const { stopped } = await page();
    const ended = aKey();
    await post(faultPaths.end, { key: ended, faultKey: stopped?.key, by: 'bench' }).expect(201);
    const after = await page();
    expect([after.stopped, after.open, after.before.length]).toEqual([null, null, 1]);
    await takeBack(ended);
    expect((await page()).stopped).not.toBeNull();
    await end(stopped?.key ?? '', 'bench').expect(201);
    await sign('wind/crack', 'wooden/line', { now: { on: TODAY, atMinute: 1439 } }).expect(201);
    expect((await page()).stopped).not.toBeNull();
  });

  test('a child reads a child’s words, and who looks after it a grown-up’s', async () => {
    const theirs = { id: 'small', name: 'Small clarinet', kind: 'clarinet', build: WOODEN, playerId: 'kit' };
    await server
      .api()
      .post('/api/instruments')
      .send({ ...theirs, acquiredOn: '2026-01-01', cameNew: true, today: TODAY })
      .expect(201);
    await begin(['single-reed/squeak'], 'small');
    const isForChild = async (by: string) => (await page('small', 'sure', TODAY, by)).open?.forChild;
    expect(await isForChild('kit')).toBe(true);
    expect(await isForChild('ada')).toBe(false);
    // To nobody who is known it is told as to its player.
    expect(await isForChild('nobody')).toBe(true);
    await post(faultPaths.mishap, {
      key: aKey(),
      instrumentId: 'small',
      mishap: 'in-water',
      part: null,
      happenedOn: TODAY,
    });
    const whyTo = async (by: string) => (await page('small', 'sure', TODAY, by)).stopped?.why ?? '';
    expect(await whyTo('kit')).toContain('grown-up');
    expect(await whyTo('ada')).not.toContain('grown-up');
  });

  test('a child who opens an instrument of a grown-up is given a child’s hands', async () => {
    await begin(['keyed/rattle']);
    const handsOf = async (by: string) =>
      Object.fromEntries(
        ((await page('clarinet', 'sure', TODAY, by)).open?.suspected ?? []).map(({ cause, remedy }) => [
          cause,
          remedy.handWords,
        ]),
      );
    // She has not said that she turns screws.
    expect((await handsOf('ada'))['keyed/screw-loose']).toBe('For the bench');
    expect((await handsOf('kit'))['keyed/screw-loose']).toBe('With a grown-up');
  });

  test('care that is a remedy of what is asked about leads on to whether it helped, and nobody knows it by heart', async () => {
    const run = async (itemIds: string[]) => {
      const sent = runBody({ key: aKey(), kind: 'care', parts: [share({ itemIds })] });
      return (await server.api().post('/api/runs').send(sent).expect(201)).body;
    };
    const wiped = async () => {
      const { key, plan } = await run(['keyed/wipe-keys']);
      const events = server.api();
      for (const { key: stepKey } of plan.steps as { key: string }[])
        await events.post(packupPaths.events(key)).send({ key: aKey(), kind: 'ticked', stepKey }).expect(201);
      await events.post(packupPaths.events(key)).send({ key: aKey(), kind: 'finished', now: NOW }).expect(201);
    };
    for (let runs = 0; runs < RUNS_GUIDED; runs++) await wiped();
    expect(await run(['single-reed/set-anew'])).toMatchObject({ isRemedy: false, way: 'guided' });
    await begin(['single-reed/squeak']);
    expect(await run(['single-reed/set-anew'])).toMatchObject({ isRemedy: true, way: 'guided' });
    expect(await run(['keyed/wipe-keys'])).toMatchObject({ isRemedy: false, way: 'stretches' });
    // A remedy, and not of a squeak.
    expect(await run(['tenons/grease'])).toMatchObject({ isRemedy: false });
  });

  test('a line that a look of a run finds stops it, too', async () => {
    const key = aKey();
    const parts = [share({ itemIds: ['wind/look-over'] })];
    const { body: run } = await server
      .api()
      .post('/api/runs')
      .send(runBody({ key, kind: 'care', parts }))
      .expect(201);
    const say = (event: object) =>
      server
        .api()
        .post(packupPaths.events(key))
        .send({ key: aKey(), ...event });
    type Step = { key: string; id: string; look: { answers: { id: string }[] } | null };
    for (const { key: stepKey, id, look } of run.plan.steps as Step[]) {
      const answer = id === 'wooden-bore/look-over-line' ? 'line' : look?.answers[0]?.id;
      await say(look ? { kind: 'answered', stepKey, answer } : { kind: 'ticked', stepKey }).expect(201);
    }
    expect((await page()).stopped).toBeNull();
    await say({ kind: 'finished', now: NOW }).expect(201);
    expect((await page()).stopped).toMatchObject({ mayBePlayed: false, clearedBy: 'bench' });
    expect(await careOf('wind/crack')).toMatchObject({ noticed: true, noticedSign: 'wooden/line' });
  });

  test('whoever has looked ends it: the care it called for is over, too', async () => {
    await sign('wind/crack', 'wooden/line').expect(201);
    expect(await careOf('wind/crack')).toMatchObject({ noticed: true, noticedSign: 'wooden/line' });
    const { stopped } = await page();
    expect(stopped).not.toBeNull();
    server.clock.ms += 60_000;
    await server
      .api()
      .post(faultPaths.end)
      .send({ key: aKey(), now: { ...NOW, atMinute: NOW.atMinute + 1 }, faultKey: stopped?.key, by: 'bench' })
      .expect(201);
    expect((await page()).stopped).toBeNull();
    expect(await careOf('wind/crack')).toMatchObject({ noticed: false, gauge: { state: 'as-seen' } });
  });

  test('a pop in the cold asks first whether there is a line', async () => {
    await sign('wind/crack', 'wooden/pop').expect(201);
    const { stopped, open } = await page();
    expect(stopped).toBeNull();
    expect(open?.question).toMatchObject({ sign: 'wooden/line', isStop: true });
  });

  test('what stops nothing calls for its care, which names it and leads to the questions', async () => {
    await sign('keyed/bench-work', 'keyed/screw-proud').expect(201);
    expect((await page()).open).toBeNull();
    const care = await careOf('keyed/bench-work');
    expect(care).toMatchObject({ noticed: true, noticedSign: 'keyed/screw-proud' });
    expect(care.because[0].text).toContain('a screw that stands proud');
    await sign('keyed/rod-dust', 'keyed/rod-dust').expect(201);
    expect(await careOf('keyed/rod-dust')).toMatchObject({ noticed: true, noticedSign: null });
  });

  test('a remedy that helped is the end of it; noticed again, it stands again', async () => {
    const gurgle = (atMinute: number) =>
      sign('keyed/water-in-hole', 'keyed/gurgle', { now: { ...NOW, atMinute } }).expect(201);
    const at = (atMinute: number) => ({ now: { ...NOW, atMinute } });
    await gurgle(1100);
    const key = await begin(['keyed/gurgle']);
    expect(await careOf('keyed/water-in-hole')).toMatchObject({ noticed: true });
    await post(faultPaths.outcome, {
      ...at(1150),
      interviewKey: key,
      cause: 'keyed/water-in-hole',
      helped: true,
    }).expect(201);
    expect(await careOf('keyed/water-in-hole')).toMatchObject({ noticed: false });
    await gurgle(1190);
    expect(await careOf('keyed/water-in-hole')).toMatchObject({ noticed: true });
  });

  test('a sign of other care is refused; one of an older page that names none is taken', async () => {
    const refused = await sign('keyed/sticky-pad', 'keyed/gurgle').expect(400);
    expect(refused.body.errors[0].field).toBe('sign');
    await sign('keyed/sticky-pad', undefined).expect(201);
    expect(await careOf('keyed/sticky-pad')).toMatchObject({ noticed: true, noticedSign: 'keyed/sticky' });
  });
});

test('a reed that was played much is in what is known', async () => {
  const box = aKey();
  await post('/api/reeds/boxes', {
    key: box,
    playerId: 'ada',
    kind: 'clarinet',
    name: 'Fennel',
    cut: null,
    strength: null,
    material: 'cane',
    breakIn: 'none',
    place: null,
    cost: null,
    cameOn: '2026-11-01',
    before: [0, 0],
  }).expect(201);
  for (const endedOn of ['2026-11-22', '2026-11-23'])
    await server
      .api()
      .post('/api/plays')
      .send(playBody({ endedOn, minutes: 70, reeds: { shares: [{ reedId: `${box}/1`, minutes: 70 }], high: 'none' } }))
      .expect(201);
  expect((await page()).known.map(({ text }) => text)).toContain('Fennel, reed 1 was played much within three days.');
});

test('a night in the cold: wood is not played before it is warm, which its player says; the next day it is by itself', async () => {
  await mishap('cold-night').expect(201);
  const { stopped } = await page();
  expect(stopped).toMatchObject({
    heading: 'Let it grow warm in its shut case',
    mayBePlayed: false,
    clearedBy: 'self',
  });
  expect((await page('clarinet', 'sure', '2026-11-25')).stopped).toBeNull();
  await end(stopped?.key ?? '', 'self').expect(201);
  expect((await page()).stopped).toBeNull();
  // Brass goes flat in the cold, and does not crack.
  await mishap('cold-night', null, TODAY, 'trumpet').expect(201);
  expect((await page('trumpet')).stopped).toBeNull();
});

describe('refused by name, and nothing written', () => {
  test.each([
    ['nothing noticed', faultPaths.begin, { instrumentId: 'clarinet', noticed: [] }, 400, 'noticed'],
    [
      'a sign of another kind',
      faultPaths.begin,
      { instrumentId: 'clarinet', noticed: ['piston/slow'] },
      400,
      'noticed',
    ],
    ['no such instrument', faultPaths.begin, { instrumentId: 'none', noticed: ['keyed/sticky'] }, 404, 'instrumentId'],
    [
      'a mishap of tomorrow',
      faultPaths.mishap,
      { instrumentId: 'clarinet', mishap: 'rain', part: null, happenedOn: '2026-11-25' },
      400,
      'happenedOn',
    ],
    [
      'a knock on a part it has not',
      faultPaths.mishap,
      { instrumentId: 'clarinet', mishap: 'knocked', part: 'bocal', happenedOn: TODAY },
      400,
      'part',
    ],
    [
      'an answer to no interview',
      faultPaths.answer,
      { interviewKey: '8f3d2c1a-0b4e-4d6f-9a7b-1c2d3e4f5a6b', sign: 'keyed/sticky', answer: 'yes', noticed: false },
      404,
      'interviewKey',
    ],
  ] as const)('%s', async (_what, path, body, status, field) => {
    const refused = await post(path, body).expect(status);
    expect(refused.body.errors[0].field).toBe(field);
  });

  test('an answer about what it cannot show', async () => {
    const key = await begin(['keyed/sticky']);
    const refused = await answer(key, 'piston/slow', 'yes').expect(400);
    expect(refused.body.errors[0].field).toBe('sign');
  });
});

test('everything of an instrument can be looked up without being asked', async () => {
  const book = faultBook.validateSync((await server.api().get(faultPaths.book('clarinet', TODAY)).expect(200)).body, {
    strict: true,
  });
  const squeak = book.complaints.find(({ sign }) => sign === 'single-reed/squeak');
  expect(squeak?.causes[0]?.name).toBe('The back of the reed has bulged');
  expect(book.never).toContain('No glue and no tape.');
});

test('the third time the question is another one', async () => {
  for (let times = 0; times < 2; times++) {
    const key = await begin(['keyed/sticky']);
    await post(faultPaths.outcome, { interviewKey: key, cause: 'keyed/dirty-pad', helped: true }).expect(201);
  }
  await begin(['keyed/sticky']);
  expect((await page()).open?.suspected[0]).toMatchObject({
    cause: 'keyed/dirty-pad',
    again: expect.stringContaining('It was this 2 times before. Look at the case'),
  });
});

test('an instrument that has left is not asked about; what was begun before can still be let be', async () => {
  const key = await begin(['keyed/sticky']);
  await post('/api/departures', { instrumentId: 'clarinet', leftOn: TODAY }).expect(201);
  await post(faultPaths.begin, { instrumentId: 'clarinet', noticed: ['keyed/sticky'] }).expect(409);
  await mishap('rain').expect(409);
  await end(key, 'nobody').expect(201);
  expect((await page()).open).toBeNull();
});

test('the build put right in the middle: what it cannot show any more is left out', async () => {
  const key = await begin(['keyed/stuffy']);
  await answer(key, 'wooden/line', 'cannot-tell').expect(201);
  expect((await page()).stopped).not.toBeNull();
  await post('/api/builds', {
    instrumentId: 'clarinet',
    build: { body: 'plastic', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' },
  }).expect(201);
  const { stopped, open } = await page();
  expect(stopped).toBeNull();
  expect(open?.said.map(({ sign }) => sign)).toEqual(['keyed/stuffy']);
  expect(open?.question).not.toBeNull();
});

test('no remedy lifts a stop, and a second stop does not hide the first', async () => {
  const key = await begin(['keyed/stuffy']);
  await answer(key, 'wooden/line', 'yes').expect(201);
  await post(faultPaths.outcome, { interviewKey: key, cause: 'wooden/crack', helped: true }).expect(409);
  await mishap('in-water').expect(201);
  await end(key, 'nobody').expect(409);
  const again = await begin(['swabbed/stuck']);
  await answer(again, 'swabbed/pulled-hard', 'yes').expect(201);
  await end(again, 'self').expect(409);
  await end(again, 'bench').expect(201);
  expect((await page()).stopped).toMatchObject({ key });
});
