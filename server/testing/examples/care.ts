import { note, dayBefore, type TriedKinds } from '#server/testing/examples/example.ts';
import { aKey, NOW, TODAY, WOODEN } from '#server/testing/test-server.ts';

export const CARE_EXAMPLES: TriedKinds = {
  'last-done': {
    make: () => ({
      path: '/api/care/last-done',
      body: { ...note, items: [{ itemId: 'swab/wash', doneOn: '2026-11-01', by: 'player' }] },
      otherwise: { items: [{ itemId: 'swab/wash', doneOn: '2026-11-02', by: 'player' }] },
    }),
    told: [[{}, 'Last done, as remembered: wash the swab']],
  },
  care: {
    make: () => ({
      path: '/api/care',
      body: { ...note, itemId: 'swab/wash', doneOn: dayBefore, by: 'player' },
      otherwise: { instrumentId: 'other', itemId: 'keyed/key-oil', doneOn: '2026-11-20', by: 'bench' },
    }),
    told: [
      [{}, 'Wash the swab'],
      [{ itemId: 'keyed/key-oil', by: 'bench' }, 'Oil the keys, by the bench'],
    ],
  },
  sign: {
    make: () => ({
      path: '/api/care/signs',
      body: { ...note, itemId: 'keyed/bench-work', sign: 'keyed/pad-gone', part: 'lower-joint' },
      otherwise: { instrumentId: 'other', itemId: 'swab/wash', sign: 'keyed/screw-proud', part: 'upper-joint' },
    }),
    told: [
      [{}, 'Noticed: a pad that is loose or missing'],
      [{ itemId: 'keyed/rod-dust', sign: 'keyed/rod-dust' }, 'Noticed: dust under the rods'],
    ],
  },
  decision: {
    make: () => ({
      path: '/api/care/decisions',
      body: { ...note, itemId: 'swab/wash', kind: 'postponed', until: '2026-12-01' },
      otherwise: { instrumentId: 'other', itemId: 'keyed/key-oil', until: '2026-12-02' },
    }),
    told: [
      [{}, 'Wash the swab: let wait until 1 December 2026'],
      [{ kind: 'declined', until: null }, 'Wash the swab: not done here'],
    ],
  },
  'wetness-reset': {
    make: () => ({
      path: '/api/care/wetness-resets',
      body: { ...note },
      otherwise: { instrumentId: 'other' },
    }),
    told: [[{}, null]],
  },
  method: {
    make: () => ({
      path: '/api/methods/choices',
      body: { ...note, method: 'swab-wash', choice: 'monthly' },
      otherwise: { instrumentId: 'other', method: 'key-oil', choice: 'weekly' },
    }),
    told: [[{}, 'How often is the swab washed? monthly, at the very latest']],
  },
  'method-set': {
    make: () => {
      const set = {
        format: 'ulu-method-set',
        version: 2,
        name: 'Odile’s way',
        kind: 'clarinet',
        choices: { 'swab-wash': 'monthly' },
      };
      return {
        path: '/api/methods/sets',
        body: { ...note, set },
        otherwise: { instrumentId: 'other', set: { ...set, choices: { 'swab-wash': 'weekly' } } },
      };
    },
    told: [[{}, 'Choices taken from “Odile’s way”']],
  },
  condition: {
    make: () => ({
      path: '/api/conditions',
      body: { ...note, condition: 'new-cork', beginsOn: dayBefore, endsOn: null, part: 'barrel', air: null },
      otherwise: {
        instrumentId: 'other',
        condition: 'ill',
        beginsOn: TODAY,
        endsOn: TODAY,
        part: 'upper-joint',
        alone: 'mouthpiece-and-barrel',
        air: { celsius: 20, humidityPercent: 30 },
      },
    }),
    told: [
      [{}, 'New cork'],
      [{ condition: 'ill', part: null }, 'Ill'],
      [{ condition: 'in-parts', part: null, alone: 'mouthpiece-and-barrel' }, 'Only part of it is played'],
      [{ condition: 'dry-air', part: null, air: { celsius: 20, humidityPercent: 30 } }, 'Dry air'],
    ],
  },
  'condition-end': {
    make: async (post) => {
      const body = { key: aKey(), ...note, condition: 'ill', beginsOn: dayBefore, endsOn: null, part: null, air: null };
      const again = { ...body, key: aKey() };
      await post('/api/conditions', body).expect(201);
      await post('/api/conditions', again).expect(201);
      return {
        path: '/api/conditions/ends',
        body: { conditionKey: body.key, endsOn: dayBefore, now: NOW },
        otherwise: { conditionKey: again.key, endsOn: TODAY },
      };
    },
    told: [[{}, null]],
  },
  build: {
    make: () => ({
      path: '/api/builds',
      body: { ...note, build: { ...WOODEN, pads: 'leather' } },
      otherwise: { instrumentId: 'other', build: WOODEN },
    }),
    told: [[{}, 'Built from now on: wood, cork, leather, hard rubber']],
  },
  departure: {
    make: () => ({
      path: '/api/departures',
      body: { ...note, leftOn: TODAY },
      otherwise: { instrumentId: 'other', leftOn: dayBefore },
    }),
    told: [[{}, 'Left the shelf on 24 November 2026']],
  },
};
