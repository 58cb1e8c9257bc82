import { type TriedKinds } from '#server/testing/examples/example.ts';
import { NOW } from '#server/testing/test-server.ts';

export const PLAYER_EXAMPLES: TriedKinds = {
  profile: {
    make: () => ({
      path: '/api/profiles',
      body: { playerId: 'kit', name: 'Kit', standing: 'pupil', does: [], now: NOW },
      otherwise: { playerId: 'ada', name: 'Kitty', standing: 'child', does: ['screws'] },
    }),
    told: [[{}, null]],
  },
  'run-way': {
    make: () => ({
      path: '/api/run-ways',
      body: { playerId: 'kit', way: 'stretches', now: NOW },
      otherwise: { playerId: 'ada', way: 'guided' },
    }),
    told: [[{}, null]],
  },
  minder: {
    make: () => ({
      path: '/api/minders',
      body: { playerId: 'kit', minderId: 'ada', now: NOW },
      otherwise: { minderId: null },
    }),
    told: [[{}, null]],
  },
  settings: {
    make: () => ({
      path: '/api/settings',
      body: { now: NOW, playerId: 'ada', roomCelsius: 18, tuningHertz: 442, currency: 'EUR', reedWish: 'surer' },
      otherwise: { playerId: 'kit', roomCelsius: 22, tuningHertz: null, currency: null, reedWish: 'fewer' },
    }),
    told: [
      [{}, 'The usual room: 18 °C. Tuned to A = 442 Hz. Prices in EUR. For a concert rather more reeds are ready.'],
      [{ roomCelsius: null, tuningHertz: null, currency: null, reedWish: null }, 'The usual room: as most are.'],
    ],
  },
  'air-reading': {
    make: () => ({
      path: '/api/air/readings',
      body: { now: NOW, playerId: 'ada', celsius: 21, humidityPercent: 38 },
      otherwise: { playerId: 'kit', celsius: 22, humidityPercent: 45 },
    }),
    told: [[{}, 'The air: 21 °C, 38 %.']],
  },
};
