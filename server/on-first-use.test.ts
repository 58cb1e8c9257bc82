import { expect, test } from '@jest/globals';
import { beside, onFirstUse } from '#server/on-first-use.ts';

test('a room is made when it is first asked for, and once', () => {
  const made: string[] = [];
  const maker = (name: string) => () => {
    made.push(name);
    return { name };
  };
  const rooms = onFirstUse({ reeds: maker('reeds'), air: maker('air') });
  const all = beside(rooms, { book: 'book' });
  expect(made).toEqual([]);
  expect(all.air).toBe(rooms.air);
  expect([all.book, all.air.name]).toEqual(['book', 'air']);
  expect(made).toEqual(['air']);
  // Spread, nothing of it is lost.
  expect({ ...all }).toEqual({ book: 'book', air: { name: 'air' }, reeds: { name: 'reeds' } });
  expect(made).toEqual(['air', 'reeds']);
});

test('a room that cannot be made is tried again', () => {
  let tries = 0;
  const rooms = onFirstUse({
    air: () => {
      tries += 1;
      if (tries === 1) throw new Error('the disk is full');
      return 'air';
    },
  });
  expect(() => rooms.air).toThrow('the disk is full');
  expect(rooms.air).toBe('air');
});
