import { expect, test } from '@jest/globals';
import { UNBOXED_NAME } from '#core/doublereeds/unboxed.ts';
import type { FaultsPage } from '#contract/faults.ts';
import type { CardView, ChooseView, TableView } from '#contract/doublereeds.ts';
import type { ReedsPageView } from '#contract/reed-views.ts';
import { furnished } from '#server/testing/furnished.ts';
import { anOboe, crowed, lookedAt, oboeBox, OBOE_BOX, onTable } from '#server/testing/examples/doublereeds.ts';
import { aKey, NOW, TODAY } from '#server/testing/test-server.ts';

const { server, post, takeBack: undo } = furnished();

const tableOf = async (reedId: string): Promise<TableView> => {
  const query = `reedId=${encodeURIComponent(reedId)}&today=${TODAY}`;
  return (await server().api().get(`/api/doublereeds/table?${query}`).expect(200)).body as TableView;
};
const cardOf = async (reedId: string): Promise<CardView> => {
  const query = `reedId=${encodeURIComponent(reedId)}&today=${TODAY}`;
  return (await server().api().get(`/api/doublereeds/card?${query}`).expect(200)).body as CardView;
};
const look = (examinationKey: string, which: string, answer: string, key = aKey()) =>
  post('/api/doublereeds/looks', { key, now: NOW, examinationKey, look: which, answer });
const step = (examinationKey: string, over: object = {}) =>
  post('/api/doublereeds/steps', { key: aKey(), now: NOW, examinationKey, step: 'clip', tenths: 1, ...over });
const stageOf = async (reedId: string) => {
  const url = `/api/reeds?playerId=ada&today=${TODAY}&atMinute=${NOW.atMinute}`;
  const { kinds } = (await server().api().get(url).expect(200)).body as ReedsPageView;
  return kinds.flatMap(({ boxes }) => boxes.flatMap(({ reeds }) => reeds)).find((one) => one.reedId === reedId)?.stage;
};

test('a crack ends a reed in the same moment, and both are taken back together', async () => {
  const reedId = `${await oboeBox(post)}/1`;
  const key = await onTable(post, reedId);
  expect((await tableOf(reedId)).examination?.move.soak).toMatchObject({ says: 'through', leastMs: 300_000 });
  await look(key, 'soak', 'through').expect(201);
  const cracked = aKey();
  await look(key, 'light', 'crack', cracked).expect(201);
  expect((await tableOf(reedId)).examination?.move).toMatchObject({
    title: 'It is cracked: put it away',
    end: { end: 'cracked', endsTheReed: true },
  });
  expect(await stageOf(reedId)).toBe('retired');
  await undo(cracked);
  expect(await stageOf(reedId)).not.toBe('retired');
  expect((await tableOf(reedId)).examination?.move.look?.look).toBe('light');
});

test('a soft flat reed is clipped a trace, crowed, and put down; the clip is learned from', async () => {
  const reedId = `${await oboeBox(post)}/1`;
  const key = await onTable(post, reedId, { noticed: ['flat'] });
  await lookedAt(post, key);
  expect((await tableOf(reedId)).examination?.move.crow?.from).toBe('crow');
  await crowed(post, key, -30).expect(201);
  const { move } = (await tableOf(reedId)).examination ?? {};
  expect(move?.step).toMatchObject({ step: 'clip', tenths: 1, warn: null, done: 'Clipped 0.1 mm' });
  expect(move?.because.map(({ text }) => text).join(' ')).toContain('No clip of yours is known yet: 4 ± 3 cents');
  await step(key).expect(201);
  expect((await tableOf(reedId)).examination?.move.title).toBe('Crow it again');
  await crowed(post, key, -22).expect(201);
  const again = (await tableOf(reedId)).examination?.move;
  expect(again?.because.map(({ text }) => text).join(' ')).toContain('After 1 clip of yours');
  expect((await cardOf(reedId)).line.map(({ words }) => words)).toContain(
    'Clipped 0.1 mm: 30 cents flat before, 22 cents flat after',
  );
  expect((await cardOf(reedId)).pitch).toEqual([{ on: TODAY, cents: -22 }]);
});

test('nothing is done before the soak’s least, and a limit holds over several examinations of a sitting', async () => {
  const reedId = `${await oboeBox(post)}/1`;
  const dry = await onTable(post, reedId, { soakedMinutes: 0 });
  await lookedAt(post, dry);
  await crowed(post, dry, -40).expect(201);
  expect((await tableOf(reedId)).examination?.move.soak).toMatchObject({ says: null });
  await step(dry).expect(409);
  const wet = `${await oboeBox(post)}/1`;
  const first = await onTable(post, wet);
  await lookedAt(post, first);
  await crowed(post, first, -90).expect(201);
  await step(first, { tenths: 3 }).expect(201);
  await crowed(post, first, -70).expect(201);
  expect((await tableOf(wet)).examination?.move.end?.end).toBe('enough-today');
  const second = await onTable(post, wet);
  await lookedAt(post, second);
  await crowed(post, second, -70).expect(201);
  expect((await tableOf(wet)).examination?.move.end?.end).toBe('enough-today');
  await step(second).expect(409);
});

test('two tables of one reed are one; what was answered elsewhere is not answered again', async () => {
  const reedId = `${await oboeBox(post)}/1`;
  const first = await onTable(post, reedId);
  const body = { now: NOW, reedId, way: 'whole', noticed: [], soakedMinutes: 0, interviewKey: null };
  await post('/api/doublereeds/examinations', { ...body, key: aKey() }).expect(200);
  expect((await tableOf(reedId)).examination?.key).toBe(first);
  await look(first, 'soak', 'through').expect(201);
  await look(first, 'light', 'whole').expect(201);
  await look(first, 'light', 'crack').expect(409);
});

test('a child is shown no step, and none can be logged for it', async () => {
  const reedId = `${await oboeBox(post, { playerId: 'kit' })}/1`;
  const key = await onTable(post, reedId);
  await lookedAt(post, key);
  await crowed(post, key, -40).expect(201);
  const { move } = (await tableOf(reedId)).examination ?? {};
  expect(move).toMatchObject({ step: null, end: { end: 'show-flat' } });
  expect(`${move?.title} ${move?.how}`).not.toMatch(/nipper|plier|wire|clip/i);
  await step(key).expect(409);
});

test('what cannot be is refused with its reason, and nothing is lost', async () => {
  const box = await oboeBox(post);
  const reedId = `${box}/1`;
  const key = await onTable(post, reedId);
  await lookedAt(post, key);
  const crow = { key: aKey(), now: NOW, examinationKey: key, heard: 'both', cents: 900, from: 'crow' };
  await post('/api/doublereeds/crows', crow).expect(400);
  await post('/api/doublereeds/crows', { ...crow, cents: 5, heard: 'rattle' }).expect(400);
  await post('/api/doublereeds/crows', { ...crow, cents: null }).expect(400);
  await crowed(post, key, -30).expect(201);
  await step(key, { tenths: 50 }).expect(400);
  await step(key, { step: 'open' }).expect(409);
  await post('/api/doublereeds/examinations', {
    ...{ key: aKey(), now: NOW, reedId: `${box}/9`, way: 'whole', noticed: [], soakedMinutes: 0, interviewKey: null },
  }).expect(404);
  await server().api().get(`/api/doublereeds/table?reedId=${box}%2F1&today=2026-02-31`).expect(400);
  const clarinet = aKey();
  const single = { ...OBOE_BOX, scrape: undefined, kind: 'clarinet', key: clarinet, now: NOW };
  await post('/api/reeds/boxes', single).expect(201);
  await server().api().get(`/api/doublereeds/table?reedId=${clarinet}%2F1&today=${TODAY}`).expect(409);
  await post('/api/reeds/said', {
    ...{
      key: aKey(),
      now: NOW,
      reedId: `${box}/2`,
      what: 'ended',
      feel: null,
      goodFor: null,
      signs: [],
      cause: 'soft',
    },
  }).expect(201);
  await onTable(post, `${box}/2`);
  expect((await tableOf(`${box}/2`)).examination?.move.end?.end).toBe('retired');
});

test('the scrape is asked where nobody said it, and may change in the middle', async () => {
  const box = await oboeBox(post, { scrape: undefined });
  const reedId = `${box}/1`;
  const shown = await tableOf(reedId);
  expect(shown).toMatchObject({ sort: 'oboe-unknown', askScrape: { boxKey: box } });
  const key = await onTable(post, reedId);
  await lookedAt(post, key);
  const heard = { key: aKey(), now: NOW, examinationKey: key, heard: 'steady', cents: null, from: 'crow' };
  await post('/api/doublereeds/crows', heard).expect(201);
  expect((await tableOf(reedId)).examination?.move.end?.end).toBe('no-verdict');
  const told = { ...shown.askScrape?.box, scrape: 'long', key: aKey(), corrects: box, now: NOW };
  await post('/api/reeds/boxes', told).expect(201);
  expect(await tableOf(reedId)).toMatchObject({ sort: 'oboe-long', askScrape: null });
  expect((await tableOf(reedId)).examination?.move.crow?.heard[0]?.heard).toBe('both');
});

test('quickly, beside others: kept, or sent back', async () => {
  const box = await oboeBox(post);
  const kept = await onTable(post, `${box}/1`, { way: 'quick' });
  await lookedAt(post, kept);
  expect((await tableOf(`${box}/1`)).examination?.move.end?.end).toBe('keep');
  const back = await onTable(post, `${box}/2`, { way: 'quick' });
  await look(back, 'soak', 'through').expect(201);
  await look(back, 'light', 'crack').expect(201);
  expect((await tableOf(`${box}/2`)).examination?.move.end?.end).toBe('send-back');
  expect(await stageOf(`${box}/2`)).toBe('retired');
});

test('an interview hands the reed over with its answers, and gets the table’s back; neither asks twice', async () => {
  await anOboe((path, body) => server().api().post(path).send(body));
  const interview = aKey();
  const noticed = ['double-reed/whole-flat'];
  await post('/api/faults', { key: interview, now: NOW, instrumentId: 'an-oboe', noticed }).expect(201);
  const answer = (sign: string, said: string) =>
    post('/api/faults/answers', { key: aKey(), now: NOW, interviewKey: interview, sign, answer: said, noticed: false });
  await answer('double-reed/corners-seen', 'no').expect(201);
  await answer('double-reed/gapes', 'no').expect(201);
  await answer('double-reed/shut-seen', 'no').expect(201);
  const reedId = `${await oboeBox(post)}/1`;
  const key = await onTable(post, reedId, { interviewKey: interview });
  expect((await tableOf(reedId)).examination?.said.map(({ words }) => words)).toEqual([
    'Corners: both are there',
    'Opening: a flat, slim lens',
  ]);
  await look(key, 'soak', 'through').expect(201);
  await look(key, 'light', 'whole').expect(201);
  expect((await tableOf(reedId)).examination?.move.look?.look).toBe('heart');
  const page = async () =>
    (await server().api().get(`/api/faults/an-oboe?today=${TODAY}&way=sure`).expect(200)).body as FaultsPage;
  const said = (await page()).open?.said.map((one) => [one.sign, one.answer]);
  expect(said).toContainEqual(['double-reed/light-line', 'no']);
  expect((await page()).open?.question?.sign).not.toBe('double-reed/light-line');
  await look(key, 'heart', 'seen').expect(201);
  await look(key, 'offset', 'flush').expect(201);
  expect((await page()).open?.said.map((one) => [one.sign, one.answer])).toContainEqual([
    'double-reed/blades-flush',
    'yes',
  ]);
});

test('a reed is chosen: in use, just come, or of a pupil, whose reed without a box is one and the same', async () => {
  await anOboe((path, body) => server().api().post(path).send(body));
  const box = await oboeBox(post, { before: [0, 300] });
  const choose = async () =>
    (await server().api().get(`/api/doublereeds/choose?instrumentId=an-oboe&today=${TODAY}`).expect(200))
      .body as ChooseView;
  const shown = await choose();
  expect(shown.reeds.map(({ reedId }) => reedId)).toEqual([`${box}/2`]);
  expect(shown.fresh).toEqual([{ boxKey: box, name: 'Gull Lane', numbers: [1] }]);
  expect(shown.pupils).toEqual([expect.objectContaining({ instrumentId: 'an-oboe', kind: 'oboe', unboxed: null })]);
  const own = await oboeBox(post, { name: UNBOXED_NAME, before: [null] });
  expect((await choose()).pupils[0]?.unboxed).toBe(`${own}/1`);
  const key = await onTable(post, `${own}/1`, { way: 'quick' });
  await look(key, 'soak', 'through').expect(201);
  await look(key, 'light', 'crack').expect(201);
  expect((await choose()).pupils[0]?.unboxed).toBeNull();
  await server().api().get(`/api/doublereeds/choose?instrumentId=clarinet&today=${TODAY}`).expect(409);
});

test('what was found counts for what is said of the reeds: for practice, sent back, the first days, the air', async () => {
  await anOboe((path, body) => server().api().post(path).send(body));
  const box = await oboeBox(post, { before: [300, 300, 0] });
  const key = await onTable(post, `${box}/1`);
  await look(key, 'soak', 'through').expect(201);
  await look(key, 'light', 'whole').expect(201);
  await look(key, 'corners', 'gone').expect(201);
  expect(await stageOf(`${box}/1`)).toBe('practice-only');
  const quick = await onTable(post, `${box}/3`, { way: 'quick' });
  await look(quick, 'soak', 'through').expect(201);
  await look(quick, 'light', 'crack').expect(201);
  await post('/api/air/readings', { key: aKey(), now: NOW, playerId: 'ada', celsius: 12, humidityPercent: 30 }).expect(
    201,
  );
  const url = `/api/reeds?playerId=ada&today=${TODAY}&atMinute=${NOW.atMinute}`;
  const { kinds } = (await server().api().get(url).expect(200)).body as ReedsPageView;
  const oboe = kinds.find(({ kind }) => kind === 'oboe');
  expect(oboe?.makes[0]?.seen).toBe('3 reeds, 0 graded; as they came 1 of 1 sent back');
  expect(oboe?.today.words.join(' ')).toMatch(/everything goes flat.*3 minutes longer/);
});

test('a crack the interview has seen already ends the reed as it is laid down', async () => {
  await anOboe((path, body) => server().api().post(path).send(body));
  const interview = aKey();
  const noticed = ['double-reed/light-line'];
  await post('/api/faults', { key: interview, now: NOW, instrumentId: 'an-oboe', noticed }).expect(201);
  const reedId = `${await oboeBox(post)}/1`;
  const key = await onTable(post, reedId, { interviewKey: interview });
  expect((await tableOf(reedId)).examination?.move.end?.end).toBe('cracked');
  expect(await stageOf(reedId)).toBe('retired');
  await undo(key);
  expect(await stageOf(reedId)).not.toBe('retired');
});
