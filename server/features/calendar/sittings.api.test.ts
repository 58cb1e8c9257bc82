import { describe, expect, test } from '@jest/globals';
import { addDays } from '#core/time/local-date.ts';
import { sittingsView } from '#contract/sittings.ts';
import { furnished } from '#server/testing/furnished.ts';
import { aKey, TODAY } from '#server/testing/test-server.ts';

const { server, today, post, takeBack } = furnished();

async function weeks() {
  const { body } = await server().api().get(`/api/sittings?playerId=ada&today=${TODAY}`).expect(200);
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

test('the weeks of nobody are not found, and what nobody knows is counted by its instrument', async () => {
  const answer = await server().api().get(`/api/sittings?playerId=nobody&today=${TODAY}`);
  expect([answer.status, answer.body.errors[0].code]).toEqual([404, 'no-such-player']);
  const { unknown } = await weeks();
  const { body: page } = await server().api().get(`/api/care/clarinet?today=${TODAY}`);
  type Clock = { readonly everyPlay: boolean; readonly hands: string; readonly gauge: { readonly state: string } };
  const counted = (page.clocks as Clock[]).filter(
    ({ everyPlay, hands, gauge }) => !everyPlay && hands !== 'bench' && gauge.state === 'unknown',
  );
  expect(unknown.find(({ instrumentId }) => instrumentId === 'clarinet')?.count).toBe(counted.length);
  // The trumpet came new: everything of it is known.
  expect(unknown.map(({ instrumentId }) => instrumentId)).toEqual(['clarinet']);
});

describe('six weeks of sittings', () => {
  test('hold everything that falls due at home, each within the time there is', async () => {
    const { sittings, left, time, said, words } = await weeks();
    expect(said).toBeNull();
    expect(sittings.length).toBeGreaterThan(0);
    expect(left).toEqual([]);
    expect(words).toMatch(/^\d+ sittings? in six weeks\./);
    expect(words).toContain('No plan is better: that is proved.');
    for (const { on, minutes } of sittings) {
      const day = Array.from(time.keys()).find((ahead) => addDays(today, ahead) === on);
      expect(minutes).toBeLessThanOrEqual(time[day ?? -1] ?? 0);
    }
  });

  test('say of what falls due for the first time between which days that may be', async () => {
    const items = (await weeks()).sittings.flatMap((sitting) => sitting.items);
    const ranges = items.filter(({ earliest, latest }) => earliest !== null && latest !== null && earliest <= latest);
    expect(ranges.length).toBeGreaterThan(0);
  });

  test('go by the time a player has said they have; taken back, by what is usual', async () => {
    const key = aKey();
    await post('/api/sittings/times', { key, playerId: 'ada', minutes: [0, 0, 0, 0, 0, 60, 0] }).expect(201);
    const { sittings, said } = await weeks();
    expect(said).toEqual([0, 0, 0, 0, 0, 60, 0]);
    // 24 November 2026 is a Tuesday: Saturdays are four days on, and then every week.
    const saturdays = Array.from({ length: 6 }, (_, week) => addDays(today, 4 + 7 * week));
    expect(sittings.map(({ on }) => on).filter((on) => !saturdays.includes(on))).toEqual([]);
    await takeBack(key);
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

  test('are kept as they were shown, and keep their names: after a restart, and on the next day', async () => {
    const first = await weeks();
    server().restart();
    expect(await weeks()).toEqual(first);
    const kept = server().client().prepare('select plan from shown_sittings').pluck().get() as string;
    expect(JSON.parse(kept)).toMatchObject({ version: 2 });
    server().client().prepare("update shown_sittings set plan = '{}'").run();
    // What cannot be read any more is planned anew, under new names.
    server().restart();
    const anew = await weeks();
    expect(anew.sittings.map(({ on }) => on)).toEqual(first.sittings.map(({ on }) => on));
    expect(anew.sittings[0]?.uid).not.toBe(first.sittings[0]?.uid);
  });

  test('taken back, a holiday leaves everything as it was shown before, names and days', async () => {
    const before = await weeks();
    const key = aKey();
    await post('/api/events', event({ key, on: addDays(today, 24), until: addDays(today, 36) })).expect(201);
    const meanwhile = await weeks();
    expect(meanwhile.sittings.map(({ on }) => on)).not.toEqual(before.sittings.map(({ on }) => on));
    await takeBack(key);
    expect((await weeks()).sittings).toEqual(before.sittings);
  });

  test('are of today: of a day that is today nowhere nothing is worked out, and what was shown stays', async () => {
    const before = await weeks();
    const ask = async (path: string) => (await server().api().get(path)).body;
    for (const day of ['2028-02-29', '2026-11-22', '2026-11-26'])
      for (const path of [
        `/api/sittings?playerId=ada&today=${day}`,
        `/api/case-lid?instrumentId=trumpet&today=${day}`,
        `/api/reeds/plan?playerId=ada&kind=clarinet&today=${day}&atMinute=600`,
      ])
        expect(await ask(path)).toMatchObject({ status: 400, errors: [{ field: 'today', code: 'not-today' }] });
    server().restart();
    expect((await weeks()).sittings.map(({ uid }) => uid)).toEqual(before.sittings.map(({ uid }) => uid));
  });

  test('one is moved by hand, the others stay, and taken back it lies where it lay', async () => {
    const before = await weeks();
    const sitting = before.sittings.at(-1);
    const others = (view: typeof before) => view.sittings.filter(({ uid }) => uid !== sitting?.uid);
    if (sitting === undefined) throw new Error('no sitting');
    const on = addDays(sitting.on, -1);
    const times = sitting.items.map(({ instrumentId, itemId, dueOn }) => ({ instrumentId, itemId, dueOn }));
    const key = aKey();
    await post('/api/sittings/moves', { key, playerId: 'ada', times, on }).expect(201);
    const after = await weeks();
    const moved = after.sittings.find(({ uid }) => uid === sitting.uid);
    expect(moved?.on).toBe(on);
    expect(moved?.items.every(({ isSet }) => isSet)).toBe(true);
    // What is due again a day earlier may be due once more before the six weeks are over.
    const stay = others(before).map(({ uid, on: day }) => [uid, day]);
    expect(
      others(after)
        .map(({ uid, on: day }) => [uid, day])
        .slice(0, stay.length),
    ).toEqual(stay);
    await takeBack(key);
    const back = await weeks();
    expect(back.sittings.flatMap(({ items }) => items.map(({ isSet }) => isSet))).not.toContain(true);
  });

  test('moved in two tabs it lies where the last one put it; that taken back, where the first did', async () => {
    const [, second] = (await weeks()).sittings;
    if (second === undefined) throw new Error('no second sitting');
    const times = second.items.map(({ instrumentId, itemId, dueOn }) => ({ instrumentId, itemId, dueOn }));
    const move = (key: string, days: number) =>
      post('/api/sittings/moves', { key, playerId: 'ada', times, on: addDays(second.on, days) }).expect(201);
    const last = aKey();
    await Promise.all([move(aKey(), 1), move(aKey(), -1)]);
    await move(aKey(), 1);
    await move(last, 2);
    const lies = async () => (await weeks()).sittings.find(({ uid }) => uid === second.uid)?.on;
    expect(await lies()).toBe(addDays(second.on, 2));
    await takeBack(last);
    expect(await lies()).toBe(addDays(second.on, 1));
  });

  test('with a concert every day there is none, and everything is said to find no day', async () => {
    const lines = ['BEGIN:VCALENDAR', 'X-WR-CALNAME:Run', 'BEGIN:VEVENT', 'UID:run', 'SUMMARY:Show'];
    const days = ['RRULE:FREQ=DAILY;COUNT=60', 'DURATION:PT2H', 'END:VEVENT', 'END:VCALENDAR'];
    await post('/api/calendar/imports', {
      playerId: 'ada',
      zone: 'UTC',
      fileName: 'run.ics',
      text: [...lines, `DTSTART:${TODAY.replaceAll('-', '')}T190000`, ...days].join('\n'),
      choices: [{ uid: 'run', what: 'concert', instrumentIds: ['clarinet', 'trumpet'] }],
      dropped: [],
    }).expect(201);
    const { sittings, left, words } = await weeks();
    expect(sittings).toEqual([]);
    expect(left.length).toBeGreaterThan(0);
    expect(words).toMatch(/^Every day of these six weeks is taken/);
  });

  test('a move of nothing, of nobody, out of the weeks, or to a day at the bench is refused', async () => {
    const times = [{ instrumentId: 'trumpet', itemId: 'piston-brass/bath', dueOn: TODAY }];
    const move = (over: object) =>
      post('/api/sittings/moves', { playerId: 'ada', times, on: addDays(today, 3), ...over });
    await move({}).expect(201);
    await move({ times: [] }).expect(400);
    await move({ playerId: 'kit' }).expect(404);
    await move({ times: [{ ...times[0], itemId: 'clarinet/swab-bore' }] }).expect(404);
    await move({ on: addDays(today, 42) }).expect(400);
    await move({ times: [...times, ...times] }).expect(400);
    const stay = { what: 'bench', on: addDays(today, 2), until: addDays(today, 5), instrumentIds: ['trumpet'] };
    await post('/api/events', event(stay)).expect(201);
    const { body } = await move({}).expect(400);
    expect(body.errors).toMatchObject([{ field: 'on', code: 'sitting-while-away' }]);
  });

  test('what was done is in the weeks behind, and its sitting is told as done', async () => {
    const { sittings } = await weeks();
    const [next] = sittings;
    for (const { instrumentId, itemId } of next?.items ?? [])
      await post('/api/care', { instrumentId, itemId, doneOn: TODAY, by: 'player' }).expect(201);
    const after = await weeks();
    expect(after.past[0]?.on).toBe(TODAY);
    expect(after.past[0]?.items.map(({ itemId }) => itemId).toSorted()).toEqual(
      next?.items.map(({ itemId }) => itemId).toSorted(),
    );
    const stored = JSON.parse(server().client().prepare('select plan from shown_sittings').pluck().get() as string);
    expect(stored.sittings.find(({ uid }: { uid: string }) => uid === next?.uid)).toMatchObject({
      state: 'done',
      on: TODAY,
    });
  });

  test('care of which nobody knows when it was done is said to be in none', async () => {
    const { unknown } = await weeks();
    expect(unknown).toMatchObject([{ instrumentId: 'clarinet' }]);
  });

  test('with no time at all say so, and of nobody there are none', async () => {
    await post('/api/sittings/times', { playerId: 'ada', minutes: [0, 0, 0, 0, 0, 0, 0] }).expect(201);
    expect((await weeks()).words).toMatch(/no time on any day/);
    await server().api().get(`/api/sittings?playerId=nobody&today=${TODAY}`).expect(404);
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
