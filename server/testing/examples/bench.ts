import { dayBefore, note, type TriedKinds } from '#server/testing/examples/example.ts';
import { TODAY } from '#server/testing/test-server.ts';

const rattling = { measure: 'keyed/rattling-keys', place: null, way: 'by-hand', value: 1 };
const fit = { measure: 'corked/fit', place: 'barrel', way: 'by-hand', value: 3 };

export const BENCH_EXAMPLES: TriedKinds = {
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
