import { REED_BOX, type Post, type TriedKinds } from '#server/testing/examples/example.ts';
import { aKey, NOW, TODAY } from '#server/testing/test-server.ts';

/** What a box of three oboe reeds says. */
export const OBOE_BOX = {
  ...REED_BOX,
  kind: 'oboe',
  name: 'Gull Lane',
  strength: null,
  breakIn: 'none',
  scrape: 'long',
  before: [0, 0, null],
};

/** Logs a box of oboe reeds, and says its key. */
export async function oboeBox(post: Post, over: object = {}): Promise<string> {
  const key = aKey();
  await post('/api/reeds/boxes', { ...OBOE_BOX, ...over, key, now: NOW }).expect(201);
  return key;
}

/** Adds an oboe, and says which. */
export async function anOboe(post: Post): Promise<string> {
  const build = { body: 'wood', tenons: 'cork', pads: 'skin', swabTail: 'two-cords', scrape: 'unknown' };
  const added = {
    id: 'an-oboe',
    playerId: 'ada',
    name: 'Oboe',
    kind: 'oboe',
    build,
    acquiredOn: '2026-01-01',
    cameNew: true,
    today: TODAY,
  };
  await post('/api/instruments', added).expect(201);
  return added.id;
}

/** Lays a reed on the table that has been soaked for ten minutes, and says the key of its examination. */
export async function onTable(post: Post, reedId: string, over: object = {}): Promise<string> {
  const key = aKey();
  const body = { key, now: NOW, reedId, way: 'whole', noticed: [], soakedMinutes: 10, interviewKey: null, ...over };
  await post('/api/doublereeds/examinations', body).expect(201);
  return key;
}
const LOOKED = [
  ['soak', 'through'],
  ['light', 'whole'],
  ['corners', 'there'],
  ['heart', 'seen'],
  ['offset', 'nested'],
  ['opening', 'lens'],
] as const;
/** Says that it is soaked and looks as it should. */
export async function lookedAt(post: Post, examinationKey: string): Promise<void> {
  for (const [look, answer] of LOOKED)
    await post('/api/doublereeds/looks', { key: aKey(), now: NOW, examinationKey, look, answer }).expect(201);
}
/** It crows so far off. */
export const crowed = (post: Post, examinationKey: string, cents: number) =>
  post('/api/doublereeds/crows', { key: aKey(), now: NOW, examinationKey, heard: 'both', cents, from: 'crow' });

export const DOUBLEREED_EXAMPLES: TriedKinds = {
  'reed-examination': {
    make: async (post) => {
      const box = await oboeBox(post);
      return {
        path: '/api/doublereeds/examinations',
        body: { now: NOW, reedId: `${box}/1`, way: 'whole', noticed: ['flat'], soakedMinutes: 0, interviewKey: null },
        otherwise: { reedId: `${box}/2`, way: 'quick', noticed: [], soakedMinutes: 5, interviewKey: aKey() },
      };
    },
    told: [
      [{}, 'Gull Lane, reed 1. Looked at at the table.'],
      [{ way: 'quick' }, 'Gull Lane, reed 1. Looked at quickly, beside others.'],
    ],
  },
  'reed-look': {
    make: async (post) => {
      const box = await oboeBox(post);
      return {
        path: '/api/doublereeds/looks',
        body: { now: NOW, examinationKey: await onTable(post, `${box}/1`), look: 'soak', answer: 'through' },
        otherwise: { examinationKey: await onTable(post, `${box}/2`), look: 'light', answer: 'in' },
      };
    },
    told: [[{}, null]],
  },
  'reed-crow': {
    make: async (post) => {
      const box = await oboeBox(post);
      const examinationKey = await onTable(post, `${box}/1`);
      await lookedAt(post, examinationKey);
      return {
        path: '/api/doublereeds/crows',
        body: { now: NOW, examinationKey, heard: 'both', cents: -20, from: 'crow' },
        otherwise: {
          examinationKey: await onTable(post, `${box}/2`),
          heard: 'rough',
          cents: null,
          from: 'instrument',
        },
      };
    },
    told: [[{}, null]],
  },
  'reed-step': {
    make: async (post) => {
      const box = await oboeBox(post);
      const examinationKey = await onTable(post, `${box}/1`);
      await lookedAt(post, examinationKey);
      await crowed(post, examinationKey, -30).expect(201);
      return {
        path: '/api/doublereeds/steps',
        body: { now: NOW, examinationKey, step: 'clip', tenths: 1 },
        otherwise: { examinationKey: await onTable(post, `${box}/2`), step: 'open', tenths: 2 },
      };
    },
    told: [[{}, null]],
  },
};
