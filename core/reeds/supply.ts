import { ageOf, type LivesOf } from '#core/reeds/reed-life.ts';
import { IN_HAND } from '#core/reeds/reed-numbers.ts';
import { boughtNext, priceOf, priceOfNext } from '#core/reeds/reed-price.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import type { Money } from '#core/money/money.ts';
import type { ReedBox, ReedFamily } from '#core/reeds/reed.ts';
import { addDays, addMonths, localDate, type LocalDate } from '#core/time/local-date.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** Days from ordering a box to holding it (estimate). */
export const DELIVERY_DAYS = 7;
const DAYS_A_MONTH = 365.25 / 12;
/** Nothing is said beyond two years. */
const FURTHEST_DAYS = 730;

export type Supply = {
  readonly unopened: number;
  readonly living: number;
  /** Reeds a month, at the forecast's minutes and the life expected. */
  readonly aMonth: number;
  readonly minutesADay: number;
  readonly lifeMinutes: number;
  /** The day fewer are left than should be in hand; null where that is far off. */
  readonly runsOutOn: LocalDate | null;
  readonly buyOn: LocalDate | null;
  readonly inHand: number;
  /** Null where no box says what it cost. */
  readonly costOfOne: Money | null;
  readonly costAMonth: Money | null;
  readonly costAnHour: Money | null;
};

export type SupplyAsked = {
  readonly today: LocalDate;
  readonly family: ReedFamily;
  readonly reeds: readonly ReedState[];
  readonly lives: LivesOf;
  /** Mean minutes a day, as foreseen. */
  readonly minutesADay: number;
};

/** What was spent on boxes in one month of the calendar, by its first day. */
export type SpentInMonth = { readonly from: LocalDate; readonly minor: number };
const MONTHS_SHOWN = 12;

/** What was spent in each of the last twelve months, this one among them; empty where no box says what it cost. */
export function spentByMonth(boxes: readonly ReedBox[], today: LocalDate): SpentInMonth[] {
  const priced = boxes.flatMap(({ cameOn, cost }) => (cost === null ? [] : [{ month: monthOf(cameOn), cost }]));
  const currency = priced.at(-1)?.cost.currency;
  if (currency === undefined) return [];
  return Array.from({ length: MONTHS_SHOWN }, (_, index) => {
    const from = addMonths(monthOf(today), index - MONTHS_SHOWN + 1);
    const bought = priced.filter(({ month, cost }) => month === from && cost.currency === currency);
    return { from, minor: bought.reduce((sum, { cost }) => sum + cost.minor, 0) };
  });
}
const monthOf = (day: LocalDate): LocalDate => localDate(`${day.slice(0, 7)}-01`);

/**
 * How long the reeds in the house last: minutes left in the living and the unopened ones, beyond those that should be in
 * hand, shared out over the days to come.
 *
 * @throws RangeError for minutes that are none
 */
export function supplyOf({ today, family, reeds, lives, minutesADay }: SupplyAsked): Supply {
  checkNumber('the minutes of a day', minutesADay);
  const lifeOf = (reed: ReedState): number => lives[reed.box.material].usualMinutes;
  const unopened = reeds.filter(({ stage }) => stage === 'new');
  const living = reeds.filter(({ stage }) => stage !== 'new' && stage !== 'retired');
  const left = [...living, ...unopened].reduce((sum, reed) => sum + Math.max(0, lifeOf(reed) - ageOf(reed, lives)), 0);
  const lifeMinutes = lives[boughtNext(reeds)].usualMinutes;
  const inHand = IN_HAND[family].value;
  // Reeds in turn are on average half way through.
  const spare = left - (inHand * lifeMinutes) / 2;
  const days = minutesADay > 0 ? Math.max(0, Math.floor(spare / minutesADay)) : FURTHEST_DAYS;
  const runsOutOn = days >= FURTHEST_DAYS ? null : addDays(today, days);
  const aMonth = (minutesADay * DAYS_A_MONTH) / lifeMinutes;
  const cost = priceOfNext(reeds);
  const costOf = (howMany: number): Money | null => cost && priceOf(howMany, cost);
  return {
    unopened: unopened.length,
    living: living.length,
    aMonth,
    minutesADay,
    lifeMinutes,
    runsOutOn,
    buyOn: runsOutOn === null ? null : addDays(today, Math.max(0, days - DELIVERY_DAYS)),
    inHand,
    costOfOne: cost,
    costAMonth: costOf(aMonth),
    costAnHour: costOf(60 / lifeMinutes),
  };
}
