import { expect, test } from '@jest/globals';
import { pairwise } from '#core/testing/pairwise.ts';

test('every pair occurs, in far fewer rows than the full product', () => {
  const dials = { a: ['1', '2', '3'], b: ['x', 'y'], c: ['p', 'q', 'r', 's'], d: ['u', 'v'] };
  const rows = pairwise(dials);
  for (const [one, options] of Object.entries(dials))
    for (const [other, others] of Object.entries(dials))
      if (one < other)
        for (const option of options)
          for (const another of others)
            expect(rows.some((row) => row[one] === option && row[other] === another)).toBe(true);
  expect(rows.length).toBeLessThan(20);
  expect(pairwise({ only: ['1', '2'] })).toEqual([{ only: '1' }, { only: '2' }]);
});
