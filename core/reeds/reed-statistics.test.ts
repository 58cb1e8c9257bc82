import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { chanceOfGood, fewestToOpen } from '#core/reeds/good-reeds.ts';
import { bandOf, drawnCurve, kaplanMeier, medianOf, type Lifetime } from '#core/reeds/survival.ts';
import { lifeBelief } from '#core/reeds/weibull-life.ts';

/** "6 6+ 7": lives from new, + still alive. */
const lives = (text: string): Lifetime[] =>
  text.split(' ').map((one) => ({ entered: 0, left: Number.parseFloat(one), ended: !one.endsWith('+') }));

/**
 * Remission in weeks: Freireich et al. 1963 (Blood 21:699–716), data in Gehan 1965 (Biometrika 52:203–223), shipped as
 * MASS::gehan; S and standard errors as R survival 3.5-3 gives them (0.857, 0.753 … as printed in Cox and Oakes 1984).
 */
const SIX_MP = lives('6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+');
const PLACEBO = lives('1 1 2 2 3 4 4 5 5 8 8 8 8 11 11 12 12 15 17 22 23');
const TWELVE = lives('9 14 16 18.5 21 22 25 26 30 12+ 20+ 28+');

describe('the curve of lives', () => {
  test.each([
    [SIX_MP, 6, 21, 0.857143, 0.07636],
    [SIX_MP, 10, 15, 0.752941, 0.09635],
    [SIX_MP, 13, 12, 0.690196, 0.106815],
    [SIX_MP, 22, 7, 0.537815, 0.128234],
    [SIX_MP, 23, 6, 0.448179, 0.134591],
    [PLACEBO, 1, 21, 0.904762, 0.064056],
    [PLACEBO, 8, 12, 0.380952, 0.105971],
    [PLACEBO, 17, 3, 0.095238, 0.064056],
    [TWELVE, 9, 12, 0.916667, 0.079786],
    [TWELVE, 18.5, 8, 0.641667, 0.144101],
    [TWELVE, 25, 4, 0.320833, 0.149489],
  ])('is the published one %#', (data, at, atRisk, survival, se) => {
    expect(kaplanMeier(data).find((step) => step.at === at)).toMatchObject({
      atRisk,
      survival: expect.closeTo(survival, 6),
      se: expect.closeTo(se, 6),
    });
  });

  test('has the published medians: 23 and 8 weeks', () => {
    expect([medianOf(kaplanMeier(SIX_MP)), medianOf(kaplanMeier(PLACEBO))]).toEqual([23, 8]);
    expect(medianOf(kaplanMeier(lives('3+ 4+')))).toBeNull();
  });

  test('has the band of 90 % on the log(−log) scale, by hand', () => {
    // 6-MP at week 10: 1.644854 · 0.09635 ÷ (0.752941 · 0.283768) = 0.741745, and S to the power of e to plus and minus that.
    const step = kaplanMeier(SIX_MP).find(({ at }) => at === 10);
    const [low, high] = step === undefined ? [] : bandOf(step);
    expect([low, high]).toEqual([expect.closeTo(0.55112, 4), expect.closeTo(0.87358, 4)]);
  });

  test('says nothing where all have ended: its band is the whole of 0 to 1', () => {
    const last = kaplanMeier(lives('3 5')).at(-1);
    expect(last && [last.survival, bandOf(last)]).toEqual([0, [0, 1]]);
    expect(bandOf({ at: 1, atRisk: 3, ended: 0, survival: 1, se: 0 })).toEqual([0, 1]);
  });

  test('who entered late is at risk only from then on', () => {
    const late: Lifetime[] = [
      { entered: 0, left: 5, ended: true },
      { entered: 6, left: 9, ended: true },
      { entered: 0, left: 8, ended: true },
      { entered: 0, left: 10, ended: false },
    ];
    // By hand: at 5 three are at risk, at 8 three, at 9 two.
    expect(kaplanMeier(late).map(({ atRisk, survival }) => [atRisk, survival])).toEqual([
      [3, expect.closeTo(2 / 3)],
      [3, expect.closeTo(4 / 9)],
      [2, expect.closeTo(2 / 9)],
    ]);
  });

  test('stops where one or two would speak for all that came later, and nowhere else', () => {
    const late = (entered: number, left: number, ended = true): Lifetime => ({ entered, left, ended });
    expect(drawnCurve(SIX_MP)).toEqual({ steps: kaplanMeier(SIX_MP), stopsAt: null });
    // Everybody entered in time: its end is drawn although one is at risk.
    expect(drawnCurve(TWELVE).steps.at(-1)).toMatchObject({ at: 30, atRisk: 1 });
    const early = [late(0, 1), late(10, 20), late(10, 25), late(10, 30)];
    expect(drawnCurve(early)).toMatchObject({ steps: [], stopsAt: { at: 1, atRisk: 1 } });
    const three = [late(0, 1), late(0, 12, false), late(0, 14, false), late(10, 20), late(10, 25)];
    expect(drawnCurve(three).stopsAt).toBeNull();
    const later = [late(0, 1), late(0, 2), late(0, 3), late(10, 20)];
    expect(drawnCurve(later)).toMatchObject({ steps: [{ at: 1, atRisk: 3 }], stopsAt: { at: 2, atRisk: 2 } });
    const all = [late(0, 1), late(0, 1), late(0, 1), late(10, 20)];
    expect(drawnCurve(all)).toMatchObject({ steps: [], stopsAt: { at: 1, atRisk: 3 } });
    // Who entered at that very age is at risk only from then on.
    expect(drawnCurve([late(0, 10), late(10, 20)]).stopsAt).toMatchObject({ at: 10, atRisk: 1 });
  });

  test('falls, stays between 0 and 1 and keeps its band round it, whatever the lives', () => {
    const life = fc.record({ entered: fc.nat(30), length: fc.integer({ min: 1, max: 60 }), ended: fc.boolean() });
    fc.assert(
      fc.property(fc.array(life, { maxLength: 60 }), (all) => {
        const steps = kaplanMeier(
          all.map(({ entered, length, ended }) => ({ entered, left: entered + length, ended })),
        );
        let last = 1;
        for (const step of steps) {
          const [low, high] = bandOf(step);
          expect(step.survival).toBeLessThan(last + 1e-12);
          expect([low >= 0, low <= step.survival + 1e-12, high >= step.survival - 1e-12, high <= 1]).not.toContain(
            false,
          );
          last = step.survival;
        }
      }),
    );
  });
});

/** Hours; a median about a month of regular playing, 4 × 5 h. */
const PRIOR = { median: 20, medianSpread: 0.5, shape: 2.5, shapeSpread: 0.35 };

describe('what lives tell of the next one', () => {
  // Grid values recomputed with an independent two-dimensional quadrature (scipy dblquad): S within 5e-5.
  test.each([
    ['no data', [], 22.6597, 12.0544, 2.6577, 0.81029, 0.47665, 0.25557, 19.2028],
    ['3 short lives', lives('6 8 9'), 9.3059, 2.8558, 3.0757, 0.3596, 0.04282, 0.01006, 8.5746],
    ['12 lives', TWELVE, 21.7488, 2.6346, 3.0354, 0.92228, 0.57421, 0.17211, 21.5957],
  ])('with %s', (_, data, mean, sd, shape, at10, at20, at30, median) => {
    const belief = lifeBelief(data, PRIOR);
    expect([10, 20, 30].map((age) => belief.survival(age))).toEqual([
      expect.closeTo(at10, 4),
      expect.closeTo(at20, 4),
      expect.closeTo(at30, 4),
    ]);
    expect(belief.median.mean).toBeCloseTo(mean, 3);
    expect(belief.median.sd).toBeCloseTo(sd, 3);
    expect(belief.shape.mean).toBeCloseTo(shape, 3);
    expect(Math.abs(belief.ageAt(0.5) - median)).toBeLessThan(0.02);
  });

  test('the chance of going on is that of having come so far', () => {
    const belief = lifeBelief(TWELVE, PRIOR);
    expect(belief.having(15).lasts(5)).toBeCloseTo(0.73302, 4);
    expect(belief.having(25).lasts(5)).toBeCloseTo(0.4963, 4);
    const further = belief.having(15).outlives(0.5);
    expect(belief.survival(15 + further) / belief.survival(15)).toBeCloseTo(0.5, 6);
    expect(belief.ageAt(0.9)).toBeCloseTo(11.041, 2);
    expect(lifeBelief([], PRIOR).ageAt(0.9)).toBeCloseTo(7.0867, 2);
  });

  /** The oracle: P(T > age + further | T > age, the others) summed over another grid, finer and wider, from the words. */
  function goesOn(others: readonly Lifetime[], age: number, further: number): number {
    let [reached, gone] = [0, 0];
    for (let zm = -6; zm <= 6; zm += 0.07)
      for (let zk = -5; zk <= 5; zk += 0.07) {
        const [median, shape] = [20 * Math.exp(0.5 * zm), 2.5 * Math.exp(0.35 * zk)];
        const scale = median / Math.LN2 ** (1 / shape);
        const alive = (t: number) => Math.exp(-((t / scale) ** shape));
        let weight = Math.exp(-(zm ** 2 + zk ** 2) / 2);
        for (const { entered, left, ended } of others)
          weight *=
            (ended ? (shape / scale) * (left / scale) ** (shape - 1) * alive(left) : alive(left)) / alive(entered);
        reached += weight * alive(age);
        gone += weight * alive(age + further);
      }
    return gone / reached;
  }

  test.each([
    ['still young', '20+', 12],
    ['the oldest of all', '28+', 28],
    ['alone', '', 25],
  ])('what is left of a living one counts its own age once: %s', (_, own, age) => {
    const others = own === '' ? [] : TWELVE.filter(({ left }) => left !== Number.parseFloat(own));
    const life = { entered: 0, left: age, ended: false };
    const onward = lifeBelief([...others, life], PRIOR)
      .without(life)
      .having(age);
    for (const chance of [0.9, 0.5, 0.1]) expect(goesOn(others, age, onward.outlives(chance))).toBeCloseTo(chance, 3);
    expect(onward.lasts(10)).toBeCloseTo(goesOn(others, age, 10), 3);
  });

  test('what is left falls off no cliff, however old it has become', () => {
    const ages = [10, 50, 100, 200, 400, 1000, 5000];
    const left = ages.map((age) => lifeBelief(TWELVE, PRIOR).having(age).outlives(0.5));
    left.forEach((further, at) =>
      expect(
        lifeBelief(TWELVE, PRIOR)
          .having(ages[at] ?? 0)
          .lasts(further),
      ).toBeCloseTo(0.5, 6),
    );
    // A Weibull life ages: under the gentlest shapes of the grid the chance to go on is still of the order of the age.
    expect(left.every((further, at) => further > (ages[at] ?? 0) / 1000 && further < (ages[at] ?? 0) * 2)).toBe(true);
  });

  test('a life taken away is as if it had never been seen, also one that came half gone or ended', () => {
    for (const life of [
      { entered: 4, left: 19, ended: false },
      { entered: 0, left: 7, ended: true },
    ]) {
      const before = lifeBelief(TWELVE, PRIOR);
      const after = lifeBelief([...TWELVE, life], PRIOR).without(life);
      expect(after.seen).toEqual(before.seen);
      expect([after.median.mean, after.survival(20)]).toEqual([
        expect.closeTo(before.median.mean, 9),
        expect.closeTo(before.survival(20), 9),
      ]);
    }
  });

  test.each([
    ['left before it was entered', { entered: 5, left: 4, ended: false }],
    ['ended at once', { entered: 0, left: 0, ended: true }],
    ['no number', { entered: 0, left: NaN, ended: false }],
    ['without end', { entered: 0, left: Infinity, ended: false }],
  ])('no life, and no chance, that is none: %s', (_, life) => {
    expect(() => lifeBelief([life], PRIOR)).toThrow(RangeError);
    const belief = lifeBelief([], PRIOR);
    for (const chance of [0, 1, -1, NaN, Infinity]) expect(() => belief.ageAt(chance)).toThrow(RangeError);
    for (const age of [-1, NaN, Infinity]) expect(() => belief.having(age)).toThrow(RangeError);
  });

  test('a life watched only from late on says less than a whole one, and nothing of its youth', () => {
    const late = lifeBelief([{ entered: 15, left: 16, ended: true }], PRIOR);
    const whole = lifeBelief([{ entered: 0, left: 16, ended: true }], PRIOR);
    const none = lifeBelief([], PRIOR);
    expect(late.median.mean).toBeLessThan(none.median.mean);
    // That it lived to 15 was not seen: it speaks for shorter lives than the whole one does.
    expect(late.survival(10)).toBeLessThan(whole.survival(10));
    expect(late.seen).toEqual({ ended: 1, alive: 0 });
  });

  test('one still alive after long speaks for longer lives', () => {
    expect(lifeBelief(lives('60+'), PRIOR).median.mean).toBeGreaterThan(lifeBelief([], PRIOR).median.mean);
  });
});

describe('how many to open', () => {
  // Beta-binomial, computed with jStat and checked with scipy.stats.betabinom.
  test.each([
    [2, 2, 1, 0.96153846, 9, 0.95454545],
    [2, 2, 3, 0.7972028, 24, 0.95145299],
    [5, 4, 2, 0.96832579, 9, 0.95701357],
    [5, 4, 3, 0.91176471, 13, 0.95923633],
    [8, 6, 1, 0.99737515, 5, 0.97058824],
    [8, 6, 2, 0.98337596, 8, 0.9625387],
    [1, 1, 1, 0.90909091, 19, 0.95],
    [1, 1, 3, 0.72727273, 59, 0.95],
    [2, 3, 2, 0.82417582, 23, 0.95145299],
    [2, 3, 3, 0.68931069, 33, 0.95001893],
    [22, 22, 1, 0.99772542, 5, 0.96158392],
    [22, 22, 2, 0.98158328, 8, 0.95235115],
  ])('Beta(%d, %d), at least %d', (good, bad, wanted, ofTen, fewest, chance) => {
    expect(chanceOfGood(10, wanted, { good, bad })).toBeCloseTo(ofTen, 8);
    expect(fewestToOpen(wanted, { good, bad }, 0.95)).toBe(fewest);
    expect(chanceOfGood(fewest, wanted, { good, bad })).toBeCloseTo(chance, 8);
  });

  test('a share that is as good as known is the binomial: 8 of 0.6 for 3 with 95 %', () => {
    const known = { good: 6e6, bad: 4e6 };
    expect(fewestToOpen(3, known, 0.95)).toBe(8);
    expect(chanceOfGood(8, 3, known)).toBeCloseTo(0.95019264, 4);
  });

  test('none wanted is certain; what no number reaches is said', () => {
    expect([chanceOfGood(5, 0, { good: 1, bad: 1 }), chanceOfGood(2, 3, { good: 1, bad: 1 })]).toEqual([1, 0]);
    expect(fewestToOpen(0, { good: 1, bad: 9 }, 0.99)).toBe(0);
    expect(fewestToOpen(400, { good: 1, bad: 9 }, 0.99)).toBeNull();
  });
});
