import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { improveRotation } from '#core/reeds/improve-rotation.ts';
import type { Rotation } from '#core/reeds/rotation.ts';
import { leastRotation, rotationCost } from '#core/testing/rotation-oracle.ts';
import { aReed } from '#core/testing/rotations.ts';

const ON = { aborted: false };

/** One reed, ready or not, on a few days of which one may be a concert: few enough to try every plan. */
const alone = fc
  .record({
    minutes: fc.array(fc.constantFrom(0, 10, 20, 35), { minLength: 2, maxLength: 4 }),
    concert: fc.integer({ min: -1, max: 3 }),
    ramp: fc.constantFrom<readonly number[]>([], [10], [5, 10]),
    share: fc.constantFrom(0, 0.3, 0.6),
    isConcert: fc.boolean(),
    rests: fc.boolean(),
  })
  .map(({ minutes, concert, ...reed }): Rotation => ({
    days: minutes.map((one, day) => ({ minutes: one, concertMinutes: day === concert ? one : 0 })),
    reeds: [aReed({ ...reed, cap: 40, life: 100 })],
  }));

test('one reed alone is planned best at once: what a session gains is what the plan then costs less', () => {
  fc.assert(
    fc.property(alone, (rotation) => {
      const found = rotationCost(rotation, improveRotation(rotation, { rounds: 0, stop: ON }));
      expect(found).toBeCloseTo(leastRotation(rotation), 6);
    }),
    { seed: 63, numRuns: 200 },
  );
});
