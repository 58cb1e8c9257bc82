import type { WorkId } from '#core/book/work.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { Money } from '#core/money/money.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** Said before it is done, or paid. */
export const BILL_SORTS = ['quote', 'bill'] as const;
export type BillSort = (typeof BILL_SORTS)[number];

/** What money went into: the years of an instrument are drawn by these. */
export const COST_KINDS = ['service', 'repair', 'reeds', 'things'] as const;
export type CostKind = (typeof COST_KINDS)[number];

/** What an instrument cost, or will: work at the bench, or something bought for it. */
export type Bill = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly sort: BillSort;
  /** What the bench does for it; none for something bought. */
  readonly works: readonly WorkId[];
  /** What it was, in the player's words; null where its work says it. */
  readonly what: string | null;
  readonly cost: Money;
  readonly on: LocalDate;
};

/** What somebody has put aside so far; the last word counts. */
export type Saved = { readonly on: LocalDate; readonly amount: Money };

export const MOST_WORKS = 12;
/** A bill from longer ago is a slip of the finger, and so is one from the future. */
const FURTHEST_BACK_DAYS = 3653;

export type BillRefusal =
  | { readonly code: 'bill-in-future' | 'bill-too-old'; readonly field: 'on' }
  | { readonly code: 'bill-of-nothing'; readonly field: 'what' };

/** Why a bill is none; null where it may be written down. */
export function billRefusal(
  { works, what, on }: Pick<Bill, 'works' | 'what' | 'on'>,
  today: LocalDate,
): BillRefusal | null {
  if (on > today) return { code: 'bill-in-future', field: 'on' };
  if (on < addDays(today, -FURTHEST_BACK_DAYS)) return { code: 'bill-too-old', field: 'on' };
  return works.length === 0 && what === null ? { code: 'bill-of-nothing', field: 'what' } : null;
}
