import { expect, test } from '@jest/globals';
import { addDays } from '#core/time/local-date.ts';
import { caseLidSheet } from '#contract/case-lid.ts';
import { shelfView } from '#contract/instruments.ts';
import { ribbonView } from '#contract/ribbon.ts';
import { furnished } from '#server/testing/furnished.ts';
import { aKey, NOW, playBody, TODAY } from '#server/testing/test-server.ts';

const { server, today, post } = furnished();

const stay = {
  playerId: 'ada',
  what: 'bench',
  on: addDays(today, 2),
  until: addDays(today, 60),
  minutes: null,
  name: null,
};

test('the ribbon of everybody has a lane for each instrument: what falls due on its day, stays cut to the weeks', async () => {
  await post('/api/events', { ...stay, instrumentIds: ['trumpet'] }).expect(201);
  const { body } = await server().api().get(`/api/ribbon?today=${TODAY}`).expect(200);
  const { lanes } = ribbonView.validateSync(body, { strict: true });
  expect(lanes.map(({ instrumentId, playerName }) => [instrumentId, playerName])).toEqual([
    ['clarinet', 'Ada'],
    ['trumpet', 'Ada'],
  ]);
  const [clarinet, trumpet] = lanes;
  expect(trumpet?.events).toEqual([{ what: 'bench', from: 2, to: 41, words: 'a stay at the bench' }]);
  // The trumpet came new long ago: its service is overdue, and stands under today.
  expect(trumpet?.due.find(({ day }) => day === 0)?.names).toContain('Bench service');
  // Nobody knows anything of the clarinet.
  expect(clarinet?.due).toEqual([]);
  await server().api().get('/api/ribbon').expect(400);
});

test('what falls due later stands on its day, counted from today', async () => {
  // Done yesterday, weekly: due in six days.
  const done = { key: aKey(), instrumentId: 'trumpet', itemId: 'piston-brass/valve-oil', by: 'player', now: NOW };
  await server()
    .api()
    .post('/api/care')
    .send({ ...done, doneOn: addDays(today, -1) })
    .expect(201);
  const { body } = await server().api().get(`/api/ribbon?today=${TODAY}`).expect(200);
  const trumpet = ribbonView.validateSync(body, { strict: true }).lanes.find((one) => one.instrumentId === 'trumpet');
  const { body: page } = await server().api().get(`/api/care/trumpet?today=${TODAY}`).expect(200);
  type Clock = { readonly itemId: string; readonly name: string; readonly due: { readonly on: string } | null };
  const oil = (page.clocks as Clock[]).find(({ itemId }) => itemId === 'piston-brass/valve-oil');
  const day = trumpet?.due.find(({ names }) => names.includes(oil?.name ?? ''))?.day ?? -1;
  expect(day).toBeGreaterThan(0);
  expect(addDays(today, day)).toBe(oil?.due?.on);
});

test('what is due on an instrument at the bench waits until it is back, and the shelf says where it is', async () => {
  const until = addDays(today, 9);
  await post('/api/events', { ...stay, on: today, until, instrumentIds: ['trumpet'] }).expect(201);
  const { body } = await server().api().get(`/api/ribbon?today=${TODAY}`).expect(200);
  const trumpet = ribbonView.validateSync(body, { strict: true }).lanes.find((one) => one.instrumentId === 'trumpet');
  expect(Math.min(...(trumpet?.due ?? []).map(({ day }) => day))).toBe(9);
  expect(trumpet?.due.find(({ day }) => day === 9)?.names).toContain('Bench service');
  const { body: shelf } = await server().api().get(`/api/instruments?today=${TODAY}`).expect(200);
  const places = shelfView.validateSync(shelf, { strict: true });
  expect(places.map(({ id, awayUntil }) => [id, awayUntil])).toEqual([
    ['clarinet', null],
    ['trumpet', until],
  ]);
});

test('the sheet for the lid of a case holds every play in order, the week, the weeks after, and what is on', async () => {
  // Played in the weeks before, too: what playing wears counts from there.
  for (const ago of [1, 3, 8, 10])
    await post('/api/plays', playBody({ instrumentId: 'trumpet', endedOn: addDays(today, -ago) })).expect(201);
  await post('/api/plays', playBody({ instrumentId: 'trumpet' })).expect(201);
  await post('/api/events', { ...stay, what: 'holiday', until: addDays(today, 5), instrumentIds: ['trumpet'] }).expect(
    201,
  );
  const sheet = async () => {
    const { body } = await server().api().get(`/api/case-lid?instrumentId=trumpet&today=${TODAY}`).expect(200);
    return caseLidSheet.validateSync(body, { strict: true });
  };
  const { everyPlay, week, month, events, weekUntil, monthUntil, bench } = await sheet();
  expect(everyPlay.length).toBeGreaterThan(2);
  expect(week.every(({ on }) => on >= today && on <= weekUntil)).toBe(true);
  expect(month.length).toBeGreaterThan(0);
  expect(month.every(({ on }) => on > weekUntil && on <= monthUntil)).toBe(true);
  expect(events).toMatchObject([{ on: addDays(today, 2), until: addDays(today, 5) }]);
  expect(bench).toBeNull();
  const terms = {
    playerId: 'ada',
    name: 'Quayside Winds',
    phone: null,
    workingDays: 5,
    shippingDays: 0,
    settlingDays: 3,
  };
  await post('/api/bench/terms', terms).expect(201);
  expect((await sheet()).bench).toBe('Quayside Winds');
  await server().api().get(`/api/case-lid?instrumentId=nothing&today=${TODAY}`).expect(404);
});
