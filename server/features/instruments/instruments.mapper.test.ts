import { describe, expect, test } from '@jest/globals';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { storedBuild } from '#server/features/instruments/instruments.mapper.ts';

const soprano = usualBuild(BOOK.kinds['soprano-saxophone']);

describe('a build that was kept', () => {
  test('is read as it was', () =>
    expect(storedBuild(BOOK, 'one', 'soprano-saxophone', { ...soprano, pieces: 'one-piece' }).pieces).toBe(
      'one-piece',
    ));

  test('from before a field was asked about, has the usual option there', () => {
    const { pieces, ...before } = soprano;
    expect(pieces).toBe('two-piece');
    expect(storedBuild(BOOK, 'one', 'soprano-saxophone', before)).toEqual(soprano);
  });

  test.each([
    ['a field of another kind', { ...soprano, bag: 'hide' }],
    ['an option of another kind', { ...soprano, pads: 'skin' }],
  ])('with %s is a fault that is named', (_, build) =>
    expect(() => storedBuild(BOOK, 'one', 'soprano-saxophone', build as never)).toThrow('build of one'),
  );
});
