import { describe, expect, test } from '@jest/globals';
import type { Bill } from '#core/costs/bill.ts';
import { billsAndStays, paidStays, unbilledStays } from '#core/costs/paid-stays.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { localDate } from '#core/time/local-date.ts';

const flute = 'flute' as InstrumentId;
const other = 'other' as InstrumentId;
type Stayed = Parameters<typeof paidStays>[0][number];
const stay = (over: object = {}): Stayed =>
  ({
    key: 'stay',
    on: localDate('2026-03-02'),
    until: localDate('2026-03-09'),
    instrumentIds: [flute],
    stay: {
      done: [{ instrumentId: flute, itemIds: ['wind/bench-service'] }],
      cost: { minor: 12_000, currency: 'EUR' },
    },
    ...over,
  }) as Stayed;
const bill = (over: Partial<Bill> = {}): Bill => ({
  key: 'bill',
  instrumentId: flute,
  sort: 'bill',
  works: ['service'],
  what: null,
  cost: { minor: 12_500, currency: 'EUR' },
  on: localDate('2026-03-12'),
  ...over,
});

describe('a stay that was paid', () => {
  test('says what its work will cost next time', () => {
    expect(billsAndStays([], paidStays([stay()], flute), flute)).toEqual([
      {
        ...{ key: 'stay', instrumentId: flute, sort: 'bill', works: ['service'], what: null },
        ...{ cost: { minor: 12_000, currency: 'EUR' }, on: '2026-03-09' },
      },
    ]);
  });
  test('and a bill of the same days and work are one payment', () => {
    const stays = paidStays([stay()], flute);
    expect(unbilledStays(stays, [bill()])).toEqual([]);
    expect(
      unbilledStays(stays, [bill({ works: [], what: 'as agreed', cost: { minor: 12_000, currency: 'EUR' } })]),
    ).toEqual([]);
    expect(billsAndStays([bill()], stays, flute).map(({ key }) => key)).toEqual(['bill']);
  });
  test('stands by itself beside a quote, a bill of another time, and one for something else', () => {
    const stays = paidStays([stay()], flute);
    const apart = [
      bill({ sort: 'quote' }),
      bill({ on: localDate('2026-03-01') }),
      bill({ on: localDate('2026-04-10') }),
      bill({ works: [], what: 'a new case', cost: { minor: 9900, currency: 'EUR' } }),
    ];
    for (const one of apart) expect(unbilledStays(stays, [one])).toEqual(stays);
  });
  test('of several instruments is shared out to the coin, and of others nothing is said', () => {
    const shared = stay({ instrumentIds: [flute, other], stay: { done: [], cost: { minor: 1001, currency: 'EUR' } } });
    const [ours, theirs] = [paidStays([shared], flute), paidStays([shared], other)];
    expect(billsAndStays([], ours, flute)[0]?.works).toEqual([]);
    expect((ours[0]?.minor ?? 0) + (theirs[0]?.minor ?? 0)).toBe(1001);
    expect(paidStays([stay()], other)).toEqual([]);
    expect(paidStays([stay({ stay: { done: [], cost: null } })], flute)).toEqual([]);
    expect(paidStays([stay({ stay: null })], flute)).toEqual([]);
  });
});
