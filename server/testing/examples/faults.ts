import { dayBefore, note, type Post, type TriedKinds } from '#server/testing/examples/example.ts';
import { aKey, NOW, TODAY } from '#server/testing/test-server.ts';

/** Begins an interview of the clarinet, and says its key. */
async function begun(post: Post): Promise<string> {
  const key = aKey();
  await post('/api/faults', { ...note, key, noticed: ['single-reed/squeak'] }).expect(201);
  return key;
}

export const FAULT_EXAMPLES: TriedKinds = {
  interview: {
    make: () => ({
      path: '/api/faults',
      body: { ...note, noticed: ['single-reed/squeak', 'keyed/stuffy'] },
      otherwise: { instrumentId: 'other', noticed: ['keyed/sticky'] },
    }),
    told: [
      [{}, 'Something is wrong: It squeaks; It is stuffy and hard to blow'],
      [{ noticed: ['keyed/sticky'] }, 'Something is wrong: A key sticks, or smacks as it opens'],
    ],
  },
  'interview-answer': {
    make: async (post) => ({
      path: '/api/faults/answers',
      body: {
        interviewKey: await begun(post),
        sign: 'keyed/sticky',
        answer: 'yes',
        noticed: false,
        also: ['keyed/rattle'],
        beside: ['keyed/gurgle', 'keyed/slow-key'],
        now: NOW,
      },
      otherwise: {
        interviewKey: await begun(post),
        sign: 'keyed/gurgle',
        answer: 'no',
        noticed: true,
        also: [],
        beside: ['keyed/slow-key'],
      },
    }),
    told: [[{}, null]],
  },
  'interview-outcome': {
    make: async (post) => ({
      path: '/api/faults/outcomes',
      body: { interviewKey: await begun(post), cause: 'single-reed/back-bulged', helped: false, now: NOW },
      otherwise: { interviewKey: await begun(post), cause: 'single-reed/spent', helped: true },
    }),
    told: [[{}, null]],
  },
  mishap: {
    make: () => ({
      path: '/api/faults/mishaps',
      body: { ...note, mishap: 'knocked', part: 'mouthpiece', happenedOn: TODAY },
      otherwise: { instrumentId: 'other', mishap: 'rain', part: 'barrel', happenedOn: dayBefore },
    }),
    told: [
      [{}, 'It was dropped or knocked: mouthpiece'],
      [{ mishap: 'cold-night', part: null }, 'It spent a night in the cold'],
    ],
  },
  'fault-end': {
    make: async (post) => ({
      path: '/api/faults/ends',
      body: { faultKey: await begun(post), by: 'nobody', now: NOW },
      otherwise: { faultKey: await begun(post), by: 'bench' },
    }),
    told: [[{}, null]],
  },
};
