import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { letOutWords, passReasonWords } from '#core/water/water-words.ts';
import { BOOK } from '#core/tables/book.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { absoluteHumidity, saturationPressure } from '#core/air/humidity.ts';
import { estimate, practice } from '#core/explain/explained.ts';
import type { WaterRow } from '#core/instruments/kind.ts';
import { condensate, condensationRate } from '#core/water/condensation.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { letOutAfter } from '#core/water/let-out.ts';
import { dryingPerPass, learnWetness } from '#core/water/wetness.ts';
import { passesFor } from '#core/water/passes.ts';

psychrolib.SetUnitSystem(psychrolib.SI);
const clarinet = BOOK.kinds['clarinet'].water;
const passes = (water: WaterRow, minutes: number, roomCelsius: number) =>
  passesFor({ water, minutes, roomCelsius, least: practice(1), most: estimate(15) }).value;

describe('humidity', () => {
  test('agrees with psychrolib (Hyland & Wexler 1983) within the stated 0.384 %, −10…50 °C', () => {
    for (let celsius = -10; celsius <= 50; celsius += 0.5) {
      const reference = psychrolib.GetVapPresFromRelHum(celsius, 1);
      expect(Math.abs(saturationPressure(celsius) / reference - 1)).toBeLessThan(0.00384);
    }
  });

  test('water in the air agrees with psychrolib’s humidity ratio and density, −10…40 °C, 10…100 %', () => {
    const pressure = 101_325;
    for (let celsius = -10; celsius <= 40; celsius += 2.5)
      for (let humidity = 0.1; humidity <= 1; humidity += 0.15) {
        const ratio = psychrolib.GetHumRatioFromRelHum(celsius, humidity, pressure);
        const density = psychrolib.GetMoistAirDensity(celsius, ratio, pressure);
        const reference = (1000 * density * ratio) / (1 + ratio);
        expect(Math.abs(absoluteHumidity(celsius, humidity) / reference - 1)).toBeLessThan(0.005);
      }
  });

  test('never falls as the air grows warmer, across freezing as well', () => {
    for (let celsius = -40; celsius < 50; celsius += 0.01)
      expect(saturationPressure(celsius + 0.01)).toBeGreaterThan(saturationPressure(celsius));
  });

  test('gives the breath its published water: 34 °C, 95 % is 35.61 g/m³', () => {
    expect(absoluteHumidity(34, 0.95)).toBeCloseTo(35.6106, 3);
    expect(absoluteHumidity(32, 1)).toBeCloseTo(33.7181, 3);
  });
});

describe('condensation', () => {
  // Worked examples computed beforehand from the same published formula; parameters are estimates.
  test.each([
    ['clarinet', 20, 0.0306, 1.224],
    ['trumpet', 20, 0.0737, 2.948],
  ] as const)('%s at %i °C: %f g/min', (kind, celsius, rate, grams40) => {
    expect(condensationRate(BOOK.kinds[kind].water, celsius)).toBeCloseTo(rate, 4);
    expect(condensate(BOOK.kinds[kind].water, 40, celsius)).toBeCloseTo(grams40, 3);
  });

  test('a room as warm as the breath leaves nothing, and a warmer room never more', () => {
    expect(condensate(clarinet, 40, 34)).toBe(0);
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 45, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (celsius, warmer) =>
          condensationRate(clarinet, celsius + warmer) <= condensationRate(clarinet, celsius) + 1e-12,
      ),
      { seed: 9 },
    );
  });
});

describe('letting water out of brass', () => {
  // Worked examples: pool ÷ rate at 20 °C; pools and rates are estimates.
  test.each([
    ['trumpet', 20.35],
    ['trombone', 16.97],
    ['tuba', 21.2],
  ] as const)('%s: worth it after about %f min', (kind, minutes) => {
    expect(letOutAfter(BOOK.kinds[kind].water, 20)?.value).toBeCloseTo(minutes, 2);
  });

  test('a wetter player sooner, a warmer room later, a room as warm as breath never', () => {
    const wet = learnWetness([{ passes: 5, lambda: dryingPerPass(0.5), found: 'wet', logWaterOverDry: 2 }]);
    const usual = letOutAfter(BOOK.kinds['trumpet'].water, 20)?.value ?? 0;
    expect(letOutAfter(BOOK.kinds['trumpet'].water, 20, wet)?.value).toBeLessThan(usual);
    expect(letOutAfter(BOOK.kinds['trumpet'].water, 26)?.value).toBeGreaterThan(usual);
    expect(letOutAfter(BOOK.kinds['trumpet'].water, 34)).toBeNull();
    expect(letOutAfter(BOOK.kinds['clarinet'].water, 20)).toBeNull();
  });

  test('every brass kind has a pool, and says that it is guessed', () => {
    for (const kind of KIND_IDS.filter((id) => BOOK.kinds[id].family === 'Brass')) {
      const found = letOutAfter(BOOK.kinds[kind].water, 20);
      expect([kind, (found?.value ?? 0) > 5, (found?.value ?? 99) < 60]).toEqual([kind, true, true]);
      expect(found?.because.map((reason) => letOutWords(reason, PLAIN_FORMAT).mark)).toContain('estimate');
    }
  });
});

describe('swab passes', () => {
  test.each([
    [15, 20, 3],
    [40, 12, 5],
    [40, 20, 5],
    [60, 20, 5],
    [120, 20, 7],
    [180, 20, 8],
    [40, 34, 1],
  ])('clarinet, %i min at %i °C: %i passes', (minutes, celsius, expected) =>
    expect(passes(clarinet, minutes, celsius)).toBe(expected),
  );

  // Advised passes computed beforehand from the same formula in another language; parameters are estimates.
  test.each([
    ['alto-saxophone', 10, 20, 1],
    ['alto-saxophone', 40, 20, 3],
    ['alto-saxophone', 60, 20, 4],
    ['alto-saxophone', 120, 20, 5],
    ['alto-saxophone', 120, 27, 4],
    ['bassoon', 20, 20, 2],
    ['bassoon', 40, 20, 2],
    ['bamboo-flute', 20, 20, 2],
    ['bamboo-flute', 40, 20, 2],
    ['flute', 40, 20, 2],
    ['flute', 120, 20, 4],
    ['oboe', 120, 20, 6],
  ] as const)('%s, %i min at %i °C: %i passes', (kind, minutes, celsius, expected) =>
    expect(passes(BOOK.kinds[kind].water, minutes, celsius)).toBe(expected),
  );

  // Common practice, no published source: about 3 for a saxophone's body (1–6 across players), at least 2 for bassoon,
  // 1–2 for a flute up to an hour, 2 for bamboo up to an hour.
  test('reproduce what practice gives the other kinds, the minutes stated', () => {
    for (let minutes = 30; minutes <= 60; minutes += 5) {
      expect([2, 3, 4]).toContain(passes(BOOK.kinds['alto-saxophone'].water, minutes, 20));
      expect(passes(BOOK.kinds['bassoon'].water, minutes, 20)).toBeGreaterThanOrEqual(2);
    }
    for (let minutes = 5; minutes <= 180; minutes += 5) {
      const body = passes(BOOK.kinds['alto-saxophone'].water, minutes, 20);
      expect([minutes, body >= 1 && body <= 6]).toEqual([minutes, true]);
    }
    for (let minutes = 5; minutes <= 60; minutes += 5) {
      expect(passes(BOOK.kinds['bamboo-flute'].water, minutes, 20)).toBe(2);
      // The model alone asks a flute for a third from 45 min on; the book's ceiling of two holds.
      const flute = passesFor({
        water: BOOK.kinds['flute'].water,
        minutes,
        roomCelsius: 20,
        least: practice(1),
        most: practice(2),
      });
      expect(flute.value).toBeLessThanOrEqual(2);
      expect([minutes, flute.because.some(({ rule }) => rule === 'ceiling')]).toEqual([minutes, minutes >= 45]);
    }
  });

  test('say what a pass takes, by hand: of what is left so much as the cloth picks up', () => {
    const { water } = BOOK.kinds['clarinet'];
    const told = passesFor({ water, minutes: 45, roomCelsius: 20, least: practice(1), most: practice(9) });
    const takes = told.because.find((one) => one.rule === 'dries-per-pass');
    if (takes?.rule !== 'dries-per-pass') throw new Error('nothing said');
    expect(takes.takenPerPass).toBeGreaterThan(0);
    expect(takes.takenPerPass).toBeLessThan(1);
    expect(takes.takenPerPass).toBeCloseTo(water.pickedUpPerPass, 9);
  });

  test('reproduce practice joint by joint: 4–5 for 40–60 min, a few more above two hours', () => {
    for (let minutes = 40; minutes <= 60; minutes += 5) expect([4, 5]).toContain(passes(clarinet, minutes, 20));
    expect(passes(clarinet, 130, 20)).toBeGreaterThan(5);
  });

  test('never fall below the floor, nor pass the ceiling, and say so', () => {
    const floor = passesFor({ water: clarinet, minutes: 1, roomCelsius: 30, least: practice(1), most: estimate(9) });
    expect(floor.value).toBe(1);
    expect(floor.because.map(({ rule }) => rule)).toContain('floor');
    const oboe = { ...clarinet, leastPasses: 3 };
    const raised = passesFor({ water: oboe, minutes: 1, roomCelsius: 30, least: practice(1), most: estimate(9) });
    expect([raised.value, raised.because.find(({ rule }) => rule === 'floor')]).toEqual([
      3,
      { rule: 'floor', bound: estimate(3) },
    ]);
    const ceiling = passesFor({
      water: clarinet,
      minutes: 1440,
      roomCelsius: 0,
      least: practice(1),
      most: estimate(9),
    });
    expect(ceiling.value).toBe(9);
    expect(ceiling.because.map(({ rule }) => rule)).toContain('ceiling');
  });

  test('a thirstier cloth never asks for more passes, and is named among the reasons', () => {
    const given = (thirst: number) =>
      passesFor({ water: clarinet, minutes: 60, roomCelsius: 20, least: practice(1), most: estimate(15), thirst });
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        (thirst, more) => given(thirst * more).value <= given(thirst).value,
      ),
      { seed: 5 },
    );
    const named = given(1.3).because.filter(({ rule }) => rule === 'cloth');
    expect(named.map((reason) => passReasonWords(reason, PLAIN_FORMAT).text)).toEqual([
      'Your cloth counts as about 1.3 times as thirsty as the usual one.',
    ]);
    expect(given(1).because.some(({ rule }) => rule === 'cloth')).toBe(false);
  });

  test('longer play never asks for fewer', () => {
    fc.assert(
      fc.property(fc.nat(600), fc.nat(600), (a, b) => passes(clarinet, a + b, 20) >= passes(clarinet, a, 20)),
      { seed: 4 },
    );
  });
});
