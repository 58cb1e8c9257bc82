import { describe, expect, test } from '@jest/globals';
import { localDate } from '#core/time/local-date.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { neighbourOf, sessionsOf, shifted } from '#web/features/reeds/parts/reed-rows-grid.ts';
import { ARROWS } from '#web/ui/use-moves.ts';

const row = (number: number, planned: number[], set: (number | null)[] = planned.map(() => null)) => ({
  reedId: `box/${number}` as ReedId,
  number,
  boxName: 'Fennel',
  played: [],
  planned,
  set,
  caps: [],
});
const PLAN: ReedPlanView = {
  from: localDate('2026-10-29'),
  today: localDate('2026-11-26'),
  expected: [45, 45, 45, 45],
  concerts: [],
  rows: [row(1, [45, 0, 0, 45]), row(2, [0, 0, 0, 0]), row(3, [0, 45, 0, 0], [null, 45, 0, null])],
  words: '',
  because: [],
  isFinal: true,
};

describe('the sessions of a plan', () => {
  test('are what is planned and what was set, also where that is nothing', () => {
    expect(sessionsOf(PLAN)).toEqual([
      { row: 0, day: 0, minutes: 45, isSet: false },
      { row: 0, day: 3, minutes: 45, isSet: false },
      { row: 2, day: 1, minutes: 45, isSet: true },
      { row: 2, day: 2, minutes: 0, isSet: true },
    ]);
  });

  test.each([
    ['ArrowRight', { row: 0, day: 0 }, { row: 0, day: 3 }],
    ['ArrowRight', { row: 0, day: 3 }, { row: 0, day: 3 }],
    ['ArrowLeft', { row: 0, day: 3 }, { row: 0, day: 0 }],
    // The second reed has none: the nearest of the third.
    ['ArrowDown', { row: 0, day: 3 }, { row: 2, day: 2 }],
    ['ArrowDown', { row: 2, day: 2 }, { row: 2, day: 2 }],
    ['ArrowUp', { row: 2, day: 1 }, { row: 0, day: 0 }],
  ])('%s from %j goes to %j', (key, from, to) => {
    expect(neighbourOf(sessionsOf(PLAN), from, key)).toMatchObject(to);
  });

  test('what is moved stays inside the plan', () => {
    const from = { row: 0, day: 3 };
    expect(Object.values(ARROWS).map((by) => shifted(from, by, PLAN))).toEqual([
      { row: 0, day: 2 },
      { row: 0, day: 3 },
      { row: 0, day: 3 },
      { row: 1, day: 3 },
    ]);
  });
});
