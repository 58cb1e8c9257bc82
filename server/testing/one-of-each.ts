import type { RunView } from '#contract/packup.ts';
import { aKey, NOW, playBody, runBody, share, TODAY, WOODEN, type TestServer } from '#server/testing/test-server.ts';

type Body = Record<string, unknown>;

/** One entry of a kind that can be logged, and for each of its fields something else it might have said. */
export type Example = { readonly path: string; readonly body: Body; readonly otherwise: Body };
const note = { instrumentId: 'clarinet', now: NOW };
const dayBefore = '2026-11-23';
const REED_BOX = {
  playerId: 'ada',
  kind: 'clarinet',
  name: 'Fennel',
  cut: null,
  strength: '2½',
  material: 'cane',
  breakIn: 'week',
  place: null,
  cost: null,
  cameOn: '2026-11-01',
  before: [0, 0],
};
async function reedBox(post: Post): Promise<string> {
  const key = aKey();
  await post('/api/reeds/boxes', { ...REED_BOX, key, now: NOW }).expect(201);
  return key;
}
type Post = (path: string, body: object) => ReturnType<ReturnType<TestServer['api']>['post']>;

/** An example of each kind of fact that can be logged, by its kind; what it stands on is logged as it is asked for. */
export const oneOfEach: Readonly<Record<string, (post: Post) => Promise<Example> | Example>> = {
  play: async (post) => {
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
      },
    };
  },
  run: async (post) => {
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
  'run-event': async (post) => {
    const run = (await post('/api/runs', runBody()).expect(201)).body as RunView;
    const [first, second] = run.plan.steps.filter(({ passes }) => passes);
    return {
      path: `/api/runs/${run.key}/events`,
      body: { kind: 'last-pass', stepKey: first?.key, count: 3, found: 'wet' },
      otherwise: { stepKey: second?.key, count: 4, found: 'dry' },
    };
  },
  'last-done': () => ({
    path: '/api/care/last-done',
    body: { ...note, items: [{ itemId: 'swab/wash', doneOn: '2026-11-01', by: 'player' }] },
    otherwise: { items: [{ itemId: 'swab/wash', doneOn: '2026-11-02', by: 'player' }] },
  }),
  care: () => ({
    path: '/api/care',
    body: { ...note, itemId: 'swab/wash', doneOn: dayBefore, by: 'player' },
    otherwise: { instrumentId: 'other', itemId: 'keyed/key-oil', doneOn: '2026-11-20', by: 'bench' },
  }),
  sign: () => ({
    path: '/api/care/signs',
    body: { ...note, itemId: 'keyed/rod-dust', part: 'lower-joint' },
    otherwise: { instrumentId: 'other', itemId: 'swab/wash', part: 'upper-joint' },
  }),
  decision: () => ({
    path: '/api/care/decisions',
    body: { ...note, itemId: 'swab/wash', kind: 'postponed', until: '2026-12-01' },
    otherwise: { instrumentId: 'other', itemId: 'keyed/key-oil', until: '2026-12-02' },
  }),
  'wetness-reset': () => ({
    path: '/api/care/wetness-resets',
    body: { ...note },
    otherwise: { instrumentId: 'other' },
  }),
  method: () => ({
    path: '/api/methods/choices',
    body: { ...note, method: 'swab-wash', choice: 'monthly' },
    otherwise: { instrumentId: 'other', method: 'key-oil', choice: 'weekly' },
  }),
  'method-set': () => {
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
  condition: () => ({
    path: '/api/conditions',
    body: { ...note, condition: 'new-cork', beginsOn: dayBefore, endsOn: null, part: 'barrel', air: null },
    otherwise: {
      instrumentId: 'other',
      condition: 'ill',
      beginsOn: TODAY,
      endsOn: TODAY,
      part: 'upper-joint',
      air: { celsius: 20, humidityPercent: 30 },
    },
  }),
  'condition-end': async (post) => {
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
  build: () => ({
    path: '/api/builds',
    body: { ...note, build: { ...WOODEN, pads: 'leather' } },
    otherwise: { instrumentId: 'other', build: WOODEN },
  }),
  departure: () => ({
    path: '/api/departures',
    body: { ...note, leftOn: TODAY },
    otherwise: { instrumentId: 'other', leftOn: dayBefore },
  }),
  profile: () => ({
    path: '/api/profiles',
    body: { playerId: 'kit', name: 'Kit', standing: 'pupil', does: [], now: NOW },
    otherwise: { playerId: 'ada', name: 'Kitty', standing: 'child', does: ['screws'] },
  }),
  evening: () => {
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
  'run-way': () => ({
    path: '/api/run-ways',
    body: { playerId: 'kit', way: 'stretches', now: NOW },
    otherwise: { playerId: 'ada', way: 'guided' },
  }),
  event: () => ({
    path: '/api/events',
    body: {
      now: NOW,
      playerId: 'ada',
      what: 'concert',
      on: '2026-12-20',
      until: null,
      minutes: 80,
      name: null,
      instrumentIds: ['clarinet'],
    },
    otherwise: { on: '2026-12-21', minutes: 90, name: 'Matinee', instrumentIds: ['other'] },
  }),
  'reed-box': () => ({
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
  'reed-play': async (post) => {
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
  'reed-said': async (post) => {
    const box = await reedBox(post);
    return {
      path: '/api/reeds/said',
      body: { now: NOW, reedId: `${box}/1`, what: 'graded', feel: 'right', goodFor: 'concert', signs: [], cause: null },
      otherwise: { reedId: `${box}/2`, feel: 'too-soft', goodFor: 'practice', signs: ['squeaks'] },
    };
  },
  'reed-session': async (post) => {
    const box = await reedBox(post);
    return {
      path: '/api/reeds/sessions',
      body: { now: NOW, playerId: 'ada', pins: [{ reedId: `${box}/1`, on: TODAY, minutes: 30 }] },
      // Another player has no such reed: what is sent otherwise is refused before it is looked at.
      otherwise: { pins: [{ reedId: `${box}/2`, on: TODAY, minutes: null }] },
    };
  },
  'air-reading': () => ({
    path: '/api/air/readings',
    body: { now: NOW, playerId: 'ada', celsius: 21, humidityPercent: 38 },
    otherwise: { playerId: 'kit', celsius: 22, humidityPercent: 45 },
  }),
  'sitting-time': () => ({
    path: '/api/sittings/times',
    body: { now: NOW, playerId: 'ada', minutes: [0, 20, 0, 20, 0, 45, 0] },
    otherwise: { playerId: 'kit', minutes: [0, 0, 0, 0, 0, 0, 0] },
  }),
  'sitting-move': () => ({
    path: '/api/sittings/moves',
    body: {
      now: NOW,
      playerId: 'ada',
      times: [{ instrumentId: 'trumpet', itemId: 'wind/bench-service', dueOn: TODAY }],
      on: '2026-12-01',
    },
    // Another player has no such instrument: what is sent otherwise is refused before it is looked at.
    otherwise: { times: [{ instrumentId: 'trumpet', itemId: 'wind/bench-service', dueOn: '2026-12-02' }], on: null },
  }),
  'calendar-import': () => ({
    path: '/api/calendar/imports',
    body: {
      now: NOW,
      playerId: 'ada',
      zone: 'UTC',
      fileName: 'band.ics',
      text: 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:gala\nSUMMARY:Gala\nDTSTART;VALUE=DATE:20261220\nEND:VEVENT\nEND:VCALENDAR',
      choices: [{ uid: 'gala', what: 'concert', instrumentIds: ['clarinet'] }],
      dropped: [],
    },
    otherwise: { playerId: 'kit' },
  }),
  'bench-terms': () => ({
    path: '/api/bench/terms',
    body: {
      now: NOW,
      playerId: 'ada',
      name: 'Quayside Winds',
      phone: null,
      workingDays: 5,
      shippingDays: 1,
      settlingDays: 3,
    },
    otherwise: { playerId: 'kit', name: null, phone: '12 34', workingDays: 6, shippingDays: 0, settlingDays: 2 },
  }),
  minder: () => ({
    path: '/api/minders',
    body: { playerId: 'kit', minderId: 'ada', now: NOW },
    otherwise: { minderId: null },
  }),
};
