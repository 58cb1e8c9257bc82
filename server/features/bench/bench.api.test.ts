import { describe, expect, test } from '@jest/globals';
import { addDays } from '#core/time/local-date.ts';
import { ticketView, yearView } from '#contract/bench.ts';
import { furnished } from '#server/testing/furnished.ts';
import { TODAY } from '#server/testing/test-server.ts';

const { server, today, post } = furnished();

const ticket = async (id = 'trumpet') => {
  const { body } = await server().api().get(`/api/bench/${id}/ticket?today=${TODAY}`).expect(200);
  return ticketView.validateSync(body, { strict: true });
};
const year = async (id = 'trumpet') => {
  const { body } = await server().api().get(`/api/bench/${id}/year?today=${TODAY}`).expect(200);
  return yearView.validateSync(body, { strict: true });
};
const looked = { instrumentId: 'trumpet', readOn: TODAY, by: 'player' };

describe('on paper', () => {
  test('the ticket says what is due, what was measured, what was noticed and the number stamped on it', async () => {
    await post('/api/serials', { instrumentId: 'trumpet', serial: '123 456' }).expect(201);
    const readings = [{ measure: 'brass/slide-pull', place: 'main-slide', way: 'by-hand', value: 5 }];
    await post('/api/inspections', { ...looked, readings }).expect(201);
    await post('/api/faults', { instrumentId: 'trumpet', noticed: ['piston/slow'] }).expect(201);
    const said = await ticket();
    expect(said.serial).toBe('123 456');
    expect(said.wanted.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['A slide freed: tuning slide', 'Bench service']),
    );
    expect(said.readings[0]?.name).toMatch(
      /^Pull of the slide: tuning slide: 5 of 5, stuck: force nothing, by hand, by the player on /,
    );
    expect(said.note.join(' ')).toContain('noticed on');
    expect(said.packing.length).toBeGreaterThan(5);
    expect(said.asText).toContain('Serial number: 123 456.');
    await post('/api/serials', { instrumentId: 'trumpet', serial: null }).expect(201);
    expect((await ticket()).serial).toBeNull();
  });

  test('the year sums up plays, stays and bills of twelve months, and says what is to come', async () => {
    const cost = { minor: 5000, currency: 'EUR' };
    const stay = { done: [{ instrumentId: 'trumpet', itemIds: ['wind/bench-service'], works: ['valve-fit'] }], cost };
    const event = { playerId: 'ada', what: 'bench', minutes: null, name: null, instrumentIds: ['trumpet'] };
    await post('/api/events', { ...event, on: addDays(today, -30), until: addDays(today, -20), stay }).expect(201);
    await post('/api/events', { ...event, on: addDays(today, -430), until: addDays(today, -420), stay }).expect(201);
    const bill = {
      instrumentId: 'trumpet',
      sort: 'bill',
      works: ['service'],
      what: null,
      cost,
      saidOn: addDays(today, -3),
    };
    await post('/api/costs/bills', bill).expect(201);
    const stand = { ...bill, works: [], what: 'A stand', cost: { minor: 700, currency: 'EUR' } };
    await post('/api/costs/bills', stand).expect(201);
    const said = await year();
    expect(said.stays).toMatchObject([{ text: 'Done there: bench service and a valve fitted. €50.00.' }]);
    expect(said.bills).toHaveLength(2);
    // The bill of the service is that of the stay: what was paid once counts once.
    expect(said.sums.join(' ')).toContain('€57.00 in the last twelve months');
    expect(said.coming.length).toBeGreaterThan(0);
  });

  test('of what is not on the shelf there is none', async () => {
    await server().api().get(`/api/bench/nobody/ticket?today=${TODAY}`).expect(404);
    await server().api().get(`/api/bench/nobody/year?today=${TODAY}`).expect(404);
    await post('/api/serials', { instrumentId: 'nobody', serial: '1' }).expect(404);
  });
});
