import { chanceOfGood, type GoodShare } from '#core/reeds/good-reeds.ts';
import { FIRST_HALF, IN_HAND, PLAYED_IN_DAYS, RAMP, SURE_ENOUGH } from '#core/reeds/reed-numbers.ts';
import { ageOf, goodShareOf, onwardOf, type LivesOf } from '#core/reeds/reed-life.ts';
import type { Money } from '#core/money/money.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { priceOfNext } from '#core/reeds/reed-price.ts';
import { isConcertReed } from '#core/reeds/which-reed.ts';
import type { BreakIn, ReedFamily } from '#core/reeds/reed.ts';
import type { ReedWish } from '#core/settings/settings.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** After breaking in a reed is played in turn for so long before its grade is trusted (estimate). */
export const SETTLING_DAYS = 3;
/** More than so many reeds nobody keeps going at once (estimates). */
const MOST_IN_TURN: Readonly<Record<ReedFamily, number>> = { single: 8, double: 6, pipe: 2 };
/** Nobody wants more. */
const MOST_WANTED = 1000;
/** More is not offered in the table. */
const MOST_IN_TABLE = 20;

/** A concert reed of today with the chance that it is still one on the day. */
export type ExistingReed = { readonly reed: ReedState; readonly minutesUntil: number; readonly chance: number };

export type Readiness = {
  readonly on: LocalDate;
  readonly wanted: number;
  readonly wish: ReedWish;
  readonly existing: readonly ExistingReed[];
  /** Reeds already opened whose grade is not known yet, and can be by that day. */
  readonly underWay: number;
  readonly share: GoodShare & { readonly graded: number };
  /** Days from opening a reed to trusting its grade. */
  readonly leadDays: number;
  /** The last day on which one opened then is ready; null where that day is over. */
  readonly openBy: LocalDate | null;
  /** How many more to open for the chance that is sure enough; null where no number is, or it is too late. */
  readonly toOpen: number | null;
  /** How many of them it is wise to open: no more than can be kept going beside those in use. */
  readonly advised: number;
  /** How many make it surer still, where that is more and can be kept going; null where nothing is to be opened. */
  readonly surer: { readonly opened: number; readonly chance: number } | null;
  /** What one of them costs; null where no box says. */
  readonly costOfOne: Money | null;
  /** New reeds there are to be opened. */
  readonly unopened: number;
  /** Opened so many more → the chance that enough are ready. */
  readonly table: readonly { readonly opened: number; readonly chance: number }[];
};

export type ReadinessAsked = {
  readonly on: LocalDate;
  readonly wanted: number;
  readonly today: LocalDate;
  readonly reeds: readonly ReedState[];
  readonly lives: LivesOf;
  /** Minutes that will probably be played until that day. */
  readonly minutesUntil: number;
  /** How the reeds that would be opened are broken in. */
  readonly breakIn: BreakIn;
  readonly family?: ReedFamily;
  /** Whether they want to be surer, or open fewer. */
  readonly wish?: ReedWish;
};

/** Days from opening a reed to trusting its grade. */
const leadOf = (family: ReedFamily, breakIn: BreakIn): number =>
  family === 'single'
    ? (breakIn === 'none' ? 0 : RAMP.length * (breakIn === 'two-weeks' ? 2 : 1)) + SETTLING_DAYS
    : PLAYED_IN_DAYS[family].value;

/** Days until the grade of a reed that is opened can be trusted: what is left of breaking it in, and a few in turn. */
function leftOf({ breakIn, days }: ReedState, family: ReedFamily): number {
  if (family !== 'single') return Math.max(1, leadOf(family, 'none') - days.length);
  return breakIn === null ? SETTLING_DAYS : breakIn.of - breakIn.reached + SETTLING_DAYS;
}

/** The chances of 0, 1, 2 … of these, each with a chance of its own. */
function counts(chances: readonly number[]): number[] {
  return chances.reduce<number[]>(
    (before, chance) => {
      const after = [...before, 0];
      return after.map((_, index) => (before[index] ?? 0) * (1 - chance) + (before[index - 1] ?? 0) * chance);
    },
    [1],
  );
}

/**
 * The concert reeds of today that will probably still be fit: alive, and still in the first half of whatever life they
 * turn out to have, by the belief of how long reeds live. What is played until then is shared among the reeds in turn, and
 * those that will be.
 */
function existingOn({ reeds, lives, minutesUntil, family = 'single' }: ReadinessAsked): ExistingReed[] {
  const living = reeds.filter(({ stage }) => stage !== 'new' && stage !== 'retired').length;
  const unopened = reeds.filter(({ stage }) => stage === 'new').length;
  const inTurn = Math.max(living, Math.min(IN_HAND[family].value, living + unopened));
  const each = inTurn === 0 ? 0 : minutesUntil / inTurn;
  return reeds.filter(isConcertReed).map((reed) => {
    const age = ageOf(reed, lives);
    const chance = onwardOf(reed, lives).lasts((age + each) / FIRST_HALF.value - age);
    return { reed, minutesUntil: each, chance };
  });
}

/** Something is to be opened, and a few more of them, no more than can be kept going, make it surer. */
const isWorthSaying = (
  { opened }: { readonly opened: number },
  { advised, mostMore }: { readonly advised: number; readonly mostMore: number },
): boolean => advised > 0 && opened > advised && opened <= mostMore;

/** Opened, and its grade not known yet: it counts where there is time to finish it, each by how far it has come. */
const isUnderWay = ({ stage, grade, ungraded }: ReedState): boolean =>
  stage === 'breaking-in' || (stage === 'in-rotation' && (grade === null || ungraded));

/**
 * How many reeds to open, and by when, so that enough of concert grade are ready on a day: those of today each with the
 * chance to last, those opened by beta-binomial with the player's own share of good ones.
 *
 * @throws RangeError for a wish or minutes that are none
 */
export function readinessFor(asked: ReadinessAsked): Readiness {
  const { on, wanted, today, reeds, breakIn, family = 'single', wish = 'usual' } = asked;
  checkNumber('the concert reeds wanted', wanted, { whole: true, most: MOST_WANTED });
  checkNumber('the minutes until then', asked.minutesUntil);
  const existing = existingOn(asked);
  const share = goodShareOf(reeds, family);
  const underWay = reeds.filter((reed) => isUnderWay(reed) && leftOf(reed, family) <= daysBetween(today, on)).length;
  const leadDays = leadOf(family, breakIn);
  const openBy = addDays(on, -leadDays);
  const inTime = openBy >= today;
  const have = counts(existing.map(({ chance }) => chance));
  const chanceWith = (opened: number): number =>
    have.reduce((sum, chance, count) => sum + chance * chanceOfGood(underWay + opened, wanted - count, share), 0);
  const table = Array.from({ length: inTime ? MOST_IN_TABLE + 1 : 1 }, (_, opened) => ({
    opened,
    chance: chanceWith(opened),
  }));
  const inUse = reeds.filter(({ stage }) => stage !== 'new' && stage !== 'retired').length;
  const mostMore = Math.max(0, MOST_IN_TURN[family] - inUse);
  const reaching = (least: number) => table.find(({ chance }) => chance >= least - 1e-9);
  const enough = reaching(SURE_ENOUGH[wish].value);
  const advised = Math.min(enough?.opened ?? Infinity, mostMore);
  const surer = reaching(SURE_ENOUGH.surer.value);
  return {
    on,
    wanted,
    wish,
    existing,
    underWay,
    advised,
    surer: surer && isWorthSaying(surer, { advised, mostMore }) ? surer : null,
    costOfOne: priceOfNext(reeds),
    unopened: reeds.filter(({ stage }) => stage === 'new').length,
    share,
    leadDays,
    openBy: inTime ? openBy : null,
    toOpen: enough?.opened ?? null,
    table,
  };
}
