/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import type { MeasureView, WayView } from '#contract/inspections.ts';
import {
  askedBy,
  readingsOf,
  readOtherwise,
  shownReading,
  stepped,
  typedReading,
} from '#web/features/inspections/draft.ts';

const way = (over: Partial<WayView> = {}): WayView => ({
  way: 'by-hand',
  words: 'by hand',
  how: 'Draw it.',
  tool: null,
  unit: 'degree',
  unitAfter: '',
  least: 0,
  most: 5,
  step: 1,
  says: [{ value: 3, words: 'smooth' }],
  good: 3,
  limits: 'Good is 2–3.',
  goodFrom: 2,
  goodTo: 3,
  hands: ['player', 'teacher', 'bench'],
  ...over,
});
const balance = way({
  way: 'spring-balance',
  unit: 'newtons',
  unitAfter: ' N',
  most: 21,
  good: null,
  goodFrom: 5,
  goodTo: 15,
  says: [],
  hands: ['teacher', 'bench'],
});
const measure = (over: Partial<MeasureView> = {}): MeasureView => ({
  measure: 'brass/slide-pull',
  place: 'main-slide',
  name: 'Pull of the slide',
  placeName: 'tuning slide',
  ways: [way(), balance],
  newest: null,
  way: null,
  lines: [],
  words: 'Not read yet.',
  limit: null,
  straight: null,
  reaches: null,
  again: null,
  stops: false,
  because: [],
  ...over,
});

describe('what is asked when an instrument is looked over', () => {
  test('what this hand may read, in the way it was read last, good unless something was said', () => {
    const [asked] = askedBy([measure()], 'player');
    expect(asked).toMatchObject({ way: { way: 'by-hand' }, value: 3, isSaid: false });
    const last = measure({ way: 'spring-balance' });
    expect(askedBy([last], 'bench')[0]).toMatchObject({ way: { way: 'spring-balance' }, value: null });
    // A child does not take the balance: it reads by hand again.
    expect(askedBy([last], 'player')[0]).toMatchObject({ way: { way: 'by-hand' } });
    expect(askedBy([measure({ ways: [balance] })], 'player')).toEqual([]);
    const said = [
      { measure: 'brass/slide-pull' as const, place: 'main-slide' as const, way: 'by-hand' as const, value: 5 },
    ];
    expect(askedBy([measure()], 'player', said)[0]).toMatchObject({ value: 5, isSaid: true });
  });

  test('what is skipped is not good: only what was said is kept', () => {
    const asked = askedBy([measure(), measure({ place: 'second-slide' })], 'player');
    expect(readingsOf(asked)).toEqual([]);
    const one = asked.map((each, at) => ({ ...each, isSaid: at === 1 }));
    expect(readingsOf(one)).toEqual([{ measure: 'brass/slide-pull', place: 'second-slide', way: 'by-hand', value: 3 }]);
    const [first] = asked;
    if (!first) throw new Error('one is asked');
    expect(readOtherwise({ ...first, isSaid: true }, 'spring-balance')).toMatchObject({ value: null, isSaid: false });
  });

  test('steps stay within what can be read, and begin at what is good', () => {
    expect([stepped({ way: way(), value: 5 }, 1), stepped({ way: way(), value: 0 }, -1)]).toEqual([5, 0]);
    expect(stepped({ way: balance, value: null }, 1)).toBe(5);
    const fine = way({ step: 0.1, most: 4 });
    expect(stepped({ way: fine, value: 0.2 }, 1)).toBe(0.3);
  });

  test('a number is typed with a point or a comma; what cannot be read so is none', () => {
    const fine = way({ step: 0.5, most: 60, unitAfter: ' s', says: [{ value: 60, words: '60 s or more' }] });
    expect(['4.5', '4,5', ' 7 ', '60'].map((typed) => typedReading(fine, typed))).toEqual([4.5, 4.5, 7, 60]);
    expect(['', 'x', '4.7', '61', '-1', '1e9'].map((typed) => typedReading(fine, typed))).toEqual(Array(6).fill(null));
    expect(shownReading(way(), 3)).toBe('3, smooth');
    expect(shownReading(fine, 4.5)).toMatch(/^4[.,]5 s$/);
    expect(shownReading(fine, null)).toBe('–');
  });
});
