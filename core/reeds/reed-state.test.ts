import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { RAMP } from '#core/reeds/reed-numbers.ts';
import { goodShareOf } from '#core/reeds/reed-life.ts';
import { breakingIn } from '#core/reeds/breaking-in.ts';
import type { ReedSetting } from '#core/reeds/reed-state.ts';
import { partsOfReedId, reedId, type ReedBox, type ReedFeel, type ReedSaid, type ReedSign } from '#core/reeds/reed.ts';
import { leftOfSet, setSessions, type SetSessions } from '#core/reeds/reed-pin.ts';
import { PENALTY, whichReed, type WantedFor } from '#core/reeds/which-reed.ts';
import { wallMinute } from '#core/plays/play.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { REED_TODAY, reedsOf, said, used } from '#core/testing/reeds.ts';

const [first] = [0];
const reed1 = (...args: Parameters<typeof reedsOf>) => {
  const one = reedsOf(...args)[first];
  if (one === undefined) throw new Error('no reed 1');
  return one;
};
/** Played on each of these days before today, the last of them yesterday. */
const daily = (...minutes: number[]) => minutes.map((one, at) => used(1, minutes.length - at, one));

test('the reeds of a box are numbered from 1 as they lie in it, and each has what was played and said of it', () => {
  const reeds = reedsOf([used(2, 1, 20), used(4, 1, 30)], { sayings: [said(3, REED_TODAY, { what: 'flattened' })] });
  expect(reeds.map(({ number, id }) => [number, id])).toEqual([
    [1, 'fennel/1'],
    [2, 'fennel/2'],
    [3, 'fennel/3'],
    [4, 'fennel/4'],
  ]);
  expect(reeds.map(({ wornMinutes }) => wornMinutes)).toEqual([0, 20, 0, 30]);
  expect(reeds.map(({ flattenedOn }) => flattenedOn !== null)).toEqual([false, false, true, false]);
  expect(partsOfReedId('fennel/12')).toEqual({ boxKey: 'fennel', number: 12 });
  for (const odd of ['fennel/0', 'fennel/01', 'fennel/1.0', 'fennel/', '/1', 'fennel', 'fennel/+1'])
    expect(partsOfReedId(odd)).toBeUndefined();
});

describe('breaking in', () => {
  test('goes from 5 min over 10 to its end in a week of days really played', () => {
    const caps = [0, 1, 2, 3, 4, 5, 6].map((days) => {
      const ramp = [5, 10, 15, 20, 30, 40, 50].slice(0, days);
      return reed1(days === 0 ? [used(1, 0, 1)] : daily(...ramp)).breakIn?.cap.value;
    });
    expect(caps).toEqual([5, 10, 15, 20, 30, 40, 50]);
    expect(reed1(daily(5, 10, 15, 20, 30, 40, 50))).toMatchObject({ breakIn: null, stage: 'in-rotation' });
  });

  test('an overplayed day holds it back, a hardly played one brings it no further, a missed day takes nothing', () => {
    expect(reed1(daily(5, 25)).breakIn).toMatchObject({
      reached: 1,
      // What was played and did no harm it may be played again.
      cap: { value: 25 },
      heldBack: [{ over: true, minutes: 25, cap: 10 }],
    });
    expect(reed1(daily(5, 3)).breakIn).toMatchObject({ reached: 1, heldBack: [{ over: false }] });
    expect(reed1([used(1, 20, 5), used(1, 9, 10)]).breakIn).toMatchObject({ reached: 2, heldBack: [] });
  });

  test('half an hour a day from the first: after a week of days it is broken in, not on day 1 for ever', () => {
    const caps = Array.from(
      { length: 8 },
      (_, days) => reed1(daily(...Array<number>(days).fill(30))).breakIn?.cap.value,
    );
    expect(caps).toEqual([5, 30, 30, 30, 30, 30, 40, undefined]);
    // An hour a day: nobody is sent back from it to 5 min, and no further than the ramp goes.
    expect(reed1(daily(60)).breakIn?.cap.value).toBe(50);
    // Two minutes a day for three weeks are no breaking in.
    expect(reed1(daily(...Array<number>(21).fill(2))).breakIn).toMatchObject({ reached: 0 });
  });

  test("its player's own grade ends it, but not that of the first days; too hard again begins it anew", () => {
    const right = (daysAgo: number, feel: 'right' | 'too-hard' = 'right') =>
      said(1, addDays(REED_TODAY, -daysAgo), { what: 'graded', feel, goodFor: null, signs: [] });
    expect(reed1(daily(5, 10, 15, 20), { sayings: [right(1)] }).breakIn).toBeNull();
    expect(reed1(daily(5, 10, 15, 20), { sayings: [right(3)] }).breakIn).toMatchObject({ reached: 4 });
    expect(reed1(daily(5, 10, 15, 20), { sayings: [right(1), right(0, 'too-hard')] }).breakIn).toMatchObject({
      reached: 4,
    });
  });

  test('a day put right weeks ago does not throw a settled reed back', () => {
    const settled = daily(5, 10, 15, 20, 30, 40, 50, 60, 45, 60);
    for (const [at] of settled.entries()) {
      expect(reed1(settled.toSpliced(at, 1)).breakIn).toBeNull();
      expect(reed1(settled.map((one, index) => (index === at ? { ...one, minutes: 90 } : one))).breakIn).toBeNull();
    }
  });

  test('over two weeks each step is held for two days', () => {
    const uses = daily(5, 5, 10);
    expect(reed1(uses, { box: { breakIn: 'two-weeks' } }).breakIn).toMatchObject({
      by: 'two-weeks',
      reached: 3,
      of: 14,
      cap: { value: 10 },
    });
  });

  test('a reed too hard with a flat back takes the longer way from then on, and only then', () => {
    const day = addDays(REED_TODAY, -1);
    const hard = said(1, day, { what: 'graded', feel: 'too-hard', goodFor: null, signs: [] });
    const flat = said(1, day, { what: 'flattened' });
    expect(reed1(daily(5, 10), { sayings: [hard] })).toMatchObject({ ungraded: true, breakIn: { by: 'week' } });
    expect(reed1(daily(5, 10), { sayings: [flat, hard] })).toMatchObject({
      ungraded: false,
      breakIn: { by: 'two-weeks', reached: 3 },
    });
  });

  test('what was played before counts: about a week is broken in, a few minutes are a beginning', () => {
    const before = reedsOf([], { box: { before: [0, 20, 170, null] } });
    expect(before.map(({ stage, breakIn }) => [stage, breakIn?.reached ?? null])).toEqual([
      ['new', 0],
      ['breaking-in', 2],
      ['in-rotation', null],
      ['in-rotation', null],
    ]);
  });

  test('needs none on synthetic and double reeds, nor where the player wants none', () => {
    expect(reed1(daily(60), { box: { material: 'synthetic' } })).toMatchObject({
      breakIn: null,
      leftToday: null,
      restedFrom: null,
    });
    expect(reed1(daily(60), { setting: { family: 'double' } }).breakIn).toBeNull();
    // A pipe reed stays in its pipe: no cap of the day and no rest.
    expect(reed1(daily(60, 120), { setting: { family: 'pipe' } })).toMatchObject({ leftToday: null, restedFrom: null });
    expect(reed1(daily(60), { box: { breakIn: 'none' } }).breakIn).toBeNull();
  });

  test('never goes back, whatever is played, and ends after seven good days', () => {
    const day = fc.integer({ min: 1, max: 120 });
    fc.assert(
      fc.property(fc.array(day, { maxLength: 30 }), (minutes) => {
        const days = minutes.map((one, at) => ({ on: addDays(REED_TODAY, at - 40), minutes: one }));
        const ramping = { breakIn: 'week', before: 0, hardFrom: null, rightFrom: null } as const;
        let last = 0;
        for (let count = 0; count <= days.length; count++) {
          const reached = breakingIn(days.slice(0, count), REED_TODAY, ramping)?.reached ?? RAMP.length;
          expect(reached).toBeGreaterThanOrEqual(last);
          // Step by step, or by use: as many days as the ramp has, and as many minutes.
          const isPlayedIn = count >= 7 && days.slice(0, count).reduce((sum, one) => sum + one.minutes, 0) >= 170;
          expect(reached).toBeLessThanOrEqual(isPlayedIn ? RAMP.length : last + 1);
          last = reached;
        }
      }),
    );
  });
});

test('one "too soft" never makes it a practice reed by itself; twice on end does', () => {
  const soft = (daysAgo: number) =>
    said(1, addDays(REED_TODAY, -daysAgo), { what: 'graded', feel: 'too-soft', goodFor: null, signs: [] });
  const right = said(1, addDays(REED_TODAY, -2), { what: 'graded', feel: 'right', goodFor: null, signs: [] });
  const of = (...sayings: ReedSaid[]) => reed1([used(1, 4, 45)], { box: { before: [null] }, sayings }).stage;
  expect([of(soft(3)), of(soft(3), soft(1)), of(soft(3), right, soft(1))]).toEqual([
    'in-rotation',
    'practice-only',
    'in-rotation',
  ]);
});

describe('what a sign is worth', () => {
  const graded = (daysAgo: number, signs: readonly ReedSign[], feel: ReedFeel = 'right') =>
    said(1, addDays(REED_TODAY, -daysAgo), { what: 'graded', feel, goodFor: 'rehearsal', signs });
  const flat = (daysAgo: number) => said(1, addDays(REED_TODAY, -daysAgo), { what: 'flattened' });
  const of = (sayings: readonly ReedSaid[], setting: Partial<ReedSetting> = {}, box: Partial<ReedBox> = {}) =>
    reed1([used(1, 3, 45)], { sayings, setting, box: { before: [null], ...box } });

  test('a chipped tip ends it, and so does a double reed that sank in pitch; a corner gone does not', () => {
    expect(of([graded(2, ['chipped'])])).toMatchObject({ stage: 'retired', ended: { cause: 'chipped' } });
    expect(of([graded(2, ['sank-in-pitch'])], { family: 'double' })).toMatchObject({ stage: 'retired' });
    expect(of([graded(2, ['corner-gone'])], { family: 'double' })).toMatchObject({ stage: 'in-rotation' });
  });

  test('stuffy and squeaking lead to the back first; rubbed flat it is tried anew; only cane of one blade has a back', () => {
    expect(of([graded(2, ['stuffy'])]).ungraded).toBe(true);
    expect(of([flat(3), graded(2, ['squeaks'])]).ungraded).toBe(false);
    expect(of([graded(2, []), flat(1)]).ungraded).toBe(true);
    expect(of([graded(2, ['stuffy'], 'too-hard')], { family: 'double' }).ungraded).toBe(false);
    expect(of([graded(2, ['stuffy'], 'too-hard')], {}, { material: 'synthetic' }).ungraded).toBe(false);
  });

  test('what was of concert grade once stays so in the share, however it is graded when it is worn', () => {
    const once = said(1, addDays(REED_TODAY, -9), { what: 'graded', feel: 'right', goodFor: 'concert', signs: [] });
    const worn = of([once, graded(1, [], 'too-soft')]);
    expect(goodShareOf([worn])).toEqual({ good: 3, bad: 2, graded: 1 });
    // Too hard with a flat back it is still worked in: nothing is known yet.
    const hard = reed1([used(1, 3, 5)], {
      sayings: [
        flat(3),
        said(1, addDays(REED_TODAY, -2), { what: 'graded', feel: 'too-hard', goodFor: null, signs: [] }),
      ],
    });
    expect(goodShareOf([hard])).toEqual({ good: 2, bad: 2, graded: 0 });
    expect(goodShareOf([], 'double')).toEqual({ good: 2, bad: 3, graded: 0 });
  });
});

describe('a reed in turn', () => {
  const broken = { box: { before: [null, null, null, null] } };

  test('rests a day from its last note, and plays 90 min a day', () => {
    const [one] = reedsOf([used(1, 1, 60)], broken);
    expect(one).toMatchObject({ restedFrom: wallMinute(REED_TODAY, 1320), leftToday: 90 });
    expect(reedsOf([used(1, 0, 70)], broken)[0]).toMatchObject({ leftToday: 20, playedToday: 70 });
  });

  test('wears faster in the highest register', () => {
    const uses = [used(1, 3, 60), used(1, 2, 60, { high: 'much' }), used(1, 1, 60, { high: 'some' })];
    expect(reedsOf(uses, broken)[0]).toMatchObject({ playedMinutes: 180, wornMinutes: 60 + 90 + 75 });
  });
});

describe('which reed', () => {
  const WANTED: WantedFor = {
    nowWall: wallMinute(REED_TODAY, 1140),
    today: REED_TODAY,
    minutes: 80,
    isConcert: false,
    shareOfLife: ({ playedMinutes }) => Math.min(1, playedMinutes / 1200),
  };
  const broken = { before: [null, null, null, null] };
  const grade = (number: number, goodFor: 'concert' | 'rehearsal' | 'practice') =>
    said(number, addDays(REED_TODAY, -9), { what: 'graded', feel: 'right', goodFor, signs: [] });

  test('today’s few minutes of breaking in come first, then the one that has waited longest', () => {
    const reeds = reedsOf([used(1, 1, 5), used(2, 4, 60), used(3, 2, 60)], { box: { before: [0, null, null, 0] } });
    const { first: before, choices, resting } = whichReed(reeds, WANTED);
    expect(before.map(({ reed, minutes }) => [reed.number, minutes])).toEqual([[1, 10]]);
    expect(choices.map(({ reed }) => reed.number)).toEqual([2, 3]);
    expect(resting).toEqual([]);
  });

  test('who played last night rests, and says until when', () => {
    const { choices, resting } = whichReed(reedsOf([used(1, 1, 60)], { box: { before: [null, null] } }), WANTED);
    expect(choices.map(({ reed }) => reed.number)).toEqual([2]);
    expect(resting).toMatchObject([
      { reed: { number: 1 }, because: [{ rule: 'not-rested', until: wallMinute(REED_TODAY, 1320) }] },
    ]);
  });

  test('concert reeds are saved for concerts, and taken for them', () => {
    const reeds = reedsOf([used(1, 6, 60), used(2, 6, 60)], {
      box: { before: broken.before.slice(0, 2) },
      sayings: [grade(1, 'concert'), grade(2, 'rehearsal')],
    });
    expect(whichReed(reeds, WANTED).choices[0]?.reed.number).toBe(2);
    expect(whichReed(reeds, { ...WANTED, isConcert: true }).choices[0]?.reed.number).toBe(1);
    expect(whichReed(reeds, { ...WANTED, isConcert: true }).first).toEqual([]);
  });

  test('what a reed cannot cover is told in minutes, and weighs as they do', () => {
    // 300 min lie behind it, a quarter of its life; it may play 90 of the 120, and has waited six days.
    const [choice] = whichReed(reedsOf([used(1, 6, 300)], { box: { before: [null] } }), {
      ...WANTED,
      minutes: 120,
    }).choices;
    const reason = (rule: string) => choice?.because.find((one) => one.rule === rule);
    expect(choice?.minutes).toBe(90);
    expect(reason('uncovered')).toEqual({ rule: 'uncovered', minutes: 30, penalty: 30 * PENALTY.uncovered });
    expect(reason('wear')).toMatchObject({ share: 0.25, penalty: 90 * 0.25 * PENALTY.wear });
    expect(reason('waited')).toMatchObject({ days: 6, penalty: -6 * PENALTY.waitedDay });
    const [concert] = whichReed(reedsOf([used(1, 6, 720)], { box: { before: [null] } }), {
      ...WANTED,
      isConcert: true,
    }).choices;
    expect(concert?.because.map(({ rule }) => rule)).toEqual(['cap', 'not-concert-grade', 'second-half']);
    // 720 of 1,200 min: a fifth of the way from the middle of its life to its end.
    expect(concert?.penalty).toBeCloseTo(PENALTY.notConcertGrade + 0.2 * PENALTY.secondHalf, 9);
  });

  test('the penalty is the sum of its reasons', () => {
    const reeds = reedsOf([used(1, 6, 300), used(2, 3, 60)], {
      box: { before: broken.before.slice(0, 2) },
      sayings: [grade(2, 'practice')],
    });
    for (const isConcert of [true, false])
      for (const { penalty, because } of whichReed(reeds, { ...WANTED, isConcert, minutes: 120 }).choices)
        expect(because.reduce((sum, reason) => sum + ('penalty' in reason ? reason.penalty : 0), 0)).toBeCloseTo(
          penalty,
        );
  });

  describe('sessions set by hand', () => {
    const tomorrow = addDays(REED_TODAY, 1);
    const reeds = reedsOf([used(1, 1, 60), used(2, 6, 60), used(3, 3, 60)], {
      box: { before: [null, null, null] },
    });
    const numbered = (...pins: readonly [number, LocalDate, number | null][]) =>
      setSessions(pins.map(([number, on, minutes]) => ({ reedId: reedId('fennel', number), on, minutes })));
    const asked = (set: SetSessions) => {
      const { choices, resting } = whichReed(reeds, { ...WANTED, set });
      return {
        choices: choices.map(({ reed, minutes }) => [reed.number, minutes]),
        resting: resting.map(({ reed, because }) => [reed.number, because[0]?.rule]),
      };
    };

    test('come first, even on a reed that has not rested, and say so', () => {
      const set = numbered([1, REED_TODAY, 30]);
      expect(asked(set)).toMatchObject({
        choices: [
          [1, 30],
          [2, WANTED.minutes],
          [3, WANTED.minutes],
        ],
        resting: [],
      });
      const [first] = whichReed(reeds, { ...WANTED, set }).choices;
      expect(first?.because.map(({ rule }) => rule).slice(0, 2)).toEqual(['set', 'not-rested']);
    });

    test('set aside, and for tomorrow: both rest today', () => {
      expect(asked(numbered([2, REED_TODAY, 0], [3, tomorrow, 45]))).toEqual({
        choices: [],
        resting: expect.arrayContaining([
          [1, 'not-rested'],
          [2, 'set-aside'],
          [3, 'set-for-tomorrow'],
        ]),
      });
    });

    test('the last word counts, and left to the plan nothing is set', () => {
      const before = asked(new Map());
      expect(asked(numbered([2, REED_TODAY, 0], [2, REED_TODAY, null]))).toEqual(before);
      expect(asked(numbered([3, tomorrow, 45], [3, tomorrow, 0]))).toEqual(before);
    });

    test.each([
      [30, 0, 30],
      [30, 12, 15],
      [30, 30, null],
      [30, 28, null],
      [0, 0, 0],
      [0, 10, null],
    ])('of %i min set, with %i played, %p are left', (set, played, left) => {
      expect(leftOfSet(numbered([1, REED_TODAY, set]), reedId('fennel', 1), REED_TODAY, played)).toBe(left);
    });
  });

  test('retired and unopened reeds are never proposed', () => {
    const gone = said(1, REED_TODAY, { what: 'ended', cause: 'split' });
    const reeds = reedsOf([used(1, 5, 60)], { box: { before: [null, 0] }, sayings: [gone] });
    expect(whichReed(reeds, WANTED)).toEqual({ first: [], choices: [], resting: [] });
  });
});
