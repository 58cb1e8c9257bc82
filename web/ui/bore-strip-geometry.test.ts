import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { StripSegment } from '#contract/instruments.ts';
import { stripGeometry } from '#web/ui/bore-strip-geometry.ts';
import { pinsOf } from '#web/ui/strip-pins.ts';

const segment = (over: Partial<StripSegment> = {}): StripSegment => ({
  part: 'body',
  name: 'Body',
  lengthMm: 300,
  boreMm: [15, 15],
  waterShare: 0.5,
  waterGrams: 0.2,
  joint: null,
  form: null,
  ...over,
});

describe('the bore strip', () => {
  test('fills its length end to end, without gaps or overlaps, whatever it is made of', () => {
    const lengths = fc.array(fc.double({ min: 5, max: 4000, noNaN: true }), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(lengths, (given) => {
        const { placed, length } = stripGeometry(given.map((lengthMm) => segment({ lengthMm })));
        let x = 0;
        for (const one of placed) {
          expect(one.x).toBeCloseTo(x, 6);
          x += one.width;
        }
        expect(x).toBeCloseTo(length, 6);
      }),
      { seed: 2, numRuns: 150 },
    );
  });

  test('a longer part is drawn longer, but no part vanishes beside it', () => {
    const { placed } = stripGeometry([segment({ lengthMm: 40 }), segment({ lengthMm: 4000 })]);
    const [short, long] = placed;
    expect(long?.width).toBeGreaterThan(short?.width ?? 0);
    expect(short?.width).toBeGreaterThan(40);
  });

  test('drones stand above the sack they leave from and stay on the strip', () => {
    const { placed, length, above } = stripGeometry([
      segment({ form: 'sack' }),
      segment({ part: 'chanter' }),
      segment({ part: 'tenor-drones', form: 'side', lengthMm: 900 }),
      segment({ part: 'bass-drone', form: 'side', lengthMm: 1800 }),
    ]);
    const sides = placed.filter(({ form }) => form === 'side');
    expect(new Set(sides.map(({ lift }) => lift)).size).toBe(2);
    for (const { lift, x, width } of sides) {
      expect(lift).toBeLessThan(0);
      expect(-lift).toBeLessThan(above + 1);
      expect(x + width).toBeLessThanOrEqual(length + 1e-9);
    }
  });

  test('whatever is drawn, every number in the outline is one', () => {
    const any = fc.record({
      lengthMm: fc.double({ min: 1, max: 5000, noNaN: true }),
      near: fc.double({ min: 1, max: 400, noNaN: true }),
      far: fc.double({ min: 1, max: 400, noNaN: true }),
      form: fc.constantFrom(null, 'u-turn' as const, 'sack' as const, 'side' as const),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 8 }), (parts) => {
        const { placed } = stripGeometry(
          parts.map(({ lengthMm, near, far, form }) => segment({ lengthMm, boreMm: [near, far], form })),
        );
        for (const { outline, bore } of placed) expect(`${outline}${bore}`).not.toMatch(/NaN|Infinity/);
      }),
      { seed: 6, numRuns: 150 },
    );
  });
});

describe('pins', () => {
  const clock = (part: string, state: string, everyPlay = false) => ({ part, everyPlay, gauge: { state } }) as never;
  test('one for each part, its most pressing state, and how many share it', () => {
    expect(
      pinsOf([
        clock('bell', 'soon'),
        clock('bell', 'overdue'),
        clock('bell', 'overdue'),
        clock('neck', 'unknown'),
        clock('neck', 'fresh'),
        clock('body', 'due', true),
        clock('body', 'off'),
      ]),
    ).toEqual([
      { part: 'bell', state: 'overdue', count: 2 },
      { part: 'neck', state: 'unknown', count: 1 },
    ]);
  });
});
