import { describe, expect, test } from '@jest/globals';
import type { CareItem } from '#core/book/care-item.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { goesAlong, isDueAtHome } from '#core/care/due-at-home.ts';
import { CARE_STATES } from '#core/care/care-state.ts';
import { localDate } from '#core/time/local-date.ts';

const item: CareItem = {
  id: 'keyed/key-oil',
  name: 'Oil the keys',
  part: 'upper-joint',
  trigger: { kind: 'when-so', words: 'a dry rod' },
  severity: 'function',
  why: '',
  mark: 'practice',
};
const clock = (over: Partial<ItemClock> = {}, of: Partial<CareItem> = {}): ItemClock => ({
  item: { ...item, ...of },
  part: 'upper-joint',
  state: 'due',
  load: 1,
  lastDone: null,
  due: null,
  postponedUntil: null,
  because: [],
  ...over,
});
const HOME = { hands: 'player', isAway: false, isLaidBy: false } as const;

describe('what is done at home in one go', () => {
  test('is what is due or late, in whoever’s hands of the house it is', () => {
    const states = CARE_STATES.filter((state) => isDueAtHome(clock({ state }), HOME));
    expect(states.toSorted()).toEqual(['due', 'overdue']);
    for (const hands of ['player', 'with-a-grown-up', 'with-the-teacher'] as const)
      expect(isDueAtHome(clock(), { hands, isAway: false, isLaidBy: false })).toBe(true);
  });

  test('is nothing put off, of the bench, of every play, or of an instrument that is away', () => {
    expect(isDueAtHome(clock({ postponedUntil: localDate('2026-12-01') }), HOME)).toBe(false);
    expect(isDueAtHome(clock(), { hands: 'bench', isAway: false, isLaidBy: false })).toBe(false);
    expect(isDueAtHome(clock({}, { place: 'bench' }), HOME)).toBe(false);
    expect(isDueAtHome(clock({}, { trigger: { kind: 'every-play', moment: 'after' } }), HOME)).toBe(false);
    expect(isDueAtHome(clock(), { hands: 'player', isAway: true, isLaidBy: false })).toBe(false);
    expect(isDueAtHome(clock(), { hands: 'player', isAway: false, isLaidBy: true })).toBe(false);
  });
});

test('only what is short comes along with packing up, and only where it is due at home', () => {
  const short = clock({}, { withPackUp: true });
  expect([goesAlong(short, HOME), goesAlong(clock(), HOME)]).toEqual([true, false]);
  expect(goesAlong(short, { hands: 'player', isAway: true, isLaidBy: false })).toBe(false);
});
