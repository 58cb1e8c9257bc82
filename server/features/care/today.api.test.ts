import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { instrumentPage } from '#contract/care.ts';
import { todayPaths, todayView, type TodayView } from '#contract/today.ts';
import { addDays, localDate, type LocalDate } from '#core/time/local-date.ts';
import { aKey, furnishedServer, NOW, playBody, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const post = (path: string, body: object) =>
  server
    .api()
    .post(path)
    .send({ key: aKey(), now: NOW, ...body });
const todayOf = async (playerId: string, atMinute = NOW.atMinute): Promise<TodayView> => {
  const { body } = await server
    .api()
    .get(todayPaths.of(playerId, { on: TODAY as LocalDate, atMinute }))
    .expect(200);
  return todayView.validateSync(body, { strict: true });
};
const told = ({ lines }: TodayView) =>
  lines.map(({ what, instrumentId, clock }) => `${what} ${instrumentId} ${clock?.itemId ?? ''}`.trim());
const evening = (over: object = {}) => ({
  playerId: 'ada',
  endedOn: TODAY,
  endedAtMinute: NOW.atMinute - 30,
  roomCelsius: null,
  plays: ['clarinet', 'trumpet'].map((instrumentId) => ({ key: aKey(), instrumentId, minutes: 50 })),
  ...over,
});
const pageOf = async (id: string) =>
  instrumentPage.validateSync((await server.api().get(`/api/care/${id}?today=${TODAY}`).expect(200)).body, {
    strict: true,
  });

describe('today', () => {
  test('an evening on two instruments lands in one go: both stand wet, first in the list, and one undo takes both', async () => {
    const before = told(await todayOf('ada'));
    const key = aKey();
    await post('/api/evenings', { key, ...evening() }).expect(201);
    const after = await todayOf('ada');
    expect(told(after).slice(0, 2).toSorted()).toEqual(['wet clarinet', 'wet trumpet']);
    expect(after.lines[0]?.because.map(({ mark }) => mark)).toEqual(['estimate']);
    expect(after.lines[0]?.words).toMatch(/^Wet for 30 min, about .* g of water in it$/);
    expect(after.evening.map(({ awaitsPackUp }) => awaitsPackUp)).toEqual([true, true]);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: key }).expect(201);
    expect(told(await todayOf('ada'))).toEqual(before);
    expect((await pageOf('trumpet')).lastPlay).toBeNull();
  });

  test('each play of an evening is corrected by itself', async () => {
    const said = evening();
    await post('/api/evenings', said).expect(201);
    const [play] = said.plays;
    await post('/api/plays', {
      ...playBody({ instrumentId: 'clarinet', minutes: 20, endedAtMinute: NOW.atMinute - 30, corrects: play?.key }),
    }).expect(201);
    expect((await pageOf('clarinet')).lastPlay?.minutes).toBe(20);
    expect((await pageOf('trumpet')).lastPlay?.minutes).toBe(50);
  });

  test.each<[string, object, number]>([
    [
      'plays[1].instrumentId',
      { plays: [1, 2].map(() => ({ key: aKey(), instrumentId: 'clarinet', minutes: 5 })) },
      400,
    ],
    ['plays[0].instrumentId', { plays: [{ key: aKey(), instrumentId: 'kazoo', minutes: 5 }] }, 404],
    ['plays[0].minutes', { plays: [{ key: aKey(), instrumentId: 'clarinet', minutes: 0 }] }, 400],
    ['plays', { plays: [] }, 400],
    ['plays[0].playerId', { playerId: 'nobody' }, 404],
  ])('%s that cannot be refuses the whole evening', async (field, over, status) => {
    const before = told(await todayOf('ada'));
    const { body } = await post('/api/evenings', evening(over)).expect(status);
    expect(body.errors.map((one: { field: string }) => one.field)).toContain(field);
    expect(told(await todayOf('ada'))).toEqual(before);
  });

  test('a play that overlaps another keeps the other instrument’s out as well', async () => {
    await post('/api/plays', playBody({ instrumentId: 'trumpet', endedAtMinute: NOW.atMinute - 40 })).expect(201);
    const { body } = await post('/api/evenings', evening()).expect(409);
    expect(body.errors[0].field).toBe('plays[1].minutes');
    expect((await pageOf('clarinet')).lastPlay).toBeNull();
  });

  test('a child’s instruments stand on the list of whoever looks after them, under the child’s name', async () => {
    const own = { id: 'small', name: 'Small clarinet', kind: 'clarinet', acquiredOn: '2024-01-10', today: TODAY };
    const { build } = (await pageOf('clarinet')).instrument;
    await server
      .api()
      .post('/api/instruments')
      .send({ ...own, playerId: 'kit', build, cameNew: false })
      .expect(201);
    await post('/api/plays', playBody({ instrumentId: 'small', playerId: 'kit' })).expect(201);
    expect(told(await todayOf('ada'))).not.toContain('wet small');
    await post('/api/minders', { playerId: 'kit', minderId: 'ada' }).expect(201);
    const line = (await todayOf('ada')).lines.find(({ instrumentId }) => instrumentId === 'small');
    expect(line).toMatchObject({ what: 'wet', ownerName: 'Kit' });
    const kits = await todayOf('kit');
    expect([kits.instruments, kits.lines[0]?.ownerName]).toEqual([1, null]);
    // What somebody has played is asked of them, not of who looks after them.
    expect((await todayOf('ada')).evening.map(({ instrumentId }) => instrumentId)).not.toContain('small');
  });

  test('an instrument at the bench is named, and nothing is due on it until it is back', async () => {
    const stay = { playerId: 'ada', what: 'bench', on: TODAY, until: '2026-12-03', minutes: null, name: null };
    await post('/api/events', { ...stay, instrumentIds: ['trumpet'] }).expect(201);
    // On the day it goes there it is packed, and nothing else is asked of it.
    const first = (await todayOf('ada')).lines.filter(({ instrumentId }) => instrumentId === 'trumpet');
    expect(first).toMatchObject([{ what: 'pack', words: 'Pack it: it goes to the bench today' }]);
    expect((await pageOf('trumpet')).benchAsks).toEqual({ what: 'pack', words: first[0]?.words });
    const latched = [{ line: 'latched', answer: 'so' }];
    await post('/api/bench/handovers', { instrumentId: 'trumpet', list: 'out', lines: latched }).expect(201);
    const { lines, away } = await todayOf('ada');
    expect(lines.map(({ instrumentId }) => instrumentId)).not.toContain('trumpet');
    expect(away).toMatchObject([{ instrumentId: 'trumpet' }]);
    const page = await pageOf('trumpet');
    expect([page.awayUntil, page.calling]).toEqual(['2026-12-03', []]);
    expect(page.clocks.filter(({ dueAtHome, goesAlong }) => dueAtHome || goesAlong)).toEqual([]);
    // What is at the bench was not played this evening.
    expect((await todayOf('ada')).evening.map(({ instrumentId }) => instrumentId)).not.toContain('trumpet');
    expect((await pageOf('clarinet')).awayUntil).toBeNull();
  });

  test('what goes to the bench today and was not packed up is packed up first', async () => {
    const stay = { playerId: 'ada', what: 'bench', on: TODAY, until: '2026-12-03', minutes: null, name: null };
    await post('/api/events', { ...stay, instrumentIds: ['trumpet'] }).expect(201);
    await post('/api/plays', playBody({ instrumentId: 'trumpet' })).expect(201);
    expect(told(await todayOf('ada')).filter((line) => line.endsWith('trumpet'))).toEqual([
      'wet trumpet',
      'pack trumpet',
    ]);
    const placed = async () =>
      (await server.api().get(`/api/instruments?today=${TODAY}`)).body.find(
        ({ id }: { id: string }) => id === 'trumpet',
      );
    expect([(await pageOf('trumpet')).goesToday, (await placed()).goesToday]).toEqual([true, true]);
    const latched = [{ line: 'latched', answer: 'so' }];
    await post('/api/bench/handovers', { instrumentId: 'trumpet', list: 'out', lines: latched }).expect(201);
    expect([(await pageOf('trumpet')).goesToday, (await placed()).goesToday]).toEqual([false, false]);
    expect(told(await todayOf('ada'))).not.toContain('wet trumpet');
  });

  test('a run under way comes before everything else, and nobody is a 404', async () => {
    await post('/api/evenings', evening()).expect(201);
    await server
      .api()
      .post('/api/runs')
      .send({
        key: aKey(),
        playerId: 'ada',
        kind: 'after',
        parts: [{ instrumentId: 'trumpet', playKey: null, itemIds: [] }],
        minutesAtHand: null,
        now: NOW,
      })
      .expect(201);
    expect(told(await todayOf('ada')).slice(0, 2)).toEqual(['run trumpet', 'wet clarinet']);
    await server.api().get(`/api/today?playerId=nobody&today=${TODAY}&atMinute=1`).expect(404);
    await server.api().get(`/api/today?playerId=ada&today=${TODAY}&atMinute=1440`).expect(400);
  });

  test('reeds come first with a concert today or in two days, on what is played with a reed', async () => {
    const concert = (on: string, instrumentIds: string[]) =>
      post('/api/events', {
        playerId: 'ada',
        what: 'concert',
        on,
        until: null,
        minutes: 60,
        name: null,
        instrumentIds,
      });
    const first = async () => (await todayOf('ada')).reedsFirst;
    expect(await first()).toEqual([]);
    await concert(addDays(localDate(TODAY), 3), ['clarinet']).expect(201);
    await concert(addDays(localDate(TODAY), 1), ['trumpet']).expect(201);
    expect(await first()).toEqual([]);
    await concert(addDays(localDate(TODAY), 2), ['clarinet']).expect(201);
    expect(await first()).toEqual(['clarinet']);
  });

  test('work for the bench is asked no more once it has its day there', async () => {
    const asked = async () =>
      (await todayOf('ada')).lines.filter(({ clock }) => clock?.itemId === 'wind/bench-service').length;
    expect(await asked()).toBe(1);
    const goes = (days: number) => {
      const on = addDays(localDate(TODAY), days);
      const stay = { playerId: 'ada', what: 'bench', on, until: addDays(on, 9), minutes: null, name: null };
      return post('/api/events', { ...stay, instrumentIds: ['trumpet'] }).expect(201);
    };
    // So far off it is no answer to what is due by now.
    await goes(57);
    expect(await asked()).toBe(1);
    await goes(56);
    expect(await asked()).toBe(0);
    expect((await pageOf('trumpet')).calling).not.toEqual([]);
  });

  test('what was to be back is asked for until somebody says what the bench did', async () => {
    const stay = { playerId: 'ada', what: 'bench', on: '2026-02-02', until: TODAY, minutes: null, name: null };
    await post('/api/events', { ...stay, instrumentIds: ['trumpet'] }).expect(201);
    const line = async () => (await todayOf('ada')).lines.find(({ instrumentId }) => instrumentId === 'trumpet');
    expect(await line()).toMatchObject({ what: 'fetch', words: expect.stringMatching(/^Back from the bench/) });
    const marks = [{ line: 'marks', answer: 'so' }];
    await post('/api/bench/handovers', { instrumentId: 'trumpet', list: 'back', lines: marks }).expect(201);
    expect(await line()).toMatchObject({ what: 'fetch', words: 'Is it back? Say what the bench did' });
  });

  test('what was knocked is looked over today, and no more once it was', async () => {
    const words = async () => (await todayOf('ada')).lines.find(({ what }) => what === 'measure')?.words;
    const knock = { instrumentId: 'trumpet', mishap: 'knocked', part: 'mouthpiece', happenedOn: TODAY };
    await post('/api/faults/mishaps', knock).expect(201);
    expect(await words()).toMatch(/^It was dropped or knocked on .*Look it over: rocking of the mouthpiece’s shank$/);
    expect((await pageOf('trumpet')).benchAsks).toEqual({ what: 'measure', words: await words() });
    await post('/api/inspections', {
      ...{ instrumentId: 'trumpet', readOn: TODAY, by: 'player' },
      readings: [{ measure: 'brass/shank', place: null, way: 'by-hand', value: 0 }],
    }).expect(201);
    expect(await words()).toBeUndefined();
    expect((await pageOf('trumpet')).benchAsks).toBeNull();
  });

  test('what is to be measured again stands last, and is gone once it was read', async () => {
    const looked = (readOn: string) =>
      post('/api/inspections', {
        ...{ instrumentId: 'trumpet', readOn, by: 'player' },
        readings: [{ measure: 'brass/slide-pull', place: 'main-slide', way: 'by-hand', value: 3 }],
      }).expect(201);
    await looked('2026-01-10');
    const before = await todayOf('ada');
    const line = before.lines.findLast(({ instrumentId }) => instrumentId === 'trumpet');
    expect(line).toMatchObject({ what: 'measure', words: 'Measure it again: pull of the slide' });
    await looked(TODAY);
    expect((await todayOf('ada')).lines.map(({ what }) => what)).not.toContain('measure');
  });
});
