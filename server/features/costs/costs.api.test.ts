import { describe, expect, test } from '@jest/globals';
import { addDays } from '#core/time/local-date.ts';
import { costsView } from '#contract/costs.ts';
import { furnished } from '#server/testing/furnished.ts';
import { aKey, TODAY } from '#server/testing/test-server.ts';

const { server, today, post, takeBack } = furnished();

const costs = async () => {
  const { body } = await server().api().get(`/api/costs?playerId=ada&today=${TODAY}`).expect(200);
  return costsView.validateSync(body, { strict: true });
};
const of = async (instrumentId: string) => (await costs()).instruments.find((one) => one.instrumentId === instrumentId);
const bill = (over: object = {}) => ({
  instrumentId: 'trumpet',
  sort: 'bill',
  works: ['service'],
  what: null,
  cost: { minor: 9000, currency: 'EUR' },
  saidOn: addDays(today, -30),
  ...over,
});

describe('what instruments cost', () => {
  test('without a price nothing is said; one price fills the rest, and says so', async () => {
    expect(await costs()).toMatchObject({ currency: null, plan: null, coming: [], saved: null });
    await post('/api/costs/bills', bill()).expect(201);
    const { currency, plan, coming } = await costs();
    expect(currency).toBe('EUR');
    // The trumpet's service is overdue: what was paid for it is taken, and the way there is reckoned from it.
    expect(coming[0]).toMatchObject({ instrumentId: 'trumpet', least: 9000 + 4500, most: 9000 + 4500, isSaid: true });
    expect(plan?.because.map(({ rule }) => rule)).toEqual(expect.arrayContaining(['upper-end', 'interest']));
    expect(plan?.months[0]).toMatchObject({ from: `${TODAY.slice(0, 7)}-01` });
    for (const { left } of plan?.months ?? []) expect(left).toBeGreaterThanOrEqual(0);
  });

  test('bills by year and kind, a stay shared by those that were there, reeds by the minutes', async () => {
    const year = Number(TODAY.slice(0, 4));
    await post('/api/costs/bills', bill({ works: ['dent'], cost: { minor: 4000, currency: 'EUR' } })).expect(201);
    await post('/api/costs/bills', bill({ works: [], what: 'A stand', cost: { minor: 700, currency: 'EUR' } })).expect(
      201,
    );
    await post('/api/costs/bills', bill({ sort: 'quote', works: ['valve-fit'] })).expect(201);
    const stay = {
      done: [{ instrumentId: 'trumpet', itemIds: ['wind/bench-service'] }],
      cost: { minor: 5001, currency: 'EUR' },
    };
    const event = {
      playerId: 'ada',
      what: 'bench',
      on: addDays(today, -9),
      until: addDays(today, -2),
      minutes: null,
      name: null,
    };
    await post('/api/events', { ...event, instrumentIds: ['trumpet', 'clarinet'], stay }).expect(201);
    const trumpet = await of('trumpet');
    expect(trumpet?.years.at(-1)).toMatchObject({ year, service: 2501, repair: 4000, things: 700, sum: 7201 });
    expect((await of('clarinet'))?.years.at(-1)).toMatchObject({ repair: 2500 });
    expect(trumpet?.bills.map(({ words }) => words)).toEqual(
      expect.arrayContaining(['A bill: A stand, €7.00', 'A quote: A valve fitted, €90.00']),
    );
    expect(trumpet?.words).toMatch(/^It has cost €72\.01 in the last twelve months/);
  });

  test('what is put aside lowers what is to be put aside; the last word counts, and is taken back', async () => {
    await post('/api/costs/bills', bill()).expect(201);
    await post('/api/costs/bills', bill({ instrumentId: 'clarinet' })).expect(201);
    const before = (await costs()).plan;
    const key = aKey();
    const amount = { minor: 500_000, currency: 'EUR' };
    await post('/api/costs/saved', { playerId: 'ada', amount, key }).expect(201);
    expect(await costs()).toMatchObject({ saved: { minor: 500_000 }, plan: { deposit: 0, short: 0 } });
    await takeBack(key);
    expect(await costs()).toMatchObject({ saved: null, plan: { deposit: before?.deposit, short: before?.short } });
  });

  test('one currency for all of it: a bill in another is refused, put right it may change where it is the only price', async () => {
    const key = aKey();
    await post('/api/costs/bills', bill({ key })).expect(201);
    const other = bill({ cost: { minor: 1, currency: 'CHF' } });
    expect((await post('/api/costs/bills', other).expect(400)).body.errors).toMatchObject([
      { code: 'another-currency' },
    ]);
    await post('/api/costs/bills', { ...other, corrects: key }).expect(201);
    expect((await costs()).currency).toBe('CHF');
    const saved = { playerId: 'ada', amount: { minor: 1, currency: 'EUR' } };
    await post('/api/costs/saved', saved).expect(400);
  });

  test.each([
    ['of nothing', { works: [], what: null }, 400],
    ['from tomorrow', { saidOn: addDays(today, 1) }, 400],
    ['of a fraction of a coin', { cost: { minor: 0.5, currency: 'EUR' } }, 400],
    ['below nothing', { cost: { minor: -1, currency: 'EUR' } }, 400],
    ['in no currency', { cost: { minor: 1, currency: 'QQQ' } }, 400],
    ['of work nobody does', { works: ['magic'] }, 400],
    ['of no instrument', { instrumentId: 'nobody' }, 404],
  ])('a bill %s is refused', async (_, over, status) => {
    await post('/api/costs/bills', bill(over)).expect(status);
  });

  test('is asked of somebody', async () => {
    await server().api().get(`/api/costs?playerId=nobody&today=${TODAY}`).expect(404);
  });

  test('a stay says what its work costs next; a bill of the same days counts once; what was paid since is said', async () => {
    const stay = {
      done: [{ instrumentId: 'trumpet', itemIds: ['wind/bench-service'] }],
      cost: { minor: 8000, currency: 'EUR' },
    };
    const days = { on: addDays(today, -9), until: addDays(today, -2) };
    const event = { playerId: 'ada', what: 'bench', minutes: null, name: null, instrumentIds: ['trumpet'] };
    await post('/api/events', { ...event, ...days, stay }).expect(201);
    const yearOf = async () => (await of('trumpet'))?.years.at(-1);
    expect(await yearOf()).toMatchObject({ service: 8000, sum: 8000 });
    const served = (await costs()).coming.find(({ instrumentId }) => instrumentId === 'trumpet');
    expect(served).toMatchObject({ isSaid: true });
    await post('/api/costs/saved', { playerId: 'ada', amount: { minor: 20_000, currency: 'EUR' } }).expect(201);
    expect((await costs()).plan?.words).not.toMatch(/Since then/);
    await post('/api/costs/bills', bill({ saidOn: addDays(today, -1), cost: { minor: 8200, currency: 'EUR' } })).expect(
      201,
    );
    expect(await yearOf()).toMatchObject({ service: 8200, sum: 8200 });
  });
});
