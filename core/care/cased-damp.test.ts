import { describe, expect, test } from '@jest/globals';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import { casedDampSince } from '#core/care/cased-damp.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { dampWords, nightsBetween } from '#core/situation/damp-words.ts';

const HOUR = 60;
const DAY = 24 * HOUR;
const playsAt = (...at: number[]) =>
  playColumns(
    Int32Array.from(at),
    Int32Array.from(at, () => 30),
  );
const since = (signs: readonly number[], dried: number | null, ...played: number[]) =>
  casedDampSince({
    signs: new Map(
      signs.length === 0
        ? []
        : [
            [
              CASED_DAMP,
              {
                sign: null,
                part: 'case',
                atWallMinute: signs.at(-1) ?? 0,
                earlier: signs.slice(0, -1).map((one) => ({ sign: null, part: 'case', atWallMinute: one })),
              },
            ],
          ],
    ),
    lastDone: new Map(dried === null ? [] : [[CASED_DAMP, { atWallMinute: dried, by: 'player' }]]),
    plays: playsAt(...played),
  });

describe('cased damp', () => {
  test('since it was packed up on the way, until it is dried', () => {
    expect(since([], null, 100)).toBeNull();
    expect(since([200], null, 100)).toBe(200);
    expect(since([200], 300, 100)).toBeNull();
  });

  test('on a tour since the first evening, however often it was played in between', () => {
    expect(since([200, 200 + DAY, 200 + 2 * DAY], null, 100, 100 + DAY, 100 + 2 * DAY)).toBe(200);
    expect(since([200, 200 + DAY, 200 + 2 * DAY], 300 + DAY, 100 + 2 * DAY)).toBe(200 + 2 * DAY);
  });

  test('not while it is out and played again: then it is packed up', () => {
    expect(since([200], null, 100, 900)).toBeNull();
    // The last of its plays decides, however many there were.
    expect(since([200], null, 50, 100, 900)).toBeNull();
    expect(since([200], null, 50, 100, 150)).toBe(200);
  });
});

describe('in words', () => {
  const evening = 22 * HOUR;
  test('hours of the day, then nights', () => {
    expect(dampWords(evening, evening + 20)).toBe('Just cased damp');
    expect(dampWords(evening, evening + 2 * HOUR)).toBe('Cased damp for about 2 h');
    expect(dampWords(evening, DAY + 9 * HOUR)).toBe('Cased damp overnight, about 11 h');
    expect(dampWords(evening, 2 * DAY + 9 * HOUR)).toBe('Cased damp for 2 nights: dry it before anything else');
  });

  test('whoever comes home after midnight has had one night by the morning', () => {
    expect(nightsBetween(DAY + HOUR, DAY + 2 * HOUR)).toBe(0);
    expect(nightsBetween(DAY + HOUR, DAY + 9 * HOUR)).toBe(1);
    expect(nightsBetween(evening, DAY + 9 * HOUR)).toBe(1);
  });
});
