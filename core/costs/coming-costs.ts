import type { BenchWork } from '#core/bench/bench-jobs.ts';
import type { Book } from '#core/book/book.ts';
import type { WorkId } from '#core/book/work.ts';
import { priceOf, shippingPrice, type FirstPrice, type PriceRange } from '#core/costs/prices.ts';
import { sinkingFund, type DueAfter } from '#core/costs/sinking-fund.ts';
import type { Bill } from '#core/costs/bill.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { addDays, addMonths, type LocalDate } from '#core/time/local-date.ts';

/** How far ahead is saved for. */
export const SAVED_AHEAD_MONTHS = 24;
/** Put off by so long, to see what that changes. */
export const PUT_OFF_MONTHS = 3;

/** Something that will have to be paid, and when. */
export type Coming = PriceRange & {
  /** The instrument and what is done, so that the same stands under one name. */
  readonly key: string;
  readonly instrumentId: Instrument['id'];
  readonly on: LocalDate;
  readonly works: readonly WorkId[];
  readonly shipping: PriceRange;
  /** Each price was said or paid for this very work. */
  readonly isSaid: boolean;
};

export type ComingAsked = {
  readonly book: Book;
  readonly today: LocalDate;
  readonly instrument: Pick<Instrument, 'id' | 'kind'>;
  /** The next stay: what is done and on which day; null where nothing is for the bench, or no day was found. */
  readonly stay: { readonly work: BenchWork; readonly on: LocalDate } | null;
  /** The yearly service: when it is next due, and how long its interval is, days; null where nobody knows. */
  readonly service: { readonly due: LocalDate; readonly everyDays: number } | null;
  readonly bills: readonly Bill[];
  readonly first: FirstPrice | null;
  readonly shippingDays: number;
};

const add = (ranges: readonly PriceRange[]): PriceRange =>
  ranges.reduce((sum, { least, most }) => ({ least: sum.least + least, most: sum.most + most }), { least: 0, most: 0 });

function comingOf(asked: ComingAsked, on: LocalDate, works: readonly WorkId[]): Coming[] {
  const { book, instrument, bills, first, today, shippingDays } = asked;
  const prices = works.map((work) => priceOf({ book, work, kind: instrument.kind, today, bills, first }));
  const known = prices.filter((price) => price !== null);
  if (known.length < works.length) return [];
  const shipping = shippingPrice(book, first, shippingDays);
  return [
    {
      key: `${instrument.id} ${works.join(' ')} ${on}`,
      instrumentId: instrument.id,
      on,
      works,
      shipping,
      ...add([...known, shipping]),
      isSaid: known.every(({ from }) => from !== 'first-price'),
    },
  ];
}

/** What an instrument will cost in two years: its next stay, and a service each time its interval has run. */
export function comingCosts(asked: ComingAsked): Coming[] {
  const { today, stay, service } = asked;
  const last = addMonths(today, SAVED_AHEAD_MONTHS);
  const next = stay
    ? comingOf(
        asked,
        stay.on,
        stay.work.jobs.map(({ work }) => work),
      )
    : [];
  if (service === null) return next;
  const servedNext = stay?.work.jobs.some(({ work }) => work === 'service') === true;
  // What is served with the next stay is due again an interval after it.
  const every = Math.max(30, service.everyDays);
  let on = servedNext && stay ? addDays(stay.on, every) : service.due;
  const later: Coming[] = [];
  for (; on <= last; on = addDays(on, every)) if (on > today) later.push(...comingOf(asked, on, ['service']));
  return [...next, ...later];
}

/**
 * From which day on deposits count: on the first of a month on which nothing has been noted yet today's is still to be
 * made.
 */
export const depositsFrom = (today: LocalDate, savedOn: LocalDate | null): LocalDate =>
  today.endsWith('-01') && savedOn !== today ? addDays(today, -1) : today;

/** Firsts of a month after one day and up to another: on each of them is put aside. */
export function depositsUntil(today: LocalDate, on: LocalDate): number {
  const monthOf = (day: LocalDate): number => Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7));
  return Math.max(0, monthOf(on) - monthOf(today));
}

/** So much on the first of each month, from one deposit to another. */
export type SavingStep = {
  readonly deposit: number;
  /** How many deposits of it. */
  readonly times: number;
  /** The cost that makes it so much: with it the step ends. */
  readonly decidedBy: Coming;
};

export type SavingPlan = {
  /** What to put aside, step by step: each is less than the one before it; none where nothing has to be saved. */
  readonly steps: readonly SavingStep[];
  readonly short: number;
  /** With each of them put off: what would have to be put aside first. */
  readonly putOff: readonly { readonly key: string; readonly deposit: number }[];
};

const dueAfter = (today: LocalDate, coming: readonly Coming[], from = 0): DueAfter[] =>
  coming
    .map(({ on, most }) => ({ deposits: depositsUntil(today, on) - from, minor: most }))
    .filter(({ deposits }) => from === 0 || deposits > 0);

/**
 * What has to be put aside so that each cost can be paid on its date at its upper end. One amount for all the time would
 * go on, after a dear cost that is near, to pile up what nobody needs: once that cost is paid, the least that is enough for
 * those after it is put aside.
 */
function stepsOf(today: LocalDate, saved: number, coming: readonly Coming[]): SavingStep[] {
  const steps: SavingStep[] = [];
  const atOnce = coming.filter(({ on }) => depositsUntil(today, on) === 0).reduce((sum, { most }) => sum + most, 0);
  const later = coming.filter(({ on }) => depositsUntil(today, on) > 0);
  let [purse, made] = [Math.max(0, saved - atOnce), 0];
  for (;;) {
    const { deposit, decidedBy } = sinkingFund(purse, dueAfter(today, later, made));
    if (decidedBy === null) return steps;
    const until = made + decidedBy;
    const within = later.filter(({ on }) => depositsUntil(today, on) > made && depositsUntil(today, on) <= until);
    const last = within
      .filter(({ on }) => depositsUntil(today, on) === until)
      .toSorted((a, b) => (a.on < b.on ? 1 : -1))[0];
    if (last === undefined) return steps;
    steps.push({ deposit, times: decidedBy, decidedBy: last });
    purse += deposit * decidedBy - within.reduce((sum, { most }) => sum + most, 0);
    made = until;
  }
}

/** What to put aside for what is to come, what is short, and what it would change to put one of them off. */
export function savingPlan(today: LocalDate, saved: number, coming: readonly Coming[]): SavingPlan {
  const { short } = sinkingFund(saved, dueAfter(today, coming));
  const putOff = coming.map(({ key }) => {
    const later = coming.map((one) => (one.key === key ? { ...one, on: addMonths(one.on, PUT_OFF_MONTHS) } : one));
    return { key, deposit: sinkingFund(saved, dueAfter(today, later)).deposit };
  });
  return { steps: stepsOf(today, saved, coming), short, putOff };
}

/** What is put aside first, each month; nothing where nothing has to be. */
export const firstDeposit = ({ steps }: SavingPlan): number => steps[0]?.deposit ?? 0;

/** What there is after each first of a month, and what has been paid in it; the first is this month. */
export function purseByMonth(
  { today, saved, months }: { readonly today: LocalDate; readonly saved: number; readonly months: number },
  { steps, short }: SavingPlan,
  coming: readonly Coming[],
): { readonly left: number; readonly paid: number }[] {
  const deposits = steps.flatMap(({ deposit, times }) => Array.from({ length: times }, () => deposit));
  let left = saved + short;
  return Array.from({ length: months + 1 }, (_, month) => {
    const paid = coming.filter(({ on }) => depositsUntil(today, on) === month).reduce((sum, { most }) => sum + most, 0);
    left += (month === 0 ? 0 : (deposits[month - 1] ?? 0)) - paid;
    return { left, paid };
  });
}
