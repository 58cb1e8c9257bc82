import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { BenchWork } from '#core/bench/bench-jobs.ts';
import type { WorkId } from '#core/book/work.ts';
import { billRefusal, type Bill } from '#core/costs/bill.ts';
import {
  comingCosts,
  depositsFrom,
  depositsUntil,
  firstDeposit,
  purseByMonth,
  savingPlan,
  type Coming,
  type ComingAsked,
} from '#core/costs/coming-costs.ts';
import { billSaid, putOffWords, rangeWords, savingWhy, savingWords } from '#core/costs/cost-words.ts';
import { anHour, costsOfYears, sharedOut } from '#core/costs/costs-of-years.ts';
import { firstPrice, inMoney, priceOf, shippingPrice } from '#core/costs/prices.ts';
import { estimate } from '#core/explain/explained.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { portion } from '#core/money/portion.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, addMonths, localDate, type LocalDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const horn = { id: 'horn' as InstrumentId, kind: 'horn' as const };
const bill = (works: readonly WorkId[], minor: number, over: Partial<Bill> = {}): Bill => ({
  key: 'k',
  instrumentId: horn.id,
  sort: 'bill',
  works,
  what: null,
  cost: { minor, currency: 'EUR' },
  on: on(-100),
  ...over,
});
const withKind = (bills: readonly Bill[]) => bills.map((one) => ({ ...one, kind: horn.kind }));

describe('whole coins', () => {
  test('a portion equals the fraction worked out in whole numbers, rounded as it is said', () => {
    const whole = fc.integer({ min: 0, max: 100_000_000 });
    fc.assert(
      fc.property(whole, whole, fc.integer({ min: 1, max: 1_000_000 }), (minor, times, by) => {
        const exact = BigInt(minor) * BigInt(times);
        const down = BigInt(portion(minor, times, by, 'down'));
        const up = BigInt(portion(minor, times, by, 'up'));
        fc.pre(exact / BigInt(by) < BigInt(Number.MAX_SAFE_INTEGER));
        expect(down * BigInt(by) <= exact && exact < (down + 1n) * BigInt(by)).toBe(true);
        expect(up === down || (up === down + 1n && down * BigInt(by) !== exact)).toBe(true);
      }),
      { seed: 5, numRuns: 500 },
    );
    expect([portion(5, 1, 2, 'nearest'), portion(7, 1, 4, 'nearest')]).toEqual([3, 2]);
    for (const wrong of [NaN, -1, 0.5, Infinity]) {
      expect(() => portion(wrong, 1, 1, 'down')).toThrow(RangeError);
      expect(() => portion(1, wrong, 1, 'down')).toThrow(RangeError);
      expect(() => portion(1, 1, wrong, 'down')).toThrow(RangeError);
    }
    expect(() => portion(1, 1, 0, 'down')).toThrow(RangeError);
  });

  test('what is shared out is all there, and nobody is off by a coin', () => {
    expect(sharedOut(100, [1, 1, 1])).toEqual([34, 33, 33]);
    expect(sharedOut(5, [0, 0])).toEqual([5, 0]);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.array(fc.nat(10_000), { minLength: 1, maxLength: 8 }),
        (minor, weights) => {
          const shares = sharedOut(minor, weights);
          expect(shares.reduce((a, b) => a + b, 0)).toBe(minor);
          const total = weights.reduce((a, b) => a + b, 0);
          if (total > 0)
            for (const [at, share] of shares.entries())
              expect(Math.abs(share - (minor * (weights[at] ?? 0)) / total)).toBeLessThan(1);
        },
      ),
      { seed: 6, numRuns: 300 },
    );
  });

  test('an hour of playing costs its share, and nothing that can be said where nothing was played', () => {
    expect(anHour(12_000, 600)).toBe(1200);
    expect(anHour(100, 0)).toBeNull();
    const years = costsOfYears(
      [
        { on: localDate('2024-03-01'), kind: 'service', minor: 9000 },
        { on: localDate('2026-01-01'), kind: 'repair', minor: 500 },
        { on: localDate('2026-12-31'), kind: 'reeds', minor: 40 },
      ],
      (year) => (year === 2026 ? 600 : 0),
      { from: localDate('2025-05-05'), today },
    );
    expect(years).toEqual([
      { year: 2024, minutes: 0, service: 9000, repair: 0, reeds: 0, things: 0, sum: 9000 },
      { year: 2025, minutes: 0, service: 0, repair: 0, reeds: 0, things: 0, sum: 0 },
      { year: 2026, minutes: 600, service: 0, repair: 500, reeds: 40, things: 0, sum: 540 },
    ]);
  });
});

describe('prices', () => {
  const boxes = [{ cameOn: on(-50), minor: 2800, reeds: 10, boxes: 1 }];
  const first = firstPrice(BOOK, [], boxes);

  test('are reckoned from the first real one: four boxes for a service of woodwind, three for brass', () => {
    expect(first).toMatchObject({ minor: 2800, hundredths: 100, what: 'a box of reeds' });
    if (!first) throw new Error('a box has a price');
    expect(inMoney({ least: estimate(4), most: estimate(4) }, first)).toEqual({ least: 11_200, most: 11_200 });
    const asked = { book: BOOK, today, bills: [], first };
    expect(priceOf({ ...asked, work: 'service', kind: 'clarinet' })).toEqual({
      least: 11_200,
      most: 11_200,
      from: 'first-price',
    });
    expect(priceOf({ ...asked, work: 'service', kind: 'horn' })).toMatchObject({ least: 8400 });
    expect(priceOf({ ...asked, work: 'repad', kind: 'bassoon' })).toMatchObject({ least: 56_000, most: 98_000 });
    expect(shippingPrice(BOOK, first, 2)).toEqual({ least: 4200, most: 4200 });
    expect(shippingPrice(BOOK, first, 0)).toEqual({ least: 0, most: 0 });
    expect(priceOf({ ...asked, first: null, work: 'service', kind: 'horn' })).toBeNull();
  });

  test('the first is the earliest of a single work or a box; a bill of two works says nothing of either', () => {
    const service = bill(['service'], 15_000, { on: on(-200) });
    expect(firstPrice(BOOK, withKind([service]), boxes)).toMatchObject({
      minor: 15_000,
      hundredths: 300,
      what: 'yearly service',
    });
    const both = bill(['service', 'dent'], 15_000, { on: on(-300) });
    expect(firstPrice(BOOK, withKind([both]), boxes)).toMatchObject({ what: 'a box of reeds' });
    expect(firstPrice(BOOK, withKind([bill(['service'], 0)]), [])).toBeNull();
  });

  test('what was quoted lately comes before what was paid before it, what was paid since before the quote', () => {
    const price = (...bills: readonly Bill[]) =>
      priceOf({ book: BOOK, work: 'service', kind: 'horn', today, bills, first });
    const paid = bill(['service'], 9000, { on: on(-400) });
    const quote = bill(['service'], 9900, { sort: 'quote', on: on(-20) });
    expect(price(paid)).toEqual({ least: 9000, most: 9000, from: 'bill' });
    expect(price(paid, quote)).toMatchObject({ least: 9900, from: 'quote' });
    expect(price(paid, { ...quote, on: on(-183) })).toMatchObject({ from: 'bill' });
    expect(price(quote, bill(['service'], 9500, { on: on(-2) }))).toMatchObject({ least: 9500, from: 'bill' });
  });

  test('a bill is of something, today at the latest', () => {
    expect(billRefusal({ works: ['dent'], what: null, on: today }, today)).toBeNull();
    expect(billRefusal({ works: [], what: null, on: today }, today)?.code).toBe('bill-of-nothing');
    expect(billRefusal({ works: [], what: 'A stand', on: on(1) }, today)?.code).toBe('bill-in-future');
    expect(billRefusal({ works: [], what: 'A stand', on: on(-4000) }, today)?.code).toBe('bill-too-old');
  });
});

const work = (...works: readonly WorkId[]) =>
  ({ jobs: works.map((one) => ({ work: one })), due: today }) as unknown as BenchWork;
const asked = (over: Partial<ComingAsked> = {}): ComingAsked => ({
  book: BOOK,
  today,
  instrument: horn,
  stay: { work: work('service', 'dent'), on: on(60) },
  service: { due: on(60), everyDays: 365 },
  bills: [bill(['service'], 9000), bill(['dent'], 4000)],
  first: null,
  shippingDays: 0,
  ...over,
});

describe('what is to come', () => {
  test('the next stay with all its work, then a service each interval after it, for two years', () => {
    const coming = comingCosts(asked());
    expect(coming.map(({ on: day, most, works }) => [day, most, works.join(' ')])).toEqual([
      [on(60), 13_000, 'service dent'],
      [on(425), 9000, 'service'],
    ]);
    expect(coming.every(({ isSaid }) => isSaid)).toBe(true);
  });

  test('a stay without a service leaves the service on its own day; without any price nothing can be said', () => {
    const coming = comingCosts(
      asked({ stay: { work: work('dent'), on: on(5) }, service: { due: on(200), everyDays: 365 } }),
    );
    expect(coming.map(({ on: day }) => day)).toEqual([on(5), on(200), on(565)]);
    expect(comingCosts(asked({ bills: [] }))).toEqual([]);
    expect(comingCosts(asked({ stay: null, service: null }))).toEqual([]);
    // A clock that runs out each day does not run for ever.
    expect(comingCosts(asked({ stay: null, service: { due: today, everyDays: 0 } })).length).toBeLessThan(30);
  });

  test('put aside on the first of each month: the firsts between two days', () => {
    const until = (text: string) => depositsUntil(today, localDate(text));
    expect(['2026-11-30', '2026-12-01', '2026-12-31', '2027-01-01', '2026-10-01'].map(until)).toEqual([0, 1, 1, 2, 0]);
  });

  const cost = (key: string, day: LocalDate, most: number): Coming => ({
    key,
    instrumentId: horn.id,
    on: day,
    works: ['service'],
    least: most,
    most,
    shipping: { least: 0, most: 0 },
    isSaid: true,
  });
  test('the amount a month, what decides it, what is short, and what putting one off changes', () => {
    const coming = [cost('soon', localDate('2027-02-10'), 9000), cost('late', localDate('2027-11-10'), 12_000)];
    const plan = savingPlan(today, 0, coming);
    // Three firsts until February: 30 a month; then nine until November for 120: 13.34, rounded up.
    expect(plan.steps.map(({ deposit, times, decidedBy }) => [deposit, times, decidedBy.key])).toEqual([
      [3000, 3, 'soon'],
      [1334, 9, 'late'],
    ]);
    // In May there are six firsts: 15; then twelve until November for all of it: 17.50.
    expect(plan.putOff).toEqual([
      { key: 'soon', deposit: 1750 },
      { key: 'late', deposit: 3000 },
    ]);
    const now = savingPlan(today, 1000, [cost('now', localDate('2026-11-29'), 2500), ...coming]);
    expect([now.short, firstDeposit(now)]).toEqual([1500, 3000]);
    const money = { currency: 'EUR', format: PLAIN_FORMAT };
    expect(savingWords(now, coming, money)).toBe(
      '€15.00 are missing for what is due before the next can be put aside. Put €30.00 aside on the first of each month for 2027-02-10, then €13.34 a month.',
    );
    expect(savingWords(savingPlan(today, 100_000, coming), coming, money)).toMatch(/^What is put aside is enough/);
    expect(savingWords(savingPlan(today, 0, []), [], money)).toMatch(/^Nothing is to be paid/);
    const next = [cost('next', localDate('2026-12-20'), 700)];
    expect(savingWords(savingPlan(today, 0, next), next, money)).toBe(
      'Put €7.00 aside on the first of next month for 2026-12-20, then nothing.',
    );
    const first1 = localDate('2026-12-01');
    expect([depositsFrom(first1, null), depositsFrom(first1, first1), depositsFrom(today, null)]).toEqual([
      '2026-11-30',
      first1,
      today,
    ]);
    expect(savingWords(savingPlan(depositsFrom(first1, null), 0, next), next, { ...money, isToday: true })).toMatch(
      /^Put €7\.00 aside today for /,
    );
    const first = firstPrice(BOOK, [], [{ cameOn: on(-5), minor: 2800, reeds: 10, boxes: 1 }]);
    const why = savingWhy({
      plan,
      coming: coming.map((one) => ({ ...one, isSaid: false })),
      first,
      nameOf: () => 'the service',
      ...money,
    });
    expect(why.map(({ text }) => text)).toEqual([
      expect.stringMatching(/^Each cost is counted at its upper end/),
      '3 times €30.00: the service on 2027-02-10 decides. Until then €90.00 have to be there in all.',
      '9 times €13.34: the service on 2027-11-10 decides. Until then €210.00 have to be there in all.',
      'Prices nobody has said are reckoned from the first real one: a box of reeds for €28.00 on 2026-11-22.',
      'No interest is counted.',
    ]);
    const euros = (minor: number) => PLAIN_FORMAT.money({ minor, currency: 'EUR' });
    expect(putOffWords(-1250, 3, euros)).toBe('Put off by 3 months, it saves €12.50 a month.');
    expect(putOffWords(0, 3, euros)).toBeNull();
    expect(putOffWords(100, 3, euros)).toMatch(/takes €1.00 a month more/);
  });

  test('is never short: each month’s money paid out on its days, at the upper end', () => {
    const some = fc.record({ ahead: fc.integer({ min: 0, max: 700 }), most: fc.integer({ min: 0, max: 90_000 }) });
    fc.assert(
      fc.property(
        fc.array(some, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 0, max: 50_000 }),
        (list, saved) => {
          const coming = list.map(({ ahead, most }, at) => cost(String(at), on(ahead), most));
          const plan = savingPlan(today, saved, coming);
          const amounts = plan.steps.flatMap(({ deposit, times }) => Array.from({ length: times }, () => deposit));
          let [purse, least] = [saved + plan.short, Infinity];
          for (let day = today; day <= addMonths(today, 24); day = addDays(day, 1)) {
            if (day > today && day.endsWith('-01')) purse += amounts.shift() ?? 0;
            for (const one of coming) if (one.on === day) purse -= one.most;
            least = Math.min(least, purse);
          }
          expect(least).toBeGreaterThanOrEqual(0);
          // It never rises, and nobody saves for nothing: what is left is less than a coin a month.
          const sizes = plan.steps.map(({ deposit }) => deposit);
          expect(sizes).toEqual(sizes.toSorted((a, b) => b - a));
          if (sizes.length > 0) expect(purse).toBeLessThan(24);
          const drawn = purseByMonth({ today, saved, months: 24 }, plan, coming);
          expect(Math.min(...drawn.map(({ left }) => left))).toBeGreaterThanOrEqual(0);
        },
      ),
      { seed: 30, numRuns: 60 },
    );
  });

  test('in words', () => {
    expect(rangeWords({ least: 4000, most: 6050 }, 'EUR', PLAIN_FORMAT)).toBe('€40.00 to €60.50');
    expect(rangeWords({ least: 500, most: 500 }, 'JPY', PLAIN_FORMAT)).toMatch(/500$/);
    expect(billSaid(bill(['service', 'dent'], 9000), BOOK, PLAIN_FORMAT)).toBe(
      'A bill: Yearly service and a dent taken out, €90.00',
    );
    expect(billSaid(bill([], 900, { what: 'A stand', sort: 'quote' }), BOOK, PLAIN_FORMAT)).toBe(
      'A quote: A stand, €9.00',
    );
  });
});
