import { describe, expect, test } from '@jest/globals';
import { BOOK } from '#core/tables/book.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { keepPlan, keptOf } from '#core/packup/kept-plan.ts';
import { planForBuild, stepFor } from '#core/packup/plan-for-build.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { usualWetness } from '#core/water/wetness.ts';
import { countsIn, PLAN_VERSION, readPlan, writtenPlan } from '#server/features/packup/stored-plan.ts';

const horn = 'my-trumpet' as InstrumentId;
const built = { kind: 'trumpet' as const, build: usualBuild(BOOK.kinds['trumpet']) };
const stepOf = (_of: InstrumentId, id: string) => {
  const step = stepFor(BOOK, built, id);
  return step && keptOf(step);
};
const plan = keepPlan(
  planRun({
    parts: [
      {
        instrumentId: horn,
        kind: BOOK.kinds['trumpet'],
        practice: usualPractice(BOOK, 'trumpet', built.build),
        items: ['brass/make-ready', 'piston-brass/bath', 'brass/empty-water', 'brass/mouthpiece-out', 'brass/wipe'],
        playedMinutes: 45,
        roomCelsius: 20,
        wetness: usualWetness,
        loads: new Map(),
      },
    ],
    player: { standing: 'grown-up', does: [] },
    minutesAtHand: 20,
    learned: new Map(),
  }),
);

/** As the first version wrote it: ids and figures, and reasons of its own. */
const FIRST = JSON.stringify({
  steps: [
    {
      key: 'my-trumpet:brass/water-keys',
      instrumentId: 'my-trumpet',
      id: 'brass/water-keys',
      count: null,
      activeMinutes: 0.5,
      startsAtMinute: 0,
    },
    {
      key: 'my-trumpet:brass/never-was',
      instrumentId: 'my-trumpet',
      id: 'brass/never-was',
      count: 3,
      activeMinutes: 1,
      startsAtMinute: 0.5,
    },
  ],
  leftOut: [],
  activeMinutes: 1.5,
  elapsedMinutes: 1.5,
  because: [
    { rule: 'order', proved: true, gapMinutes: 0 },
    { rule: 'a-rule-of-long-ago', weight: 3 },
    { rule: 'time-at-hand', minutes: 'four' },
  ],
});
/** As the second version writes it: what most steps are is left out. */
const SECOND = JSON.stringify({
  version: 2,
  activeMinutes: 2,
  elapsedMinutes: 12,
  because: [{ rule: 'order', proved: true, gapMinutes: 0 }],
  steps: [
    {
      instrumentId: 'my-trumpet',
      id: 'brass/soak-long-ago',
      item: 'piston-brass/bath',
      part: 'mouthpipe',
      action: 'Soak it',
      wait: { minutes: 10, why: 'it softens', until: ['brass/rinse-long-ago'] },
      activeMinutes: 1,
      startsAtMinute: 0,
    },
    {
      instrumentId: 'my-trumpet',
      id: 'brass/rinse-long-ago',
      item: 'piston-brass/bath',
      part: 'mouthpipe',
      action: 'Rinse it',
      must: true,
      count: 2,
      activeMinutes: 1,
      startsAtMinute: 11,
    },
  ],
  leftOut: [],
});

const SECOND_WITH_LOOK = SECOND.replace(
  '"must":true',
  '"must":true,"look":{"question":"Stuck?","answers":[{"id":"stuck","words":"Stuck","notice":"brass/stuck","endsItem":true}]}',
);

/** As the third version writes it. */
const THIRD = JSON.stringify({
  version: 3,
  activeMinutes: 1,
  elapsedMinutes: 1,
  because: [],
  steps: [
    {
      instrumentId: 'my-trumpet',
      id: 'brass/grease-slides',
      item: 'brass/slide-grease',
      part: 'valve-slides',
      action: 'Grease them',
      unless: ['piston-brass/bath-grease'],
      standsOn: ['brass/water-keys'],
      look: {
        question: 'Stuck?',
        answers: [
          {
            id: 'stuck',
            words: 'Stuck',
            notice: 'brass/stuck',
            endsItem: true,
            alsoEnds: ['piston-brass/mouthpipe-brush'],
          },
        ],
      },
      activeMinutes: 1,
      startsAtMinute: 0,
    },
  ],
  leftOut: [],
});

/** As the fourth version writes it: what was an action is a heading, and a step may be a look and nothing else. */
const FOURTH = THIRD.replace('"version":3', '"version":4').replace(
  '"action":"Grease them"',
  '"heading":"Grease them","onlyLooks":true',
);

/** As the fifth version writes it: a wait may have a most. */
const FIFTH = FOURTH.replace('"version":4', '"version":5').replace(
  '"activeMinutes":1,"startsAtMinute"',
  '"wait":{"minutes":10,"most":12,"why":"it soaks","until":["brass/rinse"]},"activeMinutes":1,"startsAtMinute"',
);

/** As the sixth version writes it: an answer of a look names its sign. */
const SIXTH = FIFTH.replace('"version":5', '"version":6').replaceAll('"notice":', '"sign":"brass/stuck","notice":');

describe('a stored plan', () => {
  test('is read as it was written', () => {
    // The bath waits for a longer evening: both halves of a plan are there to be read.
    expect([plan.steps.length > 2, plan.leftOut.length > 0]).toEqual([true, true]);
    expect(readPlan(writtenPlan(plan), stepOf)).toEqual(plan);
    expect(JSON.parse(writtenPlan(plan)).version).toBe(PLAN_VERSION);
  });

  test('of the first version gets from the book what each step is, without what the book does not know', () => {
    const read = readPlan(FIRST, stepOf);
    expect(read?.steps).toEqual([
      expect.objectContaining({ id: 'brass/water-keys', item: 'brass/empty-water', activeMinutes: 0.5 }),
    ]);
    expect(read).toMatchObject({ activeMinutes: 1.5, elapsedMinutes: 1.5 });
  });

  test('whose reasons have been retired keeps those that are still told, and is read all the same', () => {
    expect(readPlan(FIRST, stepOf)?.because).toEqual([{ rule: 'order', proved: true, gapMinutes: 0 }]);
  });

  test('of the second version stands by itself: steps the book has given up are what they were', () => {
    const read = readPlan(SECOND, () => undefined);
    expect(read?.steps[1]).toEqual({
      key: 'my-trumpet:brass/rinse-long-ago',
      instrumentId: 'my-trumpet',
      id: 'brass/rinse-long-ago',
      item: 'piston-brass/bath',
      part: 'mouthpipe',
      heading: 'Rinse it',
      must: true,
      closing: false,
      look: null,
      onlyLooks: false,
      calledBy: null,
      unless: [],
      standsOn: [],
      wait: null,
      alsoDoes: [],
      away: 'now',
      expects: null,
      passes: false,
      count: 2,
      activeMinutes: 1,
      startsAtMinute: 11,
    });
    expect(read && planForBuild(BOOK, read, () => built).steps).toHaveLength(2);
    // Its looks end their own item only.
    expect(readPlan(SECOND_WITH_LOOK, () => undefined)?.steps[1]?.look?.answers).toEqual([
      { id: 'stuck', words: 'Stuck', sign: null, notice: 'brass/stuck', endsItem: true, alsoEnds: [] },
    ]);
  });

  test('of the third version keeps what a step stands in for, and what it stands on', () => {
    const read = readPlan(THIRD, () => undefined);
    expect(read?.steps[0]).toMatchObject({ unless: ['piston-brass/bath-grease'], standsOn: ['brass/water-keys'] });
    expect(read?.steps[0]?.look?.answers[0]?.alsoEnds).toEqual(['piston-brass/mouthpipe-brush']);
    expect(
      readPlan(THIRD.replace('"standsOn":["brass/water-keys"]', '"standsOn":"water"'), () => undefined),
    ).toBeUndefined();
  });

  test('of the fourth version says which steps are looks and nothing else', () => {
    expect(readPlan(FOURTH, () => undefined)?.steps[0]).toMatchObject({ heading: 'Grease them', onlyLooks: true });
    expect(readPlan(THIRD, () => undefined)?.steps[0]).toMatchObject({ heading: 'Grease them', onlyLooks: false });
    expect(readPlan(FOURTH.replace('"heading"', '"action"'), () => undefined)).toBeUndefined();
  });

  test('of the fifth version says how long a wait may last at most; before, none had a most', () => {
    expect(readPlan(FIFTH, () => undefined)?.steps[0]?.wait).toMatchObject({ minutes: 10, most: 12 });
    const fourth = FIFTH.replace('"version":5', '"version":4').replace('"most":12,', '');
    expect(readPlan(fourth, () => undefined)?.steps[0]?.wait).toMatchObject({ minutes: 10, most: null });
    expect(readPlan(FIFTH.replace('"most":12,', ''), () => undefined)).toBeUndefined();
  });

  test('of the sixth version says by which sign a look calls for care; before, none was named', () => {
    const signs = (text: string) => readPlan(text, () => undefined)?.steps[0]?.look?.answers.map(({ sign }) => sign);
    expect(signs(FIFTH)?.every((sign) => sign === null)).toBe(true);
    expect(signs(SIXTH)?.length).toBeGreaterThan(0);
    expect(signs(SIXTH)?.every((sign) => sign === 'brass/stuck')).toBe(true);
    expect(readPlan(SIXTH.replace('"version":6', '"version":5'), () => undefined)?.steps[0]?.look).toBeDefined();
    expect(readPlan(SIXTH.replaceAll('"sign":"brass/stuck",', ''), () => undefined)).toBeUndefined();
  });

  test.each([
    '{}',
    'null',
    '[]',
    '"plan"',
    'no JSON at all',
    '{"version":2}',
    '{"version":99,"steps":[],"leftOut":[],"activeMinutes":0,"elapsedMinutes":0,"because":[]}',
    '{"steps":{},"leftOut":[],"activeMinutes":0,"elapsedMinutes":0,"because":[]}',
    '{"steps":[null],"leftOut":[],"activeMinutes":0,"elapsedMinutes":0,"because":[]}',
    SECOND.replace('"mouthpipe"', '"engine"'),
    SECOND.replace('"activeMinutes":1', '"activeMinutes":"long"'),
  ])('that is none is not taken for one: %s', (text) => {
    expect(readPlan(text, stepOf)).toBeUndefined();
    expect(countsIn(text)).toBeInstanceOf(Map);
  });

  test('tells how often its steps were planned without being read as a whole, in every version', () => {
    expect([...countsIn(FIRST)]).toEqual([
      ['my-trumpet:brass/water-keys', { id: 'brass/water-keys', count: 1 }],
      ['my-trumpet:brass/never-was', { id: 'brass/never-was', count: 3 }],
    ]);
    expect(countsIn(SECOND).get('my-trumpet:brass/rinse-long-ago')).toEqual({ id: 'brass/rinse-long-ago', count: 2 });
  });
});
