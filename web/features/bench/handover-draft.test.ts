import { describe, expect, test } from '@jest/globals';
import { draftFrom, linesSaid, nextLine } from '#web/features/bench/handover-draft.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-05-20');
const kept = (daysAgo: number, said: unknown) => JSON.stringify({ on: addDays(today, -daysAgo), said });

describe('what waits on the device of a list', () => {
  test('it holds for three days, and begins anew after that', () => {
    for (const [days, holds] of [
      [0, true],
      [2, true],
      [3, false],
      [-1, false],
    ] as const)
      expect(draftFrom(kept(days, { plug: 'so' }), today)).toEqual({
        on: holds ? addDays(today, -days) : today,
        said: holds ? { plug: 'so' } : {},
      });
  });

  test('what nobody can read is an empty one', () => {
    for (const odd of [
      null,
      '',
      'null',
      '7',
      '{',
      '[]',
      '{"on":"2026-05-20"}',
      '{"on":"x","said":{}}',
      '{"said":{"a":"so"}}',
    ])
      expect(draftFrom(odd, today)).toEqual({ on: today, said: {} });
    expect(draftFrom(kept(0, { plug: 'so', box: 7, day: 'perhaps' }), today).said).toEqual({ plug: 'so' });
  });

  test('the next line is the first nobody has said anything of, and what is said goes in the order of the list', () => {
    const draft = draftFrom(kept(0, { c: 'not-so', a: 'so', gone: 'so' }), today);
    expect(nextLine(['a', 'b', 'c'], draft)).toBe('b');
    expect(nextLine(['a', 'c'], draft)).toBeNull();
    expect(linesSaid(['a', 'b', 'c'], draft)).toEqual([
      { line: 'a', answer: 'so' },
      { line: 'c', answer: 'not-so' },
    ]);
  });
});
