import { expect, test } from '@jest/globals';
import type { StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { soaksTooLong } from '#core/packup/soaks.ts';

type Timed = Parameters<typeof soaksTooLong>[0][number];
const horn = 'horn' as InstrumentId;
const timed = (id: string, startsAtMinute: number, over: Partial<Step> = {}, instrumentId = horn): Timed => ({
  instrumentId,
  step: { id: `wind/${id}` as StepId, part: 'mouthpiece', ...over } as Step,
  activeMinutes: 1,
  startsAtMinute,
});
const soak = (most?: number): Partial<Step> => ({
  wait: {
    minutes: { value: 10, mark: 'estimate' },
    ...(most !== undefined && { most: { value: most, mark: 'estimate' } }),
    why: '',
    until: ['wind/rinse'],
  },
});

test('a soak lasts from the end of what begins it to the start of what ends it, and no longer than its most', () => {
  const at = (minute: number, most?: number) => soaksTooLong([timed('soak', 4, soak(most)), timed('rinse', minute)]);
  expect([at(17, 12), at(90)]).toEqual([[], []]);
  expect(at(18, 12)).toMatchObject([{ rule: 'soaks-too-long', step: 'wind/rinse', by: 'wind/soak' }]);
});

test('another instrument’s rinse ends nothing, and what was left out has no time', () => {
  const other = 'other' as InstrumentId;
  expect(soaksTooLong([timed('soak', 0, soak(12)), timed('rinse', 60, {}, other)])).toEqual([]);
  expect(soaksTooLong([{ ...timed('soak', 0, soak(12)), startsAtMinute: null }, timed('rinse', 60)])).toEqual([]);
});
