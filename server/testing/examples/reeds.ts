import { REED_BOX, reedBox, type Over, type Body, type TriedKinds } from '#server/testing/examples/example.ts';
import { NOW, playBody, TODAY } from '#server/testing/test-server.ts';

const pinOf =
  (minutes: number | null): Over =>
  ({ pins }) => ({ pins: (pins as readonly Body[]).map((pin) => ({ ...pin, minutes })) });

export const REED_EXAMPLES: TriedKinds = {
  'reed-box': {
    make: () => ({
      path: '/api/reeds/boxes',
      body: { ...REED_BOX, now: NOW },
      otherwise: {
        playerId: 'kit',
        kind: 'oboe',
        name: 'Gull Lane',
        cut: 'wide',
        strength: '3',
        material: 'synthetic',
        breakIn: 'none',
        place: 'the lid',
        cost: { minor: 900, currency: 'EUR' },
        cameOn: '2026-11-02',
        before: [0, 0, 0],
      },
    }),
    told: [
      [{}, 'A box of 2 reeds: Fennel 2½.'],
      [{ strength: null, before: [0] }, 'A box of 1 reed: Fennel.'],
    ],
  },
  'reed-play': {
    make: async (post) => {
      const box = await reedBox(post);
      const play = playBody();
      await post('/api/plays', play).expect(201);
      const other = playBody({ endedAtMinute: 900 });
      await post('/api/plays', other).expect(201);
      return {
        path: '/api/reeds/plays',
        body: { now: NOW, playKey: play.key, shares: [{ reedId: `${box}/1`, minutes: 5 }], high: 'none' },
        otherwise: { playKey: other.key, shares: [{ reedId: `${box}/2`, minutes: 5 }], high: 'much' },
      };
    },
    told: [[{}, null]],
  },
  'reed-said': {
    make: async (post) => {
      const box = await reedBox(post);
      return {
        path: '/api/reeds/said',
        body: {
          now: NOW,
          reedId: `${box}/1`,
          what: 'graded',
          feel: 'right',
          goodFor: 'concert',
          signs: [],
          cause: null,
        },
        otherwise: { reedId: `${box}/2`, feel: 'too-soft', goodFor: 'practice', signs: ['squeaks'] },
      };
    },
    told: [
      [{}, 'Fennel 2½, reed 1. It felt right, for concert.'],
      [
        { what: 'ended', feel: null, goodFor: null, cause: 'soft' },
        'Fennel 2½, reed 1. It is soft past use and no longer played.',
      ],
    ],
  },
  'reed-session': {
    make: async (post) => {
      const box = await reedBox(post);
      return {
        path: '/api/reeds/sessions',
        body: { now: NOW, playerId: 'ada', pins: [{ reedId: `${box}/1`, on: TODAY, minutes: 30 }] },
        // Another player has no such reed: what is sent otherwise is refused before it is looked at.
        otherwise: { pins: [{ reedId: `${box}/2`, on: TODAY, minutes: null }] },
      };
    },
    told: [
      [{}, 'Fennel 2½, reed 1: 30 min on Tue 24 Nov.'],
      [pinOf(0), 'Fennel 2½, reed 1: not on Tue 24 Nov.'],
      [pinOf(null), 'Fennel 2½, reed 1: Tue 24 Nov is left to the plan.'],
    ],
  },
};
