import { describe, expect, test } from '@jest/globals';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import {
  goodShareOf,
  lifetimeOf,
  livesOf,
  reedLives,
  remainingOf,
  shareOfLife,
  type LivesOf,
} from '#core/reeds/reed-life.ts';
import type { ReedFeel } from '#core/reeds/reed.ts';
import { chanceOfGood } from '#core/reeds/good-reeds.ts';
import { lifeWhy, lifeWords, readinessWhy, readinessWords, supplyWords } from '#core/reeds/reed-plan-words.ts';
import { lifeBelief } from '#core/reeds/weibull-life.ts';
import { CANE_LIFE } from '#core/reeds/reed-numbers.ts';
import { readinessFor, type ReadinessAsked } from '#core/reeds/readiness.ts';
import { spentByMonth, supplyOf } from '#core/reeds/supply.ts';
import type { ReedWish } from '#core/settings/settings.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { aBox, REED_TODAY, reedsOf, said, used } from '#core/testing/reeds.ts';
import { chanceOfEnough } from '#core/testing/readiness-oracle.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const graded = (number: number, goodFor: 'concert' | 'rehearsal') =>
  said(number, addDays(REED_TODAY, -2), { what: 'graded', feel: 'right', goodFor, signs: [] });

const asked = (reeds: readonly ReedState[], over: Partial<ReadinessAsked> = {}): ReadinessAsked => ({
  on: addDays(REED_TODAY, 35),
  wanted: 2,
  today: REED_TODAY,
  reeds,
  lives: livesOf(reeds),
  minutesUntil: 0,
  breakIn: 'week',
  ...over,
});

describe('ready for the concert', () => {
  test('with no record it is the prior: two of n by Beta(2, 2)', () => {
    const { table, toOpen, openBy, surer } = readinessFor(asked([]));
    expect(table[10]?.chance).toBeCloseTo(chanceOfGood(10, 2, { good: 2, bad: 2 }), 12);
    expect(openBy).toBe(addDays(REED_TODAY, 25));
    // By hand: P(0) = 6/((n+2)(n+3)), P(1) = 12n/((n+1)(n+2)(n+3)): 6 leave 0.226 below two, 7 leave 0.183.
    expect(toOpen).toBe(7);
    // And 16 leave 0.0506, 17 leave 0.0456: more than are kept going at once.
    expect(table.findIndex(({ chance }) => chance >= 0.95)).toBe(17);
    expect(surer).toBeNull();
  });

  test('who wants to open fewer is content with three chances in five, who wants to be surer with nineteen in twenty', () => {
    // By hand, as above: 3 leave 0.5 below two, 4 leave 0.371.
    expect(readinessFor(asked([], { wish: 'fewer' })).toOpen).toBe(4);
    expect(readinessFor(asked([], { wish: 'surer' })).toOpen).toBe(17);
    const why = (wish: ReedWish) =>
      readinessWhy(readinessFor(asked([], { wish })), 'single', PLAIN_FORMAT).find(
        ({ rule }) => rule === 'sure-enough',
      );
    expect(why('usual')?.text).toMatch(/^Enough is a chance of 80 %, and a concert reed/);
    expect(why('fewer')?.text).toMatch(/^Enough is a chance of 60 %, for you want to open fewer reeds, and/);
    expect(why('surer')?.text).toMatch(/^Enough is a chance of 95 %, for you want to be surer, and/);
  });

  test('a reed nobody knows the age of counts as a quarter of a usual life: neither new nor spent', () => {
    const kept = (before: number | null) => {
      const reeds = reedsOf([used(1, 5, 60)], {
        box: { before: [before, 0], breakIn: 'none' },
        sayings: [graded(1, 'concert')],
      });
      const ready = readinessFor(asked(reeds, { wanted: 1, breakIn: 'none' }));
      const why = readinessWhy(ready, 'single', PLAIN_FORMAT).find(({ rule }) => rule === 'existing')?.text ?? '';
      return { chance: ready.existing[0]?.chance ?? NaN, why };
    };
    const quarter = livesOf([]).cane.usualMinutes / 4;
    expect(kept(null).chance).toBeCloseTo(kept(quarter).chance, 12);
    expect(kept(null).chance).toBeLessThan(kept(0).chance);
    expect(kept(null).why).toMatch(/Nobody knows how long it was played before/);
    expect(kept(0).why).not.toMatch(/Nobody knows/);
  });

  test('reeds in hand take their place, and lie where they can be counted by hand', () => {
    const reeds = reedsOf([used(1, 5, 60)], {
      box: { before: [0, 0], breakIn: 'none' },
      sayings: [graded(1, 'concert')],
    });
    const ready = readinessFor(asked(reeds, { wanted: 1, breakIn: 'none' }));
    expect(ready.existing).toMatchObject([{ reed: { number: 1 } }]);
    // An hour old, it is past the first half of its life only if it lives less than two.
    const kept = ready.existing[0]?.chance ?? NaN;
    expect(kept).toBeGreaterThan(0.98);
    expect(kept).toBeLessThan(1);
    expect(ready.share).toEqual({ good: 3, bad: 2, graded: 1 });
    expect(ready.toOpen).toBe(0);
    // One existing and n new ones: at least two is at least one of the new with it, or two without.
    const two = readinessFor(asked(reeds, { breakIn: 'none' }));
    const ofNew = (least: number) => chanceOfGood(4, least, { good: 3, bad: 2 });
    expect(two.table[4]?.chance).toBeCloseTo(kept * ofNew(1) + (1 - kept) * ofNew(2), 12);
  });

  test('a concert reed that will be past the first half of its life hardly counts', () => {
    const reeds = reedsOf([used(1, 5, 60)], {
      box: { before: [0], breakIn: 'none' },
      sayings: [graded(1, 'concert')],
    });
    const chanceIn = (minutesUntil: number) => readinessFor(asked(reeds, { minutesUntil })).existing[0]?.chance ?? NaN;
    const chances = [0, 300, 600, 1000, 2000].map(chanceIn);
    for (const [at, chance] of chances.entries()) if (at > 0) expect(chance).toBeLessThan(chances[at - 1] ?? 0);
    expect(chances.at(-1)).toBeLessThan(0.03);
  });

  test('tomorrow it is too late to open one, and it says what is possible', () => {
    const ready = readinessFor(asked([], { on: addDays(REED_TODAY, 1), wanted: 1 }));
    expect(ready).toMatchObject({ openBy: null, toOpen: null, table: [{ opened: 0, chance: 0 }] });
    expect(readinessWords(ready, PLAIN_FORMAT)).toBe(
      'It is too late to break in a new reed. With those you have, the chance of 1 concert reed on 2026-11-27 is about 0 %.',
    );
  });

  test('says how many make it surer, where that many are kept going', () => {
    const ready = readinessFor(asked([], { wanted: 1 }));
    // One of n by Beta(2, 2): 1 − 6/((n+2)(n+3)) is 0.8 at n = 3, and 0.9545 at n = 9, which are too many at once.
    expect(ready).toMatchObject({ toOpen: 3, advised: 3, surer: null });
    const mostlyGood = reedsOf([], { box: { before: Array<number>(6).fill(700), breakIn: 'none' } });
    const share = readinessFor(
      asked(
        mostlyGood.slice(0, 2).map((reed) => ({ ...reed, wasConcert: true, stage: 'retired' as const })),
        { wanted: 1 },
      ),
    );
    // Beta(4, 2): none of n are good with 120/((n+2)(n+3)(n+4)(n+5)): 0.333, 0.143, 0.071, 0.0397.
    expect(share).toMatchObject({ toOpen: 2, advised: 2, surer: { opened: 4 } });
    expect(share.surer?.chance).toBeCloseTo(1 - 120 / (6 * 7 * 8 * 9), 12);
    expect(readinessWords(share, PLAIN_FORMAT)).toContain('is then about 86 %. With 4 it is about 96 %.');
  });

  test('says what the reeds cost that are to be opened, where a box does', () => {
    const day = { on: addDays(REED_TODAY, 30), wanted: 1 };
    const costing = (minor: number | null, over: object = {}) =>
      reedsOf([], { box: { cost: minor === null ? null : { minor, currency: 'EUR' }, ...over } });
    const ready = readinessFor(asked(costing(1000), day));
    expect(ready.advised).toBeGreaterThan(1);
    // Four in the box, so 2.50 each.
    expect(ready.costOfOne).toEqual({ minor: 250, currency: 'EUR' });
    const words = readinessWords(ready, PLAIN_FORMAT);
    expect(words).toContain(
      `${ready.advised} cost about ${PLAIN_FORMAT.money({ minor: 250 * ready.advised, currency: 'EUR' })}.`,
    );
    expect(readinessWords(readinessFor(asked(costing(null), day)), PLAIN_FORMAT)).not.toContain('cost');
    // What synthetics cost says nothing of cane.
    const mixed = [...costing(1000), ...costing(9000, { key: 'moss', material: 'synthetic', before: [0] })];
    expect(readinessFor(asked(mixed, day)).costOfOne).toEqual({ minor: 250, currency: 'EUR' });
  });

  test('is the chance that every way it can come out adds up to, with reeds in hand and under way', () => {
    const reeds = reedsOf([used(1, 5, 60), used(2, 6, 300), used(3, 7, 500), used(4, 4, 60)], {
      box: { before: [0, 0, 0, 0], breakIn: 'none' },
      sayings: [graded(1, 'concert'), graded(2, 'concert'), graded(3, 'rehearsal')],
    });
    for (const wanted of [1, 2, 3, 4]) {
      const { table, existing, underWay, share, leadDays } = readinessFor(asked(reeds, { wanted, minutesUntil: 400 }));
      expect([existing.length, underWay, leadDays]).toEqual([2, 1, 10]);
      const kept = existing.map(({ chance }) => chance);
      expect(kept.every((chance) => chance > 0 && chance < 1)).toBe(true);
      for (const { opened, chance } of table.slice(0, 7))
        expect(chance).toBeCloseTo(chanceOfEnough(wanted, kept, underWay + opened, share), 9);
    }
  });

  test('what is under way counts while there is time to settle, and a reed is opened in time or not at all', () => {
    const reeds = reedsOf([used(1, 5, 60)], { box: { before: [0], breakIn: 'none' } });
    const on = (days: number, breakIn: 'none' | 'week' | 'two-weeks' = 'none') =>
      readinessFor(asked(reeds, { wanted: 1, on: addDays(REED_TODAY, days), breakIn }));
    expect(on(3).table[0]?.chance).toBeCloseTo(0.5, 9);
    expect(on(2).table[0]?.chance).toBe(0);
    expect([on(3).openBy, on(2).openBy]).toEqual([REED_TODAY, null]);
    expect([on(10, 'week').openBy, on(9, 'week').openBy]).toEqual([REED_TODAY, null]);
    expect([on(17, 'two-weeks').openBy, on(16, 'two-weeks').openBy]).toEqual([REED_TODAY, null]);
  });

  test('more reeds opened never make it less likely', () => {
    const { table } = readinessFor(asked([], { wanted: 3 }));
    for (let opened = 1; opened < table.length; opened++)
      expect(table[opened]?.chance).toBeGreaterThanOrEqual(table[opened - 1]?.chance ?? 0);
  });
});

describe('lives', () => {
  test('enter late where a reed came half gone, and not at all where nobody knows', () => {
    const [fresh, late, unknown, idle] = reedsOf([used(1, 3, 60), used(2, 3, 60), used(3, 3, 60)], {
      box: { before: [0, 170, null, 0] },
      sayings: [
        said(1, REED_TODAY, { what: 'ended', cause: 'split' }),
        said(2, REED_TODAY, { what: 'ended', cause: 'lost' }),
      ],
    });
    expect([fresh, late, unknown, idle].map((reed) => reed && lifetimeOf(reed))).toEqual([
      { entered: 0, left: 60, ended: true },
      { entered: 170, left: 230, ended: false },
      null,
      null,
    ]);
  });

  test('what is left of a reed is told by the others: one reed alone has what is usual of its age', () => {
    const [alone] = reedsOf([used(1, 3, 90), used(1, 5, 90)]);
    if (alone === undefined) throw new Error('a reed');
    const usual = lifeBelief([], CANE_LIFE).having(180);
    expect(remainingOf(alone, livesOf([alone]))?.middle).toBeCloseTo(usual.outlives(0.5), 6);
    const ready = readinessFor(asked([alone], { wanted: 1 }));
    for (const { chance, minutesUntil } of ready.existing) expect(chance).toBeCloseTo(usual.lasts(minutesUntil), 9);
  });

  test('one early end is no curve where the others came half gone, and that is said', () => {
    const reeds = reedsOf([used(1, 3, 60), used(2, 3, 60), used(3, 3, 60)], {
      box: { before: [0, 600, 600] },
      sayings: [said(1, REED_TODAY, { what: 'ended', cause: 'split' })],
    });
    const lives = reedLives(reeds, 'cane');
    expect(lives.curve).toEqual({ steps: [], stopsAt: expect.objectContaining({ at: 60, atRisk: 1 }) });
    expect(lifeWhy(lives, PLAIN_FORMAT).at(-1)?.text).toBe(
      'The steps are not drawn: at 1 h of playing only 1 reed of yours was watched, the others came to you later in their lives. So few say nothing of all.',
    );
  });

  const leftOf = (reed: ReedState | undefined, lives: LivesOf) => {
    const left = reed && remainingOf(reed, lives);
    if (!left) throw new Error('nobody knows how old it is');
    return left;
  };

  test('what is left never grows, however long a reed has lived; of too soft a one there is half', () => {
    const lives = livesOf([]);
    const played = (minutes: number) => leftOf(reedsOf([used(1, 3, minutes)])[0], lives);
    let before = played(30);
    for (let minutes = 60; minutes <= 9000; minutes += 60) {
      const left = played(minutes);
      for (const one of ['low', 'middle', 'high'] as const) expect(left[one]).toBeLessThanOrEqual(before[one] + 2);
      before = left;
    }
    // Belief alone would say otherwise.
    const { having } = lifeBelief([], CANE_LIFE);
    expect(having(9000).outlives(0.5)).toBeGreaterThan(having(1800).outlives(0.5) * 1.5);
    const graded = (feel: ReedFeel) =>
      leftOf(
        reedsOf([used(1, 3, 600)], {
          sayings: [said(1, REED_TODAY, { what: 'graded', feel, goodFor: 'practice', signs: [] })],
        })[0],
        lives,
      );
    expect(graded('too-soft').middle).toBeCloseTo(graded('right').middle / 2, 6);
  });

  test('of a reed of unknown age nothing is said to be left', () => {
    const [unknown] = reedsOf([used(1, 3, 60)], { box: { before: [null] } });
    expect(unknown && remainingOf(unknown, livesOf([]))).toBeNull();
  });

  test('what is left shrinks with age, and low, middle and high are in order', () => {
    const reeds = reedsOf([used(1, 3, 90), used(2, 4, 90), used(2, 3, 90), used(2, 2, 90)]);
    const lives = livesOf(reeds);
    const [young, old] = reeds;
    if (young === undefined || old === undefined) throw new Error('two reeds');
    const { low, middle, high } = leftOf(young, lives);
    expect(low).toBeLessThan(middle);
    expect(middle).toBeLessThan(high);
    expect(leftOf(old, lives).middle).toBeLessThan(middle);
    expect(shareOfLife(old, lives)).toBeGreaterThan(shareOfLife(young, lives));
    // One that has outlived what is expected has all of it behind it, and not more.
    const [outlived] = reedsOf([used(1, 3, 9000)]);
    expect(outlived && shareOfLife(outlived, livesOf([]))).toBe(1);
  });

  test('with no reed of one’s own it is the usual life, and says so', () => {
    const lives = reedLives([], 'cane');
    expect(lives.curve).toEqual({ steps: [], stopsAt: null });
    // 19.20 and 7.09 h are the check values of the grid; the long end is where the chance has fallen to a tenth.
    expect(lives.belief.survival(45.3 * 60)).toBeCloseTo(0.1, 3);
    expect(lifeWords(lives, PLAIN_FORMAT)).toBe(
      'Half of your cane reeds live longer than about 19.2 h of playing, most between 7.1 h and 45.3 h. No reed of yours has been seen to its end yet, so this is what is usual.',
    );
  });

  test('"too hard" with a back not rubbed flat is no grade', () => {
    const hard = said(1, REED_TODAY, { what: 'graded', feel: 'too-hard', goodFor: null, signs: [] });
    expect(goodShareOf(reedsOf([used(1, 3, 60)], { sayings: [hard] })).graded).toBe(0);
  });
});

describe('supply', () => {
  const lives = livesOf([]);
  const supply = (reeds: readonly ReedState[], minutesADay: number) =>
    supplyOf({ today: REED_TODAY, family: 'single', reeds, lives, minutesADay });

  test('a box of ten at an hour a day: used up, bought and paid as by hand', () => {
    const reeds = reedsOf([], {
      box: { before: Array.from({ length: 10 }, () => 0), cost: { minor: 3000, currency: 'EUR' } },
    });
    const life = lives.cane.usualMinutes;
    const { aMonth, runsOutOn, buyOn, costAMonth, costAnHour } = supply(reeds, 60);
    expect(aMonth).toBeCloseTo((60 * 365.25) / 12 / life, 9);
    expect(runsOutOn).toBe(addDays(REED_TODAY, Math.floor((10 * life - 2 * life) / 60)));
    expect(buyOn).toBe(addDays(REED_TODAY, Math.floor((8 * life) / 60) - 7));
    expect(costAnHour).toEqual({ minor: expect.closeTo((300 * 60) / life, 9), currency: 'EUR' });
    expect(costAMonth?.minor).toBeCloseTo(300 * aMonth, 9);
  });

  test('what was spent is told month by month, this one the last, in the currency of the last box with a price', () => {
    const box = (cameOn: string, minor: number | null, currency = 'EUR') =>
      aBox({ cameOn: localDate(cameOn), cost: minor === null ? null : { minor, currency } });
    const boxes = [box('2025-11-30', 900), box('2025-12-31', 1000), box('2026-11-01', 2000), box('2026-11-26', 500)];
    const spent = spentByMonth([...boxes, box('2026-11-26', null)], REED_TODAY);
    expect(spent).toHaveLength(12);
    expect([spent[0], spent.at(-1)]).toEqual([
      { from: '2025-12-01', minor: 1000 },
      { from: '2026-11-01', minor: 2500 },
    ]);
    expect(spent.reduce((sum, { minor }) => sum + minor, 0)).toBe(3500);
    const other = spentByMonth([...boxes, box('2026-11-26', 700, 'CHF')], REED_TODAY);
    expect(other.map(({ minor }) => minor)).toEqual([...Array<number>(11).fill(0), 700]);
    expect(spentByMonth([box('2026-11-01', null)], REED_TODAY)).toEqual([]);
  });

  test('with none in the house one is bought today; who does not play needs none', () => {
    expect(supply([], 30)).toMatchObject({ runsOutOn: REED_TODAY, buyOn: REED_TODAY });
    expect(supply([], 0)).toMatchObject({ runsOutOn: null, buyOn: null, costAMonth: null });
    expect(supplyWords(supply([], 30), PLAIN_FORMAT)).toBe(
      'You have 0 new reeds and 0 in use. About 2026-11-26 fewer than 4 are left in hand. Buy a box by 2026-11-26.',
    );
  });
});
