import { expect, test } from '@jest/globals';
import type { RecordView } from '#contract/record.ts';
import { saidAgain } from '#contract/fact.ts';
import { DECLARED } from '#contract/facts.ts';
import { FACTS } from '#server/facts.ts';
import { furnished } from '#server/testing/furnished.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';
import { aKey, TODAY, WOODEN } from '#server/testing/test-server.ts';

type Body = Record<string, unknown>;
/** What is said otherwise of the example of its kind; where it stands on the example, of that. */
type Over = Body | ((body: Body) => Body);

const STAY = { what: 'bench', on: '2026-11-20', until: '2026-11-23', minutes: null };
const done = (...itemIds: string[]) => ({ done: [{ instrumentId: 'clarinet', itemIds }], cost: null });
const pinOf =
  (minutes: number | null): Over =>
  ({ pins }) => ({ pins: (pins as readonly Body[]).map((pin) => ({ ...pin, minutes })) });

/**
 * What an entry says in the record of the clarinet it is about, or whose player it is about. Null: it has no line of its
 * own there.
 */
const TOLD: Readonly<Record<string, readonly (readonly [over: Over, words: string | null])[]>> = {
  play: [
    [{}, 'Played 45 min'],
    [{ minutes: 60, roomCelsius: 8 }, 'Played 1 h at about 8 °C'],
  ],
  run: [
    [{}, 'Packing up begun, not finished'],
    [
      { kind: 'care', parts: [{ instrumentId: 'clarinet', playKey: null, itemIds: ['swab/wash'] }] },
      'Care begun, not finished',
    ],
  ],
  'run-event': [[{}, null]],
  'last-done': [[{}, 'Last done, as remembered: wash the swab']],
  care: [
    [{}, 'Wash the swab'],
    [{ itemId: 'keyed/key-oil', by: 'bench' }, 'Oil the keys, by the bench'],
  ],
  sign: [[{}, 'Noticed: dust under the rods']],
  decision: [
    [{}, 'Wash the swab: let wait until 1 December 2026'],
    [{ kind: 'declined', until: null }, 'Wash the swab: not done here'],
  ],
  'wetness-reset': [[{}, null]],
  method: [[{}, 'How often is the swab washed? monthly, at the very latest']],
  'method-set': [[{}, 'Choices taken from “Odile’s way”']],
  condition: [
    [{}, 'New cork'],
    [{ condition: 'ill', part: null }, 'Ill'],
    [{ condition: 'dry-air', part: null, air: { celsius: 20, humidityPercent: 30 } }, 'Dry air'],
  ],
  'condition-end': [[{}, null]],
  build: [[{}, 'Built from now on: wood, cork, leather, hard rubber']],
  departure: [[{}, 'Left the shelf on 24 November 2026']],
  profile: [[{}, null]],
  evening: [[{}, null]],
  'run-way': [[{}, null]],
  event: [
    [{}, '20 December 2026: a concert, 1 h 20 min.'],
    [{ name: 'Matinee' }, 'Matinee'],
    [{ until: '2026-12-20' }, '20 December 2026: a concert, 1 h 20 min.'],
    [{ what: 'holiday', minutes: null, until: '2026-12-22' }, '20 December 2026 to 22 December 2026: a holiday.'],
    [{ ...STAY, stay: done() }, 'Done there: nothing of its care.'],
    [{ ...STAY, stay: done('wind/bench-service', 'keyed/key-oil') }, 'Done there: bench service and oil the keys.'],
    [{ ...STAY, stay: { ...done(), cost: { minor: 12_050, currency: 'EUR' } } }, 'It cost €120.50.'],
  ],
  'reed-box': [
    [{}, 'A box of 2 reeds: Fennel 2½.'],
    [{ strength: null, before: [0] }, 'A box of 1 reed: Fennel.'],
  ],
  'reed-play': [[{}, null]],
  'reed-said': [
    [{}, 'Fennel 2½, reed 1. It felt right, for concert.'],
    [
      { what: 'ended', feel: null, goodFor: null, cause: 'soft' },
      'Fennel 2½, reed 1. It is soft past use and no longer played.',
    ],
  ],
  'reed-session': [
    [{}, 'Fennel 2½, reed 1: 30 min on Tue 24 Nov.'],
    [pinOf(0), 'Fennel 2½, reed 1: not on Tue 24 Nov.'],
    [pinOf(null), 'Fennel 2½, reed 1: Tue 24 Nov is left to the plan.'],
  ],
  'air-reading': [[{}, 'The air: 21 °C, 38 %.']],
  'sitting-time': [
    [{}, 'Time for sittings: 1 h 25 min a week.'],
    [{ minutes: [0, 0, 0, 0, 0, 0, 0] }, 'No time for sittings.'],
  ],
  'sitting-move': [
    [{}, 'A sitting is set for Tue 1 Dec: Trumpet, bench service.'],
    [{ on: null }, 'A sitting is left to the plan again: Trumpet, bench service.'],
    [
      {
        times: ['clarinet', 'trumpet'].map((instrumentId) => ({
          instrumentId,
          itemId: 'wind/bench-service',
          dueOn: TODAY,
        })),
      },
      'A sitting is set for Tue 1 Dec: Clarinet, bench service; Trumpet, bench service.',
    ],
  ],
  'calendar-import': [[{}, 'The calendar “band.ics” was imported: 1 date.']],
  'bench-terms': [
    [{}, 'The bench: Quayside Winds, about 5 working days.'],
    [{ name: null, workingDays: 1 }, 'The bench: no name, about 1 working day.'],
  ],
  minder: [[{}, null]],
};
/** Kinds whose body is shown again in a form, to be corrected. */
const CORRECTABLE = ['play', 'event', 'reed-box', 'reed-play', 'air-reading'];

const { server, get } = furnished();
const post = (path: string, body: object) => server().api().post(path).send(body);
const furnishOther = () =>
  post('/api/instruments', {
    ...{ id: 'other', name: 'Other', kind: 'clarinet', build: WOODEN, playerId: 'ada', cameNew: false },
    ...{ acquiredOn: '2024-01-10', today: TODAY },
  }).expect(201);
const sayable = (kind: string, said: object): object => {
  const declared = DECLARED.find((one) => one.kind === kind);
  if (declared === undefined) throw new Error(`${kind} is not declared`);
  const all = Object.entries(saidAgain<object>(declared, said));
  return Object.fromEntries(all.filter(([, value]) => value !== null));
};
const lineOf = async (key: string) =>
  ((await get('/api/record/clarinet?limit=100').expect(200)).body as RecordView).entries.find((one) => one.key === key);

test('every kind that can be logged is told here', () => {
  const logged = FACTS.filter((kind) => kind.decide !== undefined).map(({ kind }) => kind);
  expect(Object.keys(TOLD).toSorted()).toEqual(logged.toSorted());
});

const all = Object.entries(TOLD).flatMap(([kind, told]) => told.map(([over, words]) => ({ kind, over, words })));
test.each(all)('a $kind reads “$words”, also after a restart, and is the same when it is sent again', async (one) => {
  await furnishOther();
  const { path, body } = (await oneOfEach[one.kind]?.(post)) ?? { path: '', body: {} };
  const sent = { ...body, ...(typeof one.over === 'function' ? one.over(body) : one.over), key: aKey() };
  await post(path, sent).expect(201);
  for (const restarting of [false, true]) {
    if (restarting) server().restart();
    const line = await lineOf(sent.key);
    if (one.words === null) expect(line).toBeUndefined();
    else {
      expect(line?.words).toContain(one.words);
      expect(line?.correctable).toBe(CORRECTABLE.includes(one.kind));
      expect(line?.said !== null).toBe(CORRECTABLE.includes(one.kind));
      // What its form is handed can be said again.
      if (line?.said) expect(sayable(one.kind, sent)).toMatchObject(sayable(one.kind, line.said));
      expect(line?.corrected).toBe(false);
    }
  }
  await post(path, sent).expect(200);
});
