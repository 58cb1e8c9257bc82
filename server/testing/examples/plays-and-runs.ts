import type { RunView } from '#contract/packup.ts';
import { dayBefore, reedBox, type TriedKinds } from '#server/testing/examples/example.ts';
import { aKey, NOW, playBody, runBody, share, TODAY } from '#server/testing/test-server.ts';

export const PLAY_AND_RUN_EXAMPLES: TriedKinds = {
  play: {
    make: async (post) => {
      const box = await reedBox(post);
      const reeds = (number: number) => ({ shares: [{ reedId: `${box}/${number}`, minutes: 20 }], high: 'none' });
      return {
        path: '/api/plays',
        body: { ...playBody(), reeds: reeds(1), key: undefined },
        otherwise: {
          reeds: reeds(2),
          instrumentId: 'other',
          playerId: 'kit',
          endedOn: dayBefore,
          endedAtMinute: 1100,
          minutes: 46,
          roomCelsius: 10,
          alone: 'mouthpiece-and-barrel',
        },
      };
    },
    told: [
      [{}, 'Played 45 min'],
      [{ minutes: 60, roomCelsius: 8 }, 'Played 1 h at about 8 °C'],
      [{ alone: 'mouthpiece-and-barrel' }, 'Played 45 min, only the mouthpiece and barrel'],
    ],
  },
  run: {
    make: async (post) => {
      const play = playBody();
      await post('/api/plays', play).expect(201);
      const otherPlay = playBody({ endedAtMinute: 900 });
      await post('/api/plays', otherPlay).expect(201);
      return {
        path: '/api/runs',
        body: { ...runBody({ parts: [share({ playKey: play.key, itemIds: ['swab/wash'] })] }), key: undefined },
        otherwise: {
          playerId: 'kit',
          kind: 'care',
          minutesAtHand: 7,
          parts: [share({ playKey: otherPlay.key, itemIds: ['swab/wash'] })],
        },
      };
    },
    told: [
      [{}, 'Packing up begun, not finished'],
      [
        { kind: 'care', parts: [{ instrumentId: 'clarinet', playKey: null, itemIds: ['swab/wash'] }] },
        'Care begun, not finished',
      ],
    ],
  },
  'run-event': {
    make: async (post) => {
      const run = (await post('/api/runs', runBody()).expect(201)).body as RunView;
      const [first, second] = run.plan.steps.filter(({ passes }) => passes);
      return {
        path: `/api/runs/${run.key}/events`,
        body: { kind: 'last-pass', stepKey: first?.key, count: 3, found: 'wet' },
        otherwise: { stepKey: second?.key, count: 4, found: 'dry' },
      };
    },
    told: [[{}, null]],
  },
  evening: {
    make: () => {
      const plays = [{ key: aKey(), instrumentId: 'other', minutes: 30 }];
      return {
        path: '/api/evenings',
        body: { playerId: 'ada', endedOn: TODAY, endedAtMinute: 600, roomCelsius: null, plays, now: NOW },
        otherwise: {
          playerId: 'kit',
          endedOn: dayBefore,
          endedAtMinute: 601,
          roomCelsius: 12,
          plays: [{ key: aKey(), instrumentId: 'other', minutes: 31 }],
        },
      };
    },
    told: [[{}, null]],
  },
};
