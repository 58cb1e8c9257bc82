import { counted, type Format } from '#core/explain/format.ts';
import type { Readiness } from '#core/reeds/readiness.ts';
import { readinessWords } from '#core/reeds/reed-plan-words.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { reedName, reedsTogether } from '#core/reeds/reed-words.ts';
import { isConcertReed } from '#core/reeds/which-reed.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** A reed that will be fit with less than this chance is not called ready. */
const LIKELY = 0.25;
/** Reeds named at once. */
const MOST_NAMED = 4;
const named = (reeds: readonly ReedState[]): string => reedsTogether(reeds.slice(0, MOST_NAMED).map(reedName));
const isAre = ({ length }: readonly unknown[]): string => (length === 1 ? 'is' : 'are');

/** What of the reeds could still be ready, where not enough are: what helps in the days that are left. */
function helpWords(reeds: readonly ReedState[], days: number): string {
  const settled = reeds.filter(
    (reed) =>
      reed.breakIn === null && (reed.stage === 'in-rotation' || reed.stage === 'practice-only') && !isConcertReed(reed),
  );
  const untried = settled.filter(({ grade, ungraded }) => grade === null || ungraded);
  if (untried.length > 0)
    return `Play ${named(untried)} before then and grade ${untried.length === 1 ? 'it' : 'them'}, so that you know whether ${untried.length === 1 ? 'it is' : 'one is'} good enough.`;
  const best = settled.filter(({ grade }) => grade?.feel !== 'too-soft' && grade?.goodFor === 'rehearsal');
  if (best.length > 0) return `Of those you have, ${named(best)} ${isAre(best)} the best for it.`;
  const breaking = reeds.filter(({ breakIn, stage }) => breakIn !== null && stage === 'breaking-in');
  if (breaking.length > 0)
    return `Bring ${named(breaking)} on every day until then: the furthest of them is what you have.`;
  const fresh = reeds.filter(({ stage }) => stage === 'new');
  if (fresh.length > 0 && days > 0)
    return `Open ${counted(Math.min(fresh.length, MOST_NAMED), 'reed')} today all the same and play them a little every day: the best of them is what you have.`;
  return 'Buy or borrow a reed that has been played in.';
}

/**
 * What the next concert has to do with reeds, from when it is known until it is over: what is ready, what is to be opened
 * and by when, and what still helps where it is too late for that.
 */
export function nextConcertWords(
  ready: Readiness,
  reeds: readonly ReedState[],
  today: LocalDate,
  format: Format,
): string {
  const { on, wanted, existing, openBy, toOpen } = ready;
  const days = daysBetween(today, on);
  const fit = existing.filter(({ chance }) => chance >= LIKELY).map(({ reed }) => reed);
  const fading = existing.filter(({ chance }) => chance < LIKELY).map(({ reed }) => reed);
  const when = days === 0 ? 'The concert is today' : `The next concert is on ${format.weekdayDate(on)}`;
  const worn = fading.length === 0 ? '' : `, and ${named(fading)} ${isAre(fading)} probably too worn for it by then`;
  const have = `${fit.length === 0 ? 'no reed is ready for it' : `${named(fit)} ${isAre(fit)} ready for it`}${worn}`;
  if (toOpen === 0 || fit.length >= wanted) return `${when}: ${have}.`;
  if (openBy !== null && days > 0) return `${when}: ${have}. ${readinessWords(ready, format)}`;
  return `${when}: ${have}. ${helpWords(reeds, days)}`;
}

/** It can be played on that day: it is in use, and its first days are over by then. */
const isPlayableIn = ({ stage, breakIn }: ReedState, days: number): boolean =>
  breakIn === null
    ? stage === 'in-rotation' || stage === 'practice-only'
    : stage !== 'new' && breakIn.ahead.length <= days;

/**
 * One knock on the teeth ends a double reed: said as soon as a concert is known, and until two reeds can be played, so that
 * nobody stands there with one (practice book: a second one stands soaked and ready).
 *
 * @param days until the concert
 */
export function secondReedWords(reeds: readonly ReedState[], days: number): string | null {
  const playable = reeds.filter((reed) => isPlayableIn(reed, days)).length;
  if (playable >= 2) return null;
  const fresh = reeds.some(({ stage }) => stage === 'new');
  const first = playable === 0 ? 'two reeds' : 'a second reed';
  return `One knock ends a reed: have ${first} played in by then. ${fresh ? 'Open one now.' : 'Order today: hand-made reeds take about a week.'}`;
}
