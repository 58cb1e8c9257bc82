import { MOST_BENCH, type BenchTerms } from '#core/bench/bench-terms.ts';
import { checkNumber } from '#core/kernel/check-number.ts';
import { addDays, dateOfDay, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/** Public holidays where the bench is, by the number of the day: it is shut, and no parcel comes. */
export type ShutDays = ReadonlyMap<number, string>;
/** How long it is away. */
export type AwayFor = Pick<BenchTerms, 'workingDays' | 'shippingDays' | 'settlingDays'>;

/** A stay: the day it is taken there, the day it is back, and the first day on which it may be played to an audience. */
export type Stay = {
  readonly on: LocalDate;
  readonly back: LocalDate;
  readonly ready: LocalDate;
  /** The day it goes on its way back; that of fetching it where it is carried. */
  readonly sentBack: LocalDate;
};

const FRIDAY = 4;
/** Is somebody there: Monday to Friday, but for public holidays? */
export const isOpen = (day: number, shut: ShutDays): boolean => weekdayOfDay(day) <= FRIDAY && !shut.has(day);

/**
 * Can a parcel that is sent on a day be there without lying over days on which nobody comes? One that is longer on the way
 * than a week has working days cannot, whenever it is sent.
 */
export function isThereInOneGo(day: number, days: number, shut: ShutDays): boolean {
  if (days > FRIDAY) return true;
  return Array.from({ length: days }, (_, at) => day + 1 + at).every((one) => isOpen(one, shut));
}

/**
 * The stay that begins on a day: the way there, working days Monday to Friday from the day it has come, the way back from
 * the next day on which the bench is open, and from which a parcel does not lie anywhere; a parcel comes on a working day.
 *
 * @param shut public holidays where the bench is
 * @throws RangeError for days that are none
 */
export function stayFrom(on: LocalDate, away: AwayFor, shut: ShutDays): Stay {
  for (const figure of ['workingDays', 'shippingDays', 'settlingDays'] as const)
    checkNumber(figure, away[figure], { whole: true, most: MOST_BENCH[figure] });
  const { workingDays, shippingDays, settlingDays } = away;
  let day = dayNumber(on) + shippingDays;
  for (let left = workingDays; left > 0; day += 1) if (isOpen(day, shut)) left -= 1;
  // Handed out, or sent, on a day on which somebody is there.
  while (!isOpen(day, shut) || !isThereInOneGo(day, shippingDays, shut)) day += 1;
  let comes = day + shippingDays;
  while (!isOpen(comes, shut)) comes += 1;
  const back = dateOfDay(comes);
  return { on, back, ready: addDays(back, settlingDays), sentBack: dateOfDay(day) };
}
