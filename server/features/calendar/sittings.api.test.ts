import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { addDays, localDate } from '#core/time/local-date.ts';
import { sittingsView } from '#contract/sittings.ts';
import { aKey, furnish, NOW, testServer, TODAY, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = testServer();
  await furnish(server);
});
afterEach(() => {
  expect(server.faults()).toEqual([]);
  server.stop();
});

const post = (path: string, body: object) =>
  server
    .api()
    .post(path)
    .send({ key: aKey(), now: NOW, ...body });
const today = localDate(TODAY);
async function weeks() {
  const { body } = await server.api().get(`/api/sittings?playerId=ada&today=${TODAY}`).expect(200);
  return sittingsView.validateSync(body, { strict: true });
}
const event = (over: object) => ({
  playerId: 'ada',
  what: 'holiday',
  on: TODAY,
  until: null,
  minutes: null,
  name: null,
  instrumentIds: ['clarinet'],
  ...over,
});

describe('six weeks of sittings', () => {
  test('hold everything that falls due at home, each within the time there is', async () => {
    const { sittings, left, time, said, words } = await weeks();
    expect(said).toBeNull();
    expect(sittings.length).toBeGreaterThan(0);
    expect(left).toEqual([]);
    expect(words).toMatch(/^\d+ sittings? in six weeks\./);
    for (const { on, minutes } of sittings) {
      const day = Array.from(time.keys()).find((ahead) => addDays(today, ahead) === on);
      expect(minutes).toBeLessThanOrEqual(time[day ?? -1] ?? 0);
    }
  });

  test('go by the time a player has said they have; taken back, by what is usual', async () => {
    const key = aKey();
    await post('/api/sittings/times', { key, playerId: 'ada', minutes: [0, 0, 0, 0, 0, 60, 0] }).expect(201);
    const { sittings, said } = await weeks();
    expect(said).toEqual([0, 0, 0, 0, 0, 60, 0]);
    // 24 November 2026 is a Tuesday: Saturdays are four days on, and then every week.
    const saturdays = Array.from({ length: 6 }, (_, week) => addDays(today, 4 + 7 * week));
    expect(sittings.map(({ on }) => on).filter((on) => !saturdays.includes(on))).toEqual([]);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: key }).expect(201);
    expect((await weeks()).said).toBeNull();
  });

  test('are none on a holiday, and nothing is done while the instrument is at the bench', async () => {
    await post('/api/events', event({ until: addDays(today, 9) })).expect(201);
    const { sittings, events } = await weeks();
    expect(events).toMatchObject([{ what: 'holiday', words: 'A holiday', until: addDays(today, 9) }]);
    expect(sittings.every(({ on }) => on > addDays(today, 9))).toBe(true);
    const instrumentIds = ['clarinet', 'trumpet'];
    const bench = { what: 'bench', on: addDays(today, 10), until: addDays(today, 45), instrumentIds };
    await post('/api/events', event(bench)).expect(201);
    const away = await weeks();
    expect(away.sittings).toEqual([]);
    expect(away.left.length).toBeGreaterThan(0);
    expect(away.words).toContain('no day');
  });

  test('are a calendar file as well', async () => {
    const { sittings } = await weeks();
    const answer = await server.api().get(`/api/calendar.ics?playerId=ada&today=${TODAY}`).expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
    expect(answer.text.match(/BEGIN:VEVENT/g)).toHaveLength(sittings.length);
    await server.api().get(`/api/calendar.ics?playerId=nobody&today=${TODAY}`).expect(404);
  });

  test('with no time at all say so, and of nobody there are none', async () => {
    await post('/api/sittings/times', { playerId: 'ada', minutes: [0, 0, 0, 0, 0, 0, 0] }).expect(201);
    expect((await weeks()).words).toMatch(/no time on any day/);
    await server.api().get(`/api/sittings?playerId=nobody&today=${TODAY}`).expect(404);
  });

  test.each([
    { minutes: [1, 2, 3] },
    { minutes: [0, 0, 0, 0, 0, 0, -5] },
    { minutes: [0, 0, 0, 0, 0, 0, 999] },
    { minutes: [0, 0, 0, 0, 0, 0, 1.5] },
  ])('a week that is none is refused: %j', async (over) => {
    await post('/api/sittings/times', { playerId: 'ada', ...over }).expect(400);
  });
});
