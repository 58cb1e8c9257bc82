import { describe, expect, test } from '@jest/globals';
import { addDays } from '#core/time/local-date.ts';
import { benchView, regionList } from '#contract/bench.ts';
import { furnished } from '#server/testing/furnished.ts';
import { aKey, TODAY } from '#server/testing/test-server.ts';

const { server, today, post, takeBack } = furnished();

const bench = async () => {
  const { body } = await server().api().get(`/api/bench?playerId=ada&today=${TODAY}`).expect(200);
  return benchView.validateSync(body, { strict: true });
};
const event = (over: object) => ({
  playerId: 'ada',
  what: 'bench',
  on: TODAY,
  until: null,
  minutes: null,
  name: null,
  instrumentIds: ['trumpet'],
  ...over,
});
const terms = {
  playerId: 'ada',
  name: 'Quayside Winds',
  phone: '01 23',
  workingDays: 5,
  shippingDays: 0,
  settlingDays: 3,
};

describe('when an instrument should go to the bench', () => {
  test('one that is overdue goes at once, what else is due with it, and the reasons say how long it takes', async () => {
    const { instruments, unknown, terms: taken } = await bench();
    expect(taken).toMatchObject({ workingDays: 10, said: false });
    expect(instruments).toMatchObject([{ instrumentId: 'trumpet', isDue: true, jobs: [{ work: 'service' }] }]);
    expect(instruments[0]?.days[0]).toMatchObject({ on: TODAY });
    expect(instruments[0]?.headline).toMatch(/^It is due. Take it there on /);
    expect(instruments[0]?.because.map(({ text }) => text).join(' ')).toMatch(/10 working days at the bench, 2 days/);
    // Nobody knows anything of the clarinet.
    expect(unknown).toMatchObject([{ instrumentId: 'clarinet' }]);
  });

  test('a concert puts it off until after it, by the figures of one’s own bench', async () => {
    await post('/api/bench/terms', terms).expect(201);
    const concert = { what: 'concert', on: addDays(today, 6), minutes: 60 };
    await post('/api/events', event(concert)).expect(201);
    const { instruments, terms: taken } = await bench();
    expect(taken).toEqual({
      name: 'Quayside Winds',
      phone: '01 23',
      workingDays: 5,
      shippingDays: 0,
      settlingDays: 3,
      region: null,
      noShippingMonths: [],
      said: true,
    });
    // The concert is on a Monday.
    expect(instruments[0]?.days[0]?.on).toBe(addDays(today, 7));
    expect(instruments[0]?.because.find(({ rule }) => rule === 'audience')?.text).toContain('A concert');
    expect(instruments[0]?.because.find(({ rule }) => rule === 'terms')?.mark).toBe('yours');
  });

  test('the public holidays of the region that is said make a stay longer, and are named', async () => {
    // Twenty-five working days from late November on reach beyond Christmas.
    const long = { ...terms, workingDays: 25 };
    await post('/api/bench/terms', long).expect(201);
    const [before] = (await bench()).instruments;
    await post('/api/bench/terms', { ...long, region: 'DE-BY' }).expect(201);
    const { instruments, terms: taken } = await bench();
    expect(taken.region).toBe('DE-BY');
    expect((instruments[0]?.days[0]?.back ?? '') > (before?.days[0]?.back ?? '')).toBe(true);
    expect(instruments[0]?.because.find(({ rule }) => rule === 'shut')?.text).toContain('25 December 2026 (');
    expect(before?.because.find(({ rule }) => rule === 'shut')).toBeUndefined();
    await post('/api/bench/terms', { ...terms, region: 'QQ' }).expect(400);
    const { body } = await server().api().get('/api/bench/regions').expect(200);
    expect(regionList.validateSync(body, { strict: true }).length).toBeGreaterThan(100);
  });

  test('where the line of a slide goes moves the day, a stuck one asks at once, and what was freed asks no more', async () => {
    // Serviced lately, so that only what is read asks for the bench.
    const service = [{ instrumentId: 'trumpet', itemIds: ['wind/bench-service'] }];
    await post(
      '/api/events',
      event({ on: addDays(today, -300), until: addDays(today, -290), stay: { done: service, cost: null } }),
    ).expect(201);
    await server().api().get(`/api/inspections/trumpet?today=${TODAY}`).expect(200);
    const pulled = (daysAgo: number, value: number) =>
      post('/api/inspections', {
        instrumentId: 'trumpet',
        readOn: addDays(today, -daysAgo),
        by: 'player',
        readings: [{ measure: 'brass/slide-pull', place: 'main-slide', way: 'by-hand', value }],
      }).expect(201);
    const of = async () => (await bench()).instruments.find(({ instrumentId }) => instrumentId === 'trumpet');
    const before = await of();
    for (const [daysAgo, value] of [
      [240, 1],
      [180, 2],
      [120, 3],
      [60, 3],
      [5, 4],
    ] as const)
      await pulled(daysAgo, value);
    const heading = await of();
    expect(heading?.jobs.map(({ work }) => work)).toContain('slide-freed');
    expect(heading?.days[0]?.on).not.toBe(before?.days[0]?.on);
    expect(heading?.because.find(({ rule }) => rule === 'read')?.text).toMatch(/4 of 5, heavy, read on .* It rises/);
    await pulled(1, 5);
    expect((await of())?.because.find(({ rule }) => rule === 'read')?.text).toContain('That is work for the bench.');
    expect((await of())?.isDue).toBe(true);
    const freed = [{ instrumentId: 'trumpet', itemIds: [], works: ['slide-freed'] }];
    await post('/api/events', event({ on: TODAY, stay: { done: freed, cost: null } })).expect(201);
    expect((await of())?.jobs.map(({ work }) => work) ?? []).not.toContain('slide-freed');
    const { body } = await server().api().get('/api/record/trumpet?limit=10').expect(200);
    expect(JSON.stringify(body)).toContain('Done there: a slide freed.');
  });

  test('one that is stopped until the bench has looked asks for the bench', async () => {
    const service = [{ instrumentId: 'clarinet', itemIds: ['wind/bench-service'] }];
    const stay = (from: number, to: number) =>
      event({
        ...{ instrumentIds: ['clarinet'], on: addDays(today, from), until: addDays(today, to) },
        stay: { done: service, cost: null },
      });
    await post('/api/events', stay(-100, -90)).expect(201);
    const works = async () =>
      (await bench()).instruments
        .find(({ instrumentId }) => instrumentId === 'clarinet')
        ?.jobs.map(({ name }) => name) ?? [];
    expect(await works()).toEqual([]);
    const key = aKey();
    const yes = { interviewKey: key, sign: 'wooden/line', answer: 'yes', noticed: true };
    await post('/api/faults', { instrumentId: 'clarinet', noticed: ['wooden/pop'], key }).expect(201);
    await post('/api/faults/answers', yes).expect(201);
    expect(await works()).toContain('Looked at by the bench');
  });

  test('one that has been there is not proposed again before somebody says what came of it', async () => {
    await post('/api/events', event({ on: addDays(today, -19), until: addDays(today, -5) })).expect(201);
    const { instruments, stays } = await bench();
    expect([instruments, stays.length]).toEqual([[], 1]);
  });

  test('once it has its days it is asked what came of them; what was done there moves its clocks, and is undone', async () => {
    const key = aKey();
    const stay = event({ on: addDays(today, -9), until: addDays(today, 1) });
    await post('/api/events', { ...stay, key }).expect(201);
    const away = await bench();
    expect(away.instruments).toEqual([]);
    expect(away.stays).toMatchObject([{ key, instruments: [{ instrumentId: 'trumpet' }] }]);
    // What calls for the bench comes first of what it may have done.
    expect(away.stays[0]?.instruments[0]?.items[0]).toEqual({ itemId: 'wind/bench-service', name: 'Bench service' });
    const done = [{ instrumentId: 'trumpet', itemIds: ['wind/bench-service'] }];
    const cost = { minor: 12_000, currency: 'EUR' };
    const back = { ...stay, corrects: key, until: TODAY, stay: { done, cost } };
    await post('/api/events', { ...back, until: addDays(today, 1) }).expect(400);
    const correction = aKey();
    await post('/api/events', { ...back, key: correction }).expect(201);
    expect(await bench()).toMatchObject({ stays: [], instruments: [] });
    const serviced = () =>
      server()
        .services()
        .readings.of('trumpet')
        ?.situation(today)
        .care.clocks.find(({ item }) => item.id === 'wind/bench-service');
    expect(serviced()).toMatchObject({ state: 'fresh', lastDone: { on: TODAY, by: 'bench' } });
    await takeBack(correction);
    expect(serviced()).toMatchObject({ state: 'overdue', lastDone: null });
    expect((await bench()).stays).toHaveLength(1);
  });

  test('what a stay cost makes the currency of the record, as the price of a box of reeds does', async () => {
    const key = aKey();
    const paid = (currency: string, over: object = {}) =>
      post('/api/events', event({ stay: { done: [], cost: { minor: 500, currency } }, ...over }));
    await paid('CHF', { key }).expect(201);
    expect((await bench()).currency).toBe('CHF');
    const other = await paid('EUR').expect(400);
    expect(other.body.errors).toMatchObject([{ field: 'stay.cost', code: 'another-currency' }]);
    // The only price there is may be put right in another currency.
    await paid('EUR', { corrects: key }).expect(201);
    const box = { playerId: 'ada', kind: 'clarinet', name: 'Fennel', cut: null, strength: '2', material: 'cane' };
    const rest = { breakIn: 'week', place: null, cameOn: TODAY, before: [0] };
    const priced = (currency: string) => post('/api/reeds/boxes', { ...box, ...rest, cost: { minor: 9, currency } });
    const refused = await priced('CHF').expect(400);
    expect(refused.body.errors).toMatchObject([{ field: 'cost.currency', code: 'another-currency' }]);
    await priced('EUR').expect(201);
  });

  test.each<[string, object]>([
    ['of a concert', { what: 'concert', minutes: 60, stay: { done: [], cost: null } }],
    [
      'on an instrument that was not there',
      { stay: { done: [{ instrumentId: 'clarinet', itemIds: [] }], cost: null } },
    ],
    ['of care it has not', { stay: { done: [{ instrumentId: 'trumpet', itemIds: ['reed/none'] }], cost: null } }],
    ['in no currency', { stay: { done: [], cost: { minor: 5, currency: 'QQQ' } } }],
  ])('work %s is refused', async (_, over) => {
    await post('/api/events', event(over)).expect(400);
  });

  test('is asked of somebody, and a bench takes its time', async () => {
    await server().api().get(`/api/bench?playerId=nobody&today=${TODAY}`).expect(404);
    await post('/api/bench/terms', { ...terms, workingDays: 500 }).expect(400);
    await post('/api/bench/terms', { ...terms, playerId: 'nobody' }).expect(404);
  });
});
