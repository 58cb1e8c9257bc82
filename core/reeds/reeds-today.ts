import { DAILY_CAP, IN_HAND, RAMP, TOO_LITTLE } from '#core/reeds/reed-numbers.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import type { ReedFamily } from '#core/reeds/reed.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import { isConcertReed, type ReedChoice, type ReedProposal, type ReedReason } from '#core/reeds/which-reed.ts';

/** More reeds than this are not broken in on one day, however long it is (estimate). */
const MOST_BROKEN_IN = 4;
/** Where there is a reed that is broken in, so much of a play goes to those that are not (estimate). */
const SHARE_FOR_BREAKING_IN = 0.5;

/** What is played now, reed after reed, and what else is to be done. */
export type ReedsToday = {
  /** In this order, each so long. */
  readonly play: readonly ReedChoice[];
  /** Of those the ones that are opened for it. */
  readonly opened: readonly ReedState[];
  /** Played longer than its limit, because nothing else is there; null where that is not needed. */
  readonly beyond: ReedChoice | null;
  /** At a concert: what stands ready beside it, and what is practised on before it; null where there is none. */
  readonly beside: ReedChoice | null;
  readonly before: ReedChoice | null;
  /** How many are in use, are still to be opened, and should be there at the least. */
  readonly inHand: { readonly have: number; readonly unopened: number; readonly least: number };
  /** One knock on the teeth ends a double reed: at a concert a second one lies soaked beside it. */
  readonly wantsSecond: boolean;
  /** How many to buy; 0 where there are enough, and on days on which it need not be said again. */
  readonly buy: number;
};

export type ReedsTodayAsked = {
  readonly today: LocalDate;
  readonly reeds: readonly ReedState[];
  readonly proposal: ReedProposal;
  /** How long the play will probably be. */
  readonly minutes: number;
  readonly isConcert: boolean;
  readonly family: ReedFamily;
  /** How many more are to be opened for a concert, where it is time to. */
  readonly forConcert: number;
};

/** What does not fill this is no play of its own: nobody changes the reed for it. */
const LEAST_SESSION = RAMP[0]?.value ?? 0;

const inUse = ({ stage }: ReedState): boolean => stage !== 'new' && stage !== 'retired';
const firstDayOf = ({ leftToday, breakIn }: ReedState): number =>
  leftToday === null ? Infinity : (breakIn?.cap.value ?? DAILY_CAP.value);

/** New reeds in the order they are opened: the oldest box first, as they lie in it. */
const unopened = (reeds: readonly ReedState[]): ReedState[] =>
  reeds
    .filter(({ stage }) => stage === 'new')
    .sort(
      (a, b) => a.box.cameOn.localeCompare(b.box.cameOn) || a.box.key.localeCompare(b.box.key) || a.number - b.number,
    );

/** The one that is opened next. */
export const nextOpened = (reeds: readonly ReedState[]): ReedState | undefined => unopened(reeds)[0];

const asChoice = (reed: ReedState, minutes: number, because: readonly ReedReason[]): ReedChoice => ({
  reed,
  minutes,
  penalty: 0,
  because,
});

/** Who has waited longest comes first; of several, the shortest session: one played long already leaves the others theirs. */
const byTurn = (a: ReedChoice, b: ReedChoice): number =>
  (a.reed.lastPlayedOn ?? '').localeCompare(b.reed.lastPlayedOn ?? '') || a.minutes - b.minutes;

/** New reeds that are opened today, each for its first minutes, where fewer are in turn than should be, or a concert wants more. */
function openingOf({ reeds, proposal, minutes, family, forConcert }: ReedsTodayAsked): ReedChoice[] {
  const missing = Math.max(0, forConcert, IN_HAND[family].value - reeds.filter(inUse).length);
  // A reed that needs no breaking in is opened when one is wanted, one at a time.
  const isWanted = proposal.choices.length === 0;
  return unopened(reeds)
    .slice(0, missing)
    .filter(({ breakIn }, at) => breakIn !== null || (at === 0 && isWanted))
    .map((reed) => {
      const cap = Math.min(firstDayOf(reed), minutes);
      return asChoice(reed, cap, [{ rule: 'opened', minutes: cap }]);
    });
}

/** Minutes of one play shared out among reeds that are broken in, one after the other. */
class BreakingInShares {
  readonly taken: ReedChoice[] = [];
  constructor(private left: number) {}

  private take(one: ReedChoice, minutes: number): void {
    this.taken.push({ ...one, minutes });
    this.left -= minutes;
  }

  /** As long as it counts as a day of breaking it in; however short the play, the first is brought on. */
  giveDay(one: ReedChoice, play: number): void {
    const counts = Math.min(Math.ceil(one.minutes * TOO_LITTLE.value), play);
    const session = Math.min(one.minutes, Math.max(this.left, this.taken.length === 0 ? counts : 0));
    if (this.taken.length < MOST_BROKEN_IN && session >= counts) this.take(one, session);
  }

  /** What is left, though it brings that one no further. */
  giveRest(candidates: readonly ReedChoice[]): void {
    const next = candidates.find((one) => this.taken.every(({ reed }) => reed !== one.reed));
    if (next !== undefined && this.taken.length < MOST_BROKEN_IN && this.left >= LEAST_SESSION)
      this.take(next, Math.min(next.minutes, this.left));
  }
}

/** Reeds to be broken in today, the begun before the new: as many as the play bears beside one that is broken in. */
function brokenIn(asked: ReedsTodayAsked): ReedChoice[] {
  const { proposal, minutes, isConcert } = asked;
  const isSettledThere = proposal.choices.length > 0;
  // A play too short for two reeds is played on the one that is broken in.
  if (isConcert || (isSettledThere && minutes < 2 * LEAST_SESSION)) return [];
  const candidates = [...proposal.first.toSorted(byTurn), ...openingOf(asked)];
  const shares = new BreakingInShares(isSettledThere ? minutes * SHARE_FOR_BREAKING_IN : minutes);
  for (const one of candidates) shares.giveDay(one, minutes);
  if (!isSettledThere) shares.giveRest(candidates);
  return shares.taken;
}

/** The least bad reed for minutes that no reed should be played: one that has not rested, else the one furthest broken in. */
function beyondOf(
  { reeds, proposal }: ReedsTodayAsked,
  play: readonly ReedChoice[],
  minutes: number,
): ReedChoice | null {
  const [rested] = proposal.choices;
  const [tired] = proposal.resting.filter(({ because }) => because.every(({ rule }) => rule !== 'set-aside'));
  const far = [...play.map(({ reed }) => reed), ...reeds.filter(({ breakIn, stage }) => breakIn && stage !== 'new')]
    .filter(({ stage }) => stage !== 'retired')
    .toSorted((a, b) => (b.breakIn?.cap.value ?? 0) - (a.breakIn?.cap.value ?? 0))
    .at(0);
  const reed = rested?.reed ?? tired?.reed ?? far ?? nextOpened(reeds);
  return reed === undefined ? null : asChoice(reed, minutes, [{ rule: 'nothing-else', minutes }]);
}

/** When a reed has ended, what to buy is said for so many days; without that on Mondays: who has heard it knows it. */
const BUY_SAID_DAYS = 3;
const MONDAY = 0;

/** How many to buy, where it is said today; with no reed at all it is always said. */
function toBuy({ reeds, today }: ReedsTodayAsked, { have, unopened, least }: ReedsToday['inHand']): number {
  const since = addDays(today, -BUY_SAID_DAYS);
  const isSaid =
    have + unopened === 0 ||
    weekdayOfDay(dayNumber(today)) === MONDAY ||
    reeds.some(({ ended }) => ended !== null && ended.on >= since);
  return isSaid ? Math.max(0, least - have - unopened) : 0;
}

/**
 * What is played now: what is being broken in, new reeds where fewer are in turn than should be, then the fittest ones
 * until the play is covered. Where nothing covers it, the least bad; where there is no reed at all, nothing.
 */
export function reedsToday(asked: ReedsTodayAsked): ReedsToday {
  const { reeds, proposal, minutes, isConcert, family } = asked;
  const isSet = ({ because }: ReedChoice): boolean => because.some(({ rule }) => rule === 'set');
  const set = proposal.choices.filter(isSet);
  const breaking = brokenIn(asked);
  const play: ReedChoice[] = [];
  let left = minutes;
  const take = (one: ReedChoice): void => {
    const session = Math.min(one.minutes, left);
    if (session < LEAST_SESSION && play.length > 0) return;
    play.push({ ...one, minutes: session });
    left -= session;
  };
  for (const one of [...breaking, ...set, ...proposal.choices.filter((choice) => !isSet(choice))])
    if (left > 0) take(one);
  const missing = left < LEAST_SESSION ? 0 : left;
  const beyond = missing === 0 ? null : beyondOf(asked, play, missing);
  const inHand = {
    have: reeds.filter(inUse).length,
    unopened: unopened(reeds).length,
    least: IN_HAND[family].value,
  };
  const others = isConcert ? proposal.choices.filter((one) => !play.some(({ reed }) => reed === one.reed)) : [];
  return {
    play,
    opened: play.map(({ reed }) => reed).filter(({ stage }) => stage === 'new'),
    beyond,
    beside: others.at(0) ?? null,
    // What stands ready beside the concert reed is not tired out before it.
    before: others.slice(1).findLast(({ reed }) => !isConcertReed(reed)) ?? null,
    inHand,
    wantsSecond: isConcert && family === 'double',
    buy: toBuy(asked, inHand),
  };
}
