import { describe, expect, test } from '@jest/globals';
import { addDays } from '#core/time/local-date.ts';
import { eventList, type EventView } from '#contract/calendar.ts';
import { furnished } from '#server/testing/furnished.ts';
import { TODAY } from '#server/testing/test-server.ts';

const { today, post, get, takeBack } = furnished();

const gala = (over: object = {}) => ({
  playerId: 'ada',
  what: 'concert',
  on: addDays(today, 9),
  until: null,
  minutes: 90,
  name: 'Winter gala',
  instrumentIds: ['clarinet'],
  ...over,
});
const events = async (): Promise<EventView[]> => {
  const { body } = await get(`/api/events?playerId=ada&today=${TODAY}`).expect(200);
  return eventList.validateSync(body, { strict: true });
};
const log = async (body: object): Promise<string> =>
  ((await post('/api/events', body).expect(201)).body as { key: string }).key;

describe('an event', () => {
  test('put right it is the same one, the one after it stays what it was', async () => {
    await log(gala());
    await log(gala({ name: 'Matinee', on: addDays(today, 12) }));
    const [first] = await events();
    await log(gala({ corrects: first?.key, on: addDays(today, 10), minutes: 60 }));
    expect((await events()).map(({ on, name, minutes }) => [on, name, minutes])).toEqual([
      [addDays(today, 10), 'Winter gala', 60],
      [addDays(today, 12), 'Matinee', 90],
    ]);
  });

  test('that comes every week is so many events; one is put right alone, all are changed, all are gone', async () => {
    const every = { what: 'rehearsal', name: 'Band', atMinute: 1140, repeats: { weeks: 1, until: addDays(today, 23) } };
    const key = await log(gala({ ...every, on: addDays(today, 2) }));
    const first = await events();
    expect(first.map(({ on }) => on)).toEqual([2, 9, 16, 23].map((days) => addDays(today, days)));
    expect(first[1]).toMatchObject({ atMinute: 1140, calendar: null, asImported: true, series: { key } });
    await log(gala({ what: 'rehearsal', insteadOf: first[1]?.key, on: addDays(today, 10), minutes: 30 }));
    await log(gala({ what: 'rehearsal', insteadOf: first[2]?.key, on: addDays(today, 16), dropped: true }));
    const shown = async () => (await events()).map(({ on, minutes }) => [on, minutes]);
    expect(await shown()).toEqual([
      [addDays(today, 2), 90],
      [addDays(today, 10), 30],
      [addDays(today, 23), 90],
    ]);
    const correction = await log(gala({ ...every, on: addDays(today, 2), minutes: 100, corrects: key }));
    expect((await shown()).map(([, minutes]) => minutes)).toEqual([100, 30, 100]);
    await takeBack(correction);
    expect((await shown()).map(([, minutes]) => minutes)).toEqual([90, 30, 90]);
    await takeBack(key);
    expect(await events()).toEqual([]);
  });

  test('says its hour and how often it comes in the record, and is refused where it cannot come again', async () => {
    const repeats = { weeks: 2, until: addDays(today, 40) };
    await log(gala({ atMinute: 1170, repeats }));
    for (const over of [{ repeats: { weeks: 9, until: addDays(today, 40) } }, { atMinute: 1440 }, { minutesOf: [{}] }])
      await post('/api/events', gala(over)).expect(400);
    const clash = await post('/api/events', gala({ what: 'holiday', minutes: null, repeats })).expect(400);
    expect(clash.body.errors).toMatchObject([{ field: 'repeats', code: 'event-not-repeated' }]);
  });

  test('put right and then deleted it is gone, and not what it was before', async () => {
    await log(gala());
    const [first] = await events();
    await log(gala({ corrects: first?.key, on: addDays(today, 10) }));
    const [second] = await events();
    await takeBack(second?.key ?? '');
    expect(await events()).toEqual([]);
    // Undo says it anew.
    await log(gala({ on: addDays(today, 10) }));
    expect((await events()).map(({ on }) => on)).toEqual([addDays(today, 10)]);
  });

  test('is nobody else’s: another player sees none of it, and may not have it on an instrument that is not theirs', async () => {
    await log(gala());
    const { body } = await get(`/api/events?playerId=kit&today=${TODAY}`).expect(200);
    expect(body).toEqual([]);
    const { body: refused } = await post('/api/events', gala({ playerId: 'kit' })).expect(400);
    expect(refused.errors).toMatchObject([{ field: 'instrumentIds', code: 'event-on-anothers' }]);
  });

  test.each([
    ['ends before it begins', { what: 'holiday', minutes: null, until: addDays(today, 3) }, 'event-ends-before'],
    ['is a concert of two days', { until: addDays(today, 10) }, 'event-of-one-day'],
    ['is played in no time', { minutes: null }, 'event-without-minutes'],
    ['is a holiday that is played', { what: 'holiday' }, 'event-not-played'],
    ['is on nothing', { instrumentIds: [] }, 'event-of-nothing'],
    ['lies three years ahead', { on: addDays(today, 1100) }, 'event-too-far'],
    ['takes two years', { what: 'travel', minutes: null, until: addDays(today, 700) }, 'event-too-long'],
  ])('that %s is refused, and nothing is written', async (_what, over, code) => {
    const { body } = await post('/api/events', gala(over)).expect(400);
    expect(body.errors).toMatchObject([{ code }]);
    expect(await events()).toEqual([]);
  });
});
