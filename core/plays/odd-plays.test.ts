import { expect, test } from '@jest/globals';
import type { Instrument } from '#core/instruments/instrument.ts';
import { oddPlays } from '#core/plays/odd-plays.ts';
import type { Play } from '#core/plays/play.ts';

const HORN = { acquiredOn: '2026-01-10', leftOn: '2026-03-01' } as Instrument;
const play = (key: string, endedOn: string, endedAtMinute: number | null = 600, minutes = 60) =>
  ({ key, endedOn, endedAtMinute, minutes }) as Play;
const odd = (...plays: readonly Play[]) =>
  oddPlays(plays, HORN, '2026-02-20' as Play['endedOn']).map(({ play: { key }, why }) => [key, why]);

test('plays no new one might be like are told, with why: those on the very days are as others are', () => {
  expect(odd(play('first day', '2026-01-10'), play('last day', '2026-02-20'))).toEqual([]);
  expect(odd(play('a', '2026-01-09'), play('b', '2026-02-21'), play('c', '2026-03-02'))).toEqual([
    ['a', 'before-it-came'],
    ['b', 'still-to-come'],
    ['c', 'after-it-left'],
  ]);
});

test('a play that runs into the one before is told; one that begins as the other ends is not', () => {
  expect(odd(play('a', '2026-02-01', 600), play('b', '2026-02-01', 659), play('c', '2026-02-01', 719))).toEqual([
    ['b', 'overlaps'],
  ]);
});
