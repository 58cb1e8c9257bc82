import type { CareItemId } from '#core/book/care-ids.ts';
import type { WorkId } from '#core/book/work.ts';
import { lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import type { Bill } from '#core/costs/bill.ts';
import { sharedOut } from '#core/costs/costs-of-years.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** A stay at the bench that was paid, as far as one instrument goes. */
export type PaidStay = {
  readonly key: string;
  readonly from: LocalDate;
  readonly until: LocalDate;
  readonly works: readonly WorkId[];
  /** Nothing else was there: what it cost is what this work costs. */
  readonly isAlone: boolean;
  /** Its share of what the stay cost; several that were there share evenly. */
  readonly minor: number;
  readonly currency: string;
};

const SERVICE: CareItemId = 'wind/bench-service';
/** A bill comes at the latest so many days after its stay (estimate). */
const BILLED_WITHIN_DAYS = 31;

type Stayed = Pick<CalendarEvent, 'key' | 'on' | 'until' | 'instrumentIds' | 'stay'>;

/** What stays at the bench cost one instrument, the oldest first. */
export function paidStays(events: readonly Stayed[], id: InstrumentId): PaidStay[] {
  return events
    .flatMap((event): PaidStay[] => {
      const at = event.instrumentIds.indexOf(id);
      const { stay } = event;
      if (at < 0 || !stay?.cost) return [];
      const done = stay.done.filter(({ instrumentId }) => instrumentId === id);
      const isServed = done.some(({ itemIds }) => itemIds.includes(SERVICE));
      const works = new Set([...done.flatMap((one) => one.works ?? []), ...(isServed ? (['service'] as const) : [])]);
      const shares = sharedOut(
        stay.cost.minor,
        event.instrumentIds.map(() => 1),
      );
      const { currency } = stay.cost;
      return [
        {
          key: event.key,
          from: event.on,
          until: lastDayOf(event),
          works: [...works],
          isAlone: event.instrumentIds.length === 1,
          minor: shares[at] ?? 0,
          currency,
        },
      ];
    })
    .toSorted((a, b) => (a.until < b.until ? -1 : 1));
}

/** Does a bill say the same money once more: of its days, and for what was done there or for as much? */
const isBilled = (stay: PaidStay, bills: readonly Bill[]): boolean =>
  bills.some(
    ({ sort, on, works, cost }) =>
      sort === 'bill' &&
      on >= stay.from &&
      on <= addDays(stay.until, BILLED_WITHIN_DAYS) &&
      (cost.minor === stay.minor || works.some((work) => stay.works.includes(work))),
  );

/** Stays of which no bill speaks: each is money that was paid once. */
export const unbilledStays = (stays: readonly PaidStay[], bills: readonly Bill[]): readonly PaidStay[] =>
  stays.filter((stay) => !isBilled(stay, bills));

/** Bills, and what stays say beside them, the oldest first: what was paid for a work is what it will cost. */
export const billsAndStays = (bills: readonly Bill[], stays: readonly PaidStay[], id: InstrumentId): Bill[] =>
  [
    ...bills,
    ...unbilledStays(stays, bills).map(({ key, until, works, isAlone, minor, currency }): Bill => ({
      key,
      instrumentId: id,
      sort: 'bill',
      works: isAlone ? works : [],
      what: null,
      cost: { minor, currency },
      on: until,
    })),
  ].toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
