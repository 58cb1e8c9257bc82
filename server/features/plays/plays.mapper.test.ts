import { describe, expect, test } from '@jest/globals';
import { columnsFromRows } from '#server/features/plays/plays.mapper.ts';

describe('the plays of an instrument as columns', () => {
  test('are the rows as they were gathered', () => {
    const { endedAt, minutes, played } = columnsFromRows({ at: '[100,200,200]', minutes: '[30,30,45]' });
    expect([[...endedAt], [...minutes], [...played]]).toEqual([
      [100, 200, 200],
      [30, 30, 45],
      [0, 30, 60, 105],
    ]);
  });

  test('rows out of order are refused, never counted wrongly', () => {
    expect(() => columnsFromRows({ at: '[200,100]', minutes: '[30,30]' })).toThrow('not sorted');
  });
});
