import { COST_KINDS, type CostKind } from '#core/costs/bill.ts';
import { checkNumber } from '#core/kernel/check-number.ts';
import { portion } from '#core/money/portion.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** Money that went into an instrument on a day, in the smallest coins. */
export type Spent = { readonly on: LocalDate; readonly kind: CostKind; readonly minor: number };
/** What went into it in one year of the calendar. */
export type YearOfCosts = { readonly year: number; readonly minutes: number; readonly sum: number } & Readonly<
  Record<CostKind, number>
>;

const yearOf = (day: LocalDate): number => Number(day.slice(0, 4));

/** What an instrument cost year by year, the oldest first, with the minutes it was played; every year between is there. */
export function costsOfYears(
  spent: readonly Spent[],
  minutesIn: (year: number) => number,
  { from, today }: { readonly from: LocalDate; readonly today: LocalDate },
): YearOfCosts[] {
  for (const { minor } of spent) checkNumber('an amount', minor, { whole: true });
  const years = spent.map(({ on }) => yearOf(on));
  const first = Math.min(yearOf(from), yearOf(today), ...years);
  return Array.from({ length: yearOf(today) - first + 1 }, (_, at) => {
    const year = first + at;
    const of = (kind: CostKind): number =>
      spent.filter((one) => yearOf(one.on) === year && one.kind === kind).reduce((sum, { minor }) => sum + minor, 0);
    const [service, repair, reeds, things] = COST_KINDS.map(of) as [number, number, number, number];
    return { year, minutes: minutesIn(year), service, repair, reeds, things, sum: service + repair + reeds + things };
  });
}

/** What an hour of playing cost, in the smallest coins, rounded; null where nothing was played. */
export const anHour = (minor: number, minutes: number): number | null =>
  minutes === 0 ? null : portion(minor, 60, minutes, 'nearest');

/**
 * An amount shared out by whole weights, in whole coins: nothing is lost and nothing made, the odd coins go where the most
 * was cut off (largest remainder).
 */
export function sharedOut(minor: number, weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  if (total === 0) return weights.map((_, at) => (at === 0 ? minor : 0));
  const shares = weights.map((weight) => portion(minor, weight, total, 'down'));
  const odd = minor - shares.reduce((sum, share) => sum + share, 0);
  const cutOff = (at: number): bigint => (BigInt(minor) * BigInt(weights[at] ?? 0)) % BigInt(total);
  const byCut = weights
    .map((_, at) => at)
    .toSorted((a, b) => (cutOff(a) === cutOff(b) ? a - b : cutOff(b) > cutOff(a) ? 1 : -1));
  for (const at of byCut.slice(0, odd)) shares[at] = (shares[at] ?? 0) + 1;
  return shares;
}
