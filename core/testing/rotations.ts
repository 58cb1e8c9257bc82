import prand from 'pure-rand';
import type { Rotation, RotationReed } from '#core/reeds/rotation.ts';

/** A reed that is broken in and new, for rehearsals. */
export const aReed = (over: Partial<RotationReed> = {}): RotationReed => ({
  id: 'one',
  ramp: [],
  cap: 90,
  rests: true,
  from: 0,
  share: 0,
  life: 1200,
  isConcert: false,
  isPracticeOnly: false,
  pinned: {},
  ...over,
});

/** Ten reeds over 28 days, drawn by seed: a third being broken in, four of concert grade, two concerts or so. */
export function fourWeeks(seed: number): Rotation {
  const dice = prand.xoroshiro128plus(seed);
  const whole = (least: number, most: number) => prand.unsafeUniformIntDistribution(least, most, dice);
  const days = Array.from({ length: 28 }, () => {
    const isConcert = whole(0, 13) === 0;
    const minutes = isConcert || whole(0, 9) < 7 ? whole(6, 30) * 5 : 0;
    return { minutes, concertMinutes: isConcert ? Math.min(minutes, 90) : 0 };
  });
  const reeds = Array.from({ length: 10 }, (_, index) => ({
    id: `r${index}`,
    ramp: index < 3 ? [5, 10, 15, 20, 30, 40, 50].slice(whole(0, 6)) : [],
    cap: 90,
    rests: true,
    from: whole(0, 1),
    share: whole(0, 70) / 100,
    life: whole(900, 1600),
    isConcert: index >= 3 && index < 7,
    isPracticeOnly: index === 9,
    pinned: {},
  }));
  return { days, reeds };
}
