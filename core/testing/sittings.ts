import prand from 'pure-rand';
import type { SittingItem, Sittings } from '#core/sittings/sittings.ts';

/** Ten minutes of oil, due in three days, once a month. */
export const anItem = (over: Partial<SittingItem> = {}): SittingItem => ({
  id: 'oil',
  minutes: 10,
  due: 3,
  from: 0,
  until: Infinity,
  interval: 30,
  lateDay: 2,
  barred: new Set(),
  set: null,
  shown: null,
  ...over,
});

/** Forty items over six weeks with clocks of one to twelve weeks, half an hour on most days, a tour. */
export function sixWeeks(seed: number): Sittings {
  const dice = prand.xoroshiro128plus(seed * 7919);
  const whole = (least: number, most: number) => prand.unsafeUniformIntDistribution(least, most, dice);
  const away = whole(5, 30);
  const time = Array.from({ length: 42 }, (_, day) => (whole(0, 9) < 3 ? 0 : day % 7 > 4 ? 60 : whole(4, 9) * 5));
  const items = Array.from({ length: 40 }, (_, at) =>
    anItem({
      id: `i${at}`,
      minutes: whole(2, 18),
      due: whole(0, 45),
      interval: whole(1, 12) * 7,
      lateDay: whole(1, 3),
      barred: new Set(at % 3 === 0 ? Array.from({ length: 6 }, (__, day) => away + day) : []),
    }),
  );
  return { time, items };
}
