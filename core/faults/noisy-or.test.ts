import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { beliefIn, chanceOfSign, checkNet, type NoisyNet, type Observed } from '#core/faults/noisy-or.ts';
import { entropyBits, expectedGain, gainOfNamed, gainOfSign, namedOf } from '#core/faults/gain.ts';
import {
  byEveryWorld,
  gainOfNamingSetBySet,
  gainSetBySet,
  setsOfCauses,
  type Variable,
} from '#core/testing/fault-oracle.ts';

const close = (value: number, to: number, digits = 8) => expect(value).toBeCloseTo(to, digits);

describe('the enumerator of worlds, which the rest is tried against', () => {
  const ASIA: readonly Variable[] = [
    { name: 'asia', given: [], yes: () => 0.01 },
    { name: 'smoke', given: [], yes: () => 0.5 },
    { name: 'tub', given: ['asia'], yes: ([asia]) => (asia ? 0.05 : 0.01) },
    { name: 'lung', given: ['smoke'], yes: ([smoke]) => (smoke ? 0.1 : 0.01) },
    { name: 'bronc', given: ['smoke'], yes: ([smoke]) => (smoke ? 0.6 : 0.3) },
    { name: 'either', given: ['tub', 'lung'], yes: ([tub, lung]) => (tub || lung ? 1 : 0) },
    { name: 'xray', given: ['either'], yes: ([either]) => (either ? 0.98 : 0.05) },
    {
      name: 'dysp',
      given: ['either', 'bronc'],
      yes: ([either, bronc]) => (either ? (bronc ? 0.9 : 0.7) : bronc ? 0.8 : 0.1),
    },
  ];
  // Lauritzen & Spiegelhalter 1988, J. R. Stat. Soc. B 50:157–224; posteriors enumerated elsewhere to eight digits.
  test.each([
    [{}, 'tub', 1, 0.0104],
    [{}, 'dysp', 1, 0.4359706],
    [{ dysp: true }, 'bronc', 0.4359706, 0.83396734],
    [{ asia: true, xray: true, dysp: true }, 'tub', 0.00098823, 0.39171172],
    [{ asia: true, smoke: false, dysp: true, xray: false }, 'lung', 0.00138941, 0.000547],
  ] as const)('chest clinic: given %o, %s', (evidence, asked, ofEvidence, chance) => {
    const found = byEveryWorld(ASIA, evidence, { [asked]: true });
    close(found.ofEvidence, ofEvidence);
    close(found.chance, chance);
  });

  const ALARM: readonly Variable[] = [
    { name: 'B', given: [], yes: () => 0.001 },
    { name: 'E', given: [], yes: () => 0.002 },
    { name: 'A', given: ['B', 'E'], yes: ([b, e]) => (b ? (e ? 0.95 : 0.94) : e ? 0.29 : 0.001) },
    { name: 'J', given: ['A'], yes: ([a]) => (a ? 0.9 : 0.05) },
    { name: 'M', given: ['A'], yes: ([a]) => (a ? 0.7 : 0.01) },
  ];
  // Pearl 1988; figures of Russell & Norvig, 3rd ed., fig. 14.2.
  test.each([
    [{ J: true, M: true }, 'E', 0.17606684],
    [{ J: true, M: true }, 'A', 0.76069204],
    [{ A: true, E: true }, 'B', 0.00326842],
    [{ J: true, M: false }, 'B', 0.00512986],
  ] as const)('burglary: given %o, %s', (evidence, asked, chance) => {
    close(byEveryWorld(ALARM, evidence, { [asked]: true }).chance, chance);
  });

  const SPRINKLER: readonly Variable[] = [
    { name: 'C', given: [], yes: () => 0.5 },
    { name: 'S', given: ['C'], yes: ([c]) => (c ? 0.1 : 0.5) },
    { name: 'R', given: ['C'], yes: ([c]) => (c ? 0.8 : 0.2) },
    { name: 'W', given: ['S', 'R'], yes: ([s, r]) => (s ? (r ? 0.99 : 0.9) : r ? 0.9 : 0) },
  ];
  // Russell & Norvig, fig. 14.12.
  test('sprinkler', () => {
    close(byEveryWorld(SPRINKLER, {}, { W: true }).chance, 0.6471);
    close(byEveryWorld(SPRINKLER, { W: true }, { R: true }).chance, 0.70792768);
    close(
      byEveryWorld(SPRINKLER, { S: true, W: true }, { R: true }).ofEvidence,
      0.5 * 0.1 * (0.8 * 0.99 + 0.2 * 0.9) + 0.5 * 0.5 * (0.2 * 0.99 + 0.8 * 0.9),
    );
    close(byEveryWorld(SPRINKLER, { R: true, W: true }, { S: true }).chance, 0.19449902);
  });
});

describe('a fever of cold, flu and malaria (Russell & Norvig, fig. 14.10)', () => {
  const misses = [0.6, 0.2, 0.1];
  test.each([
    [[], 0, 0.05],
    [[1], 0.8, 0.81],
    [[1, 2], 0.98, 0.981],
    [[0, 2], 0.94, 0.943],
    [[0, 1], 0.88, 0.886],
  ] as const)('of causes %o', (causes, plain, leaking) => {
    close(chanceOfSign({ leak: 0, misses }, causes), plain, 12);
    close(chanceOfSign({ leak: 0.05, misses }, causes), leaking, 12);
  });

  // Worked out elsewhere by enumeration, with priors .10, .05, .01 and leak .02.
  test('which of them it is', () => {
    const net: NoisyNet = { priors: [0.1, 0.05, 0.01], signs: [{ leak: 0.02, misses }], wrong: 0, least: 0, most: 3 };
    const fever = beliefIn(net, [{ sign: 0, yes: true }]);
    close(fever.ofAnswers, 0.10496051);
    close(fever.chance[1] ?? 0, 0.38754262);
    close(fever.chance[2] ?? 0, 0.08666909);
    close(beliefIn(net, [{ sign: 0, yes: false }]).chance[1] ?? 0, 0.01041667);
  });
});

describe('what an answer is expected to tell', () => {
  // Quinlan 1986, Machine Learning 1:81–106 (printed 0.940, 0.151, 0.048); Russell & Norvig, the restaurant (0.541, 0).
  test('the Saturday mornings, and the restaurant', () => {
    close(entropyBits([9 / 14, 5 / 14]), 0.94028596);
    close(expectedGain([9 / 14, 5 / 14], [3 / 9, 4 / 5]), 0.1518355);
    close(expectedGain([9 / 14, 5 / 14], [6 / 9, 2 / 5]), 0.04812703);
    close(expectedGain([0.5, 0.5], [1 / 3, 1 / 3]), 0);
  });
  // Worked out elsewhere: four faults, a test by sucking and one by the feeler.
  test('four faults and two tests', () => {
    const prior = [0.5, 0.25, 0.15, 0.1];
    close(entropyBits(prior), 1.74273765);
    close(expectedGain(prior, [0.8, 0.7, 0.1, 0.2]), 0.24097063);
    close(expectedGain(prior, [0.05, 0.9, 0.5, 0.1]), 0.46260656);
  });
  test('lists that do not fit, and what is no chance, are refused', () => {
    expect(() => expectedGain([1], [])).toThrow(RangeError);
    expect(() => expectedGain([1], [Number.NaN])).toThrow(RangeError);
    expect(() => expectedGain([2], [0.5])).toThrow(RangeError);
  });
});

const chance = (most = 1) => fc.double({ min: 0, max: most, noNaN: true });
/** No figure is so small that only its rounding tells it from nothing. */
const hundredths = (value: number): number => Math.round(value * 100) / 100;
const netOf = (causes: number) =>
  fc.record({
    priors: fc.array(fc.double({ min: 0.001, max: 0.6, noNaN: true }), { minLength: causes, maxLength: causes }),
    signs: fc.array(
      fc.record({
        leak: fc.oneof(fc.constant(0), chance(0.3).map(hundredths)),
        misses: fc.array(fc.oneof(fc.constant(1), fc.constant(0), chance().map(hundredths)), {
          minLength: causes,
          maxLength: causes,
        }),
      }),
      { minLength: 2, maxLength: 6 },
    ),
    // Never wrong, and nothing shown by itself: some answers are impossible then, some only with a second cause.
    wrong: fc.constantFrom(0, 0.01, 0.05, 0.2),
    least: fc.constantFrom(0 as const, 1 as const),
    most: fc.constantFrom(1 as const, 2 as const, 3 as const),
  });

test('belief and gain are those of every set of up to three causes, written down one by one', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 6 }).chain(netOf),
      fc.array(fc.record({ sign: fc.nat(1), yes: fc.boolean() }), { maxLength: 3 }),
      (net, answers: Observed[]) => {
        const sets = setsOfCauses(net, answers, [net.least, net.most]);
        if (sets.some((one) => Number.isNaN(one.chance))) {
          expect(() => beliefIn(net, answers)).toThrow(RangeError);
          return;
        }
        const belief = beliefIn(net, answers);
        const off = net.priors.map((_, cause) => {
          const counted = sets.filter(({ set }) => set.includes(cause)).reduce((sum, one) => sum + one.chance, 0);
          return Math.abs(counted - (belief.chance[cause] ?? 0));
        });
        const gains = net.signs.map((_, sign) => Math.abs(gainSetBySet(sets, sign) - gainOfSign(net, belief, sign)));
        const named = net.signs.map((_, sign) => sign).slice(0, 4);
        const naming = Math.abs(gainOfNamingSetBySet(sets, named) - gainOfNamed(net, belief, named));
        expect(Math.max(...off, ...gains, naming)).toBeLessThan(1e-9);
      },
    ),
    { numRuns: 300, seed: 27 },
  );
});

test('of what is there one is named, each as likely as another, or none', () => {
  // By hand: of two that are there one half of the time each, one is named in 3 of 8, none in 2 of 8.
  expect(namedOf([0.5, 0.5])).toEqual([0.375, 0.375, 0.25]);
  expect(namedOf([1, 1, 1]).map((one) => Math.round(one * 1e9) / 1e9)).toEqual([
    0.333333333, 0.333333333, 0.333333333, 0,
  ]);
  expect(namedOf([0, 0.2])).toEqual([0, 0.2, 0.8]);
});

test('figures that are no chances are refused by name', () => {
  const net: NoisyNet = { priors: [0.1], signs: [{ leak: 0, misses: [0.5] }], wrong: 0.05, least: 1, most: 3 };
  expect(() => checkNet(net)).not.toThrow();
  for (const broken of [
    { ...net, priors: [1] },
    { ...net, priors: [Number.NaN] },
    { ...net, wrong: 0.7 },
    { ...net, signs: [{ leak: -0.1, misses: [0.5] }] },
    { ...net, signs: [{ leak: 0, misses: [] }] },
  ])
    expect(() => checkNet(broken)).toThrow(RangeError);
  expect(() => beliefIn(net, [{ sign: 4, yes: true }])).toThrow(RangeError);
  expect(() => gainOfSign(net, beliefIn(net, []), 4)).toThrow(RangeError);
});
