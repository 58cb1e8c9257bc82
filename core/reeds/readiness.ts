import { chanceOfGood, type GoodShare } from '#core/reeds/good-reeds.ts';
import { FIRST_HALF, RAMP, SURE_ENOUGH } from '#core/reeds/reed-numbers.ts';
import { ageOf, goodShareOf, onwardOf, type LivesOf } from '#core/reeds/reed-life.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { isConcertReed } from '#core/reeds/which-reed.ts';
import type { BreakIn } from '#core/reeds/reed.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** After breaking in a reed is played in turn for so long before its grade is trusted (estimate). */
export const SETTLING_DAYS = 3;
/** Nobody wants more. */
const MOST_WANTED = 1000;
/** More is not offered in the table. */
const MOST_IN_TABLE = 20;

/** A concert reed of today with the chance that it is still one on the day. */
export type ExistingReed = { readonly reed: ReedState; readonly minutesUntil: number; readonly chance: number };

export type Readiness = {
  readonly on: LocalDate;
  readonly wanted: number;
  readonly existing: readonly ExistingReed[];
  /** Reeds already opened whose grade is not known yet. */
  readonly underWay: number;
  readonly share: GoodShare & { readonly graded: number };
  /** Days from opening a reed to trusting its grade. */
  readonly leadDays: number;
  /** The last day on which one opened then is ready; null where that day is over. */
  readonly openBy: LocalDate | null;
  /** How many more to open for the chance that is sure enough; null where no number is, or it is too late. */
  readonly toOpen: number | null;
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
  readonly breakIn: BreakIn;
};

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
 * The concert reeds of today that will probably still be fit: alive, by the belief of how long reeds live, and in the
 * first half of an expected life. What is played until then is shared among the reeds in turn.
 */
function existingOn({ reeds, lives, minutesUntil }: ReadinessAsked): ExistingReed[] {
  const inTurn = reeds.filter(({ stage }) => stage === 'in-rotation' || stage === 'practice-only');
  const each = inTurn.length === 0 ? 0 : minutesUntil / inTurn.length;
  return reeds.filter(isConcertReed).map((reed) => {
    const age = ageOf(reed);
    const { belief } = lives[reed.box.material];
    const isSpent = age + each > belief.median.mean * FIRST_HALF.value;
    return {
      reed,
      minutesUntil: each,
      chance: isSpent ? 0 : onwardOf(reed, lives).lasts(each),
    };
  });
}

/**
 * How many reeds to open, and by when, so that enough of concert grade are ready on a day: those of today each with the
 * chance to last, those opened by beta-binomial with the player's own share of good ones.
 *
 * @throws RangeError for a wish or minutes that are none
 */
export function readinessFor(asked: ReadinessAsked): Readiness {
  const { on, wanted, today, reeds, breakIn } = asked;
  checkNumber('the concert reeds wanted', wanted, { whole: true, most: MOST_WANTED });
  checkNumber('the minutes until then', asked.minutesUntil);
  const existing = existingOn(asked);
  const share = goodShareOf(reeds);
  const underWay = reeds.filter(
    ({ stage, grade, ungraded }) =>
      stage === 'breaking-in' || (stage === 'in-rotation' && (grade === null || ungraded)),
  ).length;
  const ramp = breakIn === 'none' ? 0 : RAMP.length * (breakIn === 'two-weeks' ? 2 : 1);
  const leadDays = ramp + SETTLING_DAYS;
  const openBy = addDays(on, -leadDays);
  const inTime = openBy >= today;
  // What is under way counts where there is time to finish it.
  const begun = daysBetween(today, on) >= SETTLING_DAYS ? underWay : 0;
  const have = counts(existing.map(({ chance }) => chance));
  const chanceWith = (opened: number): number =>
    have.reduce((sum, chance, count) => sum + chance * chanceOfGood(begun + opened, wanted - count, share), 0);
  const table = Array.from({ length: inTime ? MOST_IN_TABLE + 1 : 1 }, (_, opened) => ({
    opened,
    chance: chanceWith(opened),
  }));
  const enough = table.find(({ chance }) => chance >= SURE_ENOUGH.value - 1e-9);
  return {
    on,
    wanted,
    existing,
    underWay,
    share,
    leadDays,
    openBy: inTime ? openBy : null,
    toOpen: enough?.opened ?? null,
    table,
  };
}
