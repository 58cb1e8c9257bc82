import { describe, expect, test } from '@jest/globals';
import { MOMENTS, placeOf } from '#web/app/moments.ts';

describe('where a path is', () => {
  test.each(MOMENTS)('$path is the moment $name, of one instrument or of all', ({ path, name }) => {
    expect(placeOf(`/${path}`)).toEqual({ moment: path, name, instrumentId: null });
    expect(placeOf(`/${path}/ada-s%20horn`)).toEqual({ moment: path, name, instrumentId: 'ada-s horn' });
  });

  test('what may be used is asked in Care', () => {
    expect(placeOf('/may-i-use')).toMatchObject({ moment: 'care', name: 'Care' });
  });

  test.each([
    ['/settings', 'Settings'],
    ['/players', 'Players'],
    ['/add', 'Add an instrument'],
    ['/', 'Ulu'],
    ['/no/such', 'Ulu'],
  ])('%s is no moment, and none is lit on the rail', (path, name) => {
    expect(placeOf(path)).toMatchObject({ moment: null, name });
  });

  test('a path that is nothing a browser would write stands as it is', () => {
    expect(placeOf('/now/%E0%A4%A')).toMatchObject({ instrumentId: '%E0%A4%A' });
  });

  test('each moment has a key of its own', () => {
    expect(new Set(MOMENTS.map(({ key }) => key)).size).toBe(MOMENTS.length);
  });
});
