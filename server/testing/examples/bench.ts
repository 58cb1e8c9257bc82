import { dayBefore, note, type TriedKinds } from '#server/testing/examples/example.ts';
import { NOW, TODAY } from '#server/testing/test-server.ts';

const euros = (minor: number) => ({ minor, currency: 'EUR' });
const rattling = { measure: 'keyed/rattling-keys', place: null, way: 'by-hand', value: 1 };
const latched = { line: 'latched', answer: 'so' };
const fit = { measure: 'corked/fit', place: 'barrel', way: 'by-hand', value: 3 };

export const BENCH_EXAMPLES: TriedKinds = {
  bill: {
    make: () => ({
      path: '/api/costs/bills',
      body: { ...note, sort: 'bill', works: ['service'], what: null, cost: euros(12_000), saidOn: TODAY },
      otherwise: {
        instrumentId: 'other',
        sort: 'quote',
        works: ['pad', 'spring'],
        what: 'As good as new',
        cost: euros(500),
        saidOn: dayBefore,
      },
    }),
    told: [
      [{}, 'A bill: Yearly service, €120.00'],
      [{ sort: 'quote', works: [], what: 'A stand' }, 'A quote: A stand, €120.00'],
    ],
  },
  serial: {
    make: () => ({
      path: '/api/serials',
      body: { ...note, serial: 'AB 1234' },
      otherwise: { instrumentId: 'other', serial: '99' },
    }),
    told: [
      [{}, 'Serial number AB 1234.'],
      [{ serial: null }, 'No serial number.'],
    ],
  },
  saved: {
    make: () => ({
      path: '/api/costs/saved',
      body: { playerId: 'ada', amount: euros(2500), now: NOW },
      otherwise: { playerId: 'bela', amount: euros(2600) },
    }),
    told: [[{}, 'Put aside so far: €25.00.']],
  },
  handover: {
    make: () => ({
      path: '/api/bench/handovers',
      body: { ...note, list: 'out', lines: [latched] },
      otherwise: { instrumentId: 'other', list: 'back', lines: [latched, { line: 'ticket', answer: 'so' }] },
    }),
    told: [
      [{}, 'Packed for the bench: 1 line seen to'],
      [
        { list: 'back', lines: [{ line: 'marks', answer: 'not-so' }] },
        'Fetched from the bench: 1 line seen to, 1 not so',
      ],
    ],
  },
  inspection: {
    make: () => ({
      path: '/api/inspections',
      body: { ...note, readOn: TODAY, by: 'player', readings: [rattling] },
      otherwise: { instrumentId: 'other', readOn: dayBefore, by: 'bench', readings: [fit] },
    }),
    told: [
      [{}, 'Looked over: 1 reading, by the player'],
      [{ by: 'bench', readings: [rattling, fit] }, 'Looked over: 2 readings, by the bench'],
    ],
  },
};
