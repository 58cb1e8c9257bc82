import { expect, test } from '@jest/globals';
import { playMinutes } from '#server/features/reeds/reeds.mapper.ts';

type Told = Parameters<typeof playMinutes>[0];
const told = (minutes: number, shares: readonly number[]): Told =>
  ({
    told: {
      ofMinutes: 60,
      high: 'some',
      shares: shares.map((share, at) => ({ reedId: `box/${at + 1}`, minutes: share })),
    },
    play: { endedOn: '2026-11-27', endedAtMinute: 1200, minutes },
  }) as unknown as Told;

test('the reeds of a play share its minutes as it stands now: one follows, several keep their shares', () => {
  const minutes = (of: Told) => playMinutes(of).map((use) => use.minutes);
  expect(minutes(told(60, [60]))).toEqual([60]);
  expect(minutes(told(45, [60]))).toEqual([45]);
  expect(minutes(told(60, [40, 20]))).toEqual([40, 20]);
  expect(minutes(told(90, [40, 20]))).toEqual([60, 30]);
  expect(playMinutes(told(60, [60]))[0]).toMatchObject({ reedId: 'box/1', on: '2026-11-27', high: 'some' });
});
