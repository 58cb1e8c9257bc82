import { describe, expect, test } from '@jest/globals';
import { checkReedsInPlay, type PlayOnReeds } from '#core/reeds/reeds-in-play.ts';
import { aBox, REED_TODAY } from '#core/testing/reeds.ts';
import { reedId } from '#core/reeds/reed.ts';

const box = aBox({ before: [0, 0] });
const known = { boxes: [box], said: [] };
const reed = (number: number) => reedId(box.key, number);
const at = (endedAtMinute: number | null, minutes: number, shares: PlayOnReeds['shares']): PlayOnReeds => ({
  endedOn: REED_TODAY,
  endedAtMinute,
  minutes,
  shares,
});
const on = (number: number, minutes: number) => ({ reedId: reed(number), minutes });
const refusal = (play: PlayOnReeds, ...others: PlayOnReeds[]) => {
  const checked = checkReedsInPlay(play.shares, { ...play, kind: box.kind }, known, others);
  return checked.ok ? null : checked.failure;
};

describe('one reed on two plays at one hour', () => {
  test('is refused where it would have been played longer than both took', () => {
    // 19:00 to 20:00, and 19:30 to 20:30: an hour and a half in all.
    expect(refusal(at(1230, 60, [on(1, 60)]), at(1200, 60, [on(1, 31)]))).toEqual({
      code: 'reed-on-two-plays',
      field: 'shares[0].reedId',
      reeds: 91,
      minutes: 90,
    });
    expect(refusal(at(1230, 60, [on(1, 60)]), at(1200, 60, [on(1, 30)]))).toBeNull();
  });

  test('names the reed it is about, and no other', () => {
    const play = at(1230, 60, [on(2, 20), on(1, 40)]);
    expect(refusal(play, at(1200, 60, [on(1, 60)]))).toMatchObject({ field: 'shares[1].reedId', reeds: 100 });
    expect(refusal(play, at(1200, 60, [on(2, 60)]))).toBeNull();
  });

  test('is as good as ever before or after, within one evening, or where nobody knows the hour', () => {
    const play = at(1230, 60, [on(1, 60)]);
    expect(refusal(play, at(1170, 60, [on(1, 60)]), at(1290, 60, [on(1, 60)]))).toBeNull();
    expect(refusal(play, at(1230, 60, [on(1, 60)]))).toBeNull();
    expect(refusal(play, at(null, 60, [on(1, 60)]))).toBeNull();
    expect(refusal(at(null, 60, [on(1, 60)]), at(1230, 60, [on(1, 60)]))).toBeNull();
  });

  test('adds up over all the plays of that hour', () => {
    const quarter = (end: number) => at(end, 60, [on(1, 20)]);
    // Three of an hour each within 19:00 to 20:20.
    expect(refusal(at(1210, 60, [on(1, 40)]), quarter(1200), quarter(1220))).toBeNull();
    expect(refusal(at(1210, 60, [on(1, 41)]), quarter(1200), quarter(1220))).toMatchObject({ reeds: 81, minutes: 80 });
  });
});
