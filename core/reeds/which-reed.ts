import type { ReedState } from '#core/reeds/reed-state.ts';
import { mayPlay } from '#core/reeds/reed-state.ts';
import { ROTATION_PENALTY } from '#core/reeds/rotation.ts';
import { FIRST_HALF } from '#core/reeds/reed-numbers.ts';
import { weatherReasons, type DoubleWeather, type WeatherReason } from '#core/reeds/reed-weather.ts';
import { leftOfSet, type SetSessions } from '#core/reeds/reed-pin.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/**
 * What speaks against a reed for one play, in penalty minutes. What a plan of four weeks weighs as well has its weight
 * from there; the rest is asked of a single play only. All of them are estimates and are shown with every proposal.
 */
const { short, concertReedSpent, wear, practiceOnly } = ROTATION_PENALTY;
export const PENALTY = {
  uncovered: short,
  concertReedSpent,
  wear,
  practiceOnly,
  /** For each day since it was last played, up to ten, taken off: it has waited longest. */
  waitedDay: 0.4,
  /** At a concert: not of concert grade, in the second half of its life. */
  notConcertGrade: 60,
  /** At the end of its life; less before it, from the middle on. */
  secondHalf: 60,
} as const;
const LONGEST_WAIT_DAYS = 10;

/** What weighs in a proposal. */
export type ReedReason =
  | { readonly rule: 'cap'; readonly minutes: number | null; readonly playedToday: number }
  | { readonly rule: 'break-in'; readonly reached: number; readonly of: number; readonly minutes: number }
  | { readonly rule: 'not-rested'; readonly until: number }
  /** The player has set it: for now, not for now, or for tomorrow, for which it rests. */
  | { readonly rule: 'set'; readonly minutes: number }
  | { readonly rule: 'set-aside' | 'set-for-tomorrow' }
  /** Opened today, for so long. */
  | { readonly rule: 'opened'; readonly minutes: number }
  /** Nothing else is there for so long. */
  | { readonly rule: 'nothing-else'; readonly minutes: number }
  | { readonly rule: 'uncovered'; readonly minutes: number; readonly penalty: number }
  | { readonly rule: 'concert-reed-spent'; readonly penalty: number }
  | { readonly rule: 'wear'; readonly share: number; readonly penalty: number }
  | { readonly rule: 'waited'; readonly days: number; readonly penalty: number }
  | WeatherReason
  | { readonly rule: 'not-concert-grade' | 'second-half' | 'practice-only'; readonly penalty: number };

export type ReedChoice = {
  readonly reed: ReedState;
  /** How long it may be played now. */
  readonly minutes: number;
  readonly penalty: number;
  readonly because: readonly ReedReason[];
};

/** The play for which a reed is wanted. */
export type WantedFor = {
  readonly nowWall: number;
  readonly today: LocalDate;
  /** How long it will probably be. */
  readonly minutes: number;
  readonly isConcert: boolean;
  /** The share of its expected life a reed has behind it. */
  readonly shareOfLife: (reed: ReedState) => number;
  /** Of double reeds: what the air asks of the choice. */
  readonly weather?: DoubleWeather | undefined;
  /** What the player has set by hand. */
  readonly set?: SetSessions;
};

export const isConcertReed = ({ grade, stage }: ReedState): boolean =>
  stage === 'in-rotation' && grade?.goodFor === 'concert' && grade.feel !== 'too-soft';

function weighed(reed: ReedState, { minutes, isConcert, today, shareOfLife, weather }: WantedFor): ReedChoice {
  const because: ReedReason[] = [{ rule: 'cap', minutes: reed.leftToday, playedToday: reed.playedToday }];
  let penalty = 0;
  const against = (reason: ReedReason & { readonly penalty: number }): void => {
    penalty += reason.penalty;
    because.push(reason);
  };
  const playable = Math.min(minutes, reed.leftToday ?? minutes);
  const share = shareOfLife(reed);
  if (playable < minutes)
    against({ rule: 'uncovered', minutes: minutes - playable, penalty: (minutes - playable) * PENALTY.uncovered });
  if (isConcert) {
    if (!isConcertReed(reed)) against({ rule: 'not-concert-grade', penalty: PENALTY.notConcertGrade });
    const beyond = (share - FIRST_HALF.value) / (1 - FIRST_HALF.value);
    if (beyond > 0) against({ rule: 'second-half', penalty: beyond * PENALTY.secondHalf });
  } else {
    if (isConcertReed(reed)) against({ rule: 'concert-reed-spent', penalty: playable * PENALTY.concertReedSpent });
    if (reed.stage === 'practice-only') against({ rule: 'practice-only', penalty: PENALTY.practiceOnly });
    against({ rule: 'wear', share, penalty: playable * share * PENALTY.wear });
    const waited = reed.lastPlayedOn === null ? LONGEST_WAIT_DAYS : daysBetween(reed.lastPlayedOn, today);
    const days = Math.min(LONGEST_WAIT_DAYS, waited);
    against({ rule: 'waited', days, penalty: -days * PENALTY.waitedDay });
  }
  if (weather !== undefined) for (const reason of weatherReasons(reed, weather, { isConcert, today })) against(reason);
  return { reed, minutes: playable, penalty, because };
}

export type ReedProposal = {
  /** Those being broken in that may be played today, for the few minutes that allows; how many a play bears is not said here. */
  readonly first: readonly ReedChoice[];
  /** What may be played, the fittest first. */
  readonly choices: readonly ReedChoice[];
  /** Alive, but not to be played now, with the reason. */
  readonly resting: readonly ReedChoice[];
};

const NONE_SET: SetSessions = new Map();

/** What the player has set for today, and whether the reed has to rest for tomorrow. */
function setFor({ id, playedToday, leftToday, breakIn }: ReedState, { set = NONE_SET, today }: WantedFor) {
  const tomorrow = set.get(id)?.get(addDays(today, 1)) ?? 0;
  const rests = leftToday !== null && breakIn === null;
  return { minutes: leftOfSet(set, id, today, playedToday), restsForTomorrow: rests && tomorrow > 0 };
}

/** A reed the player has set for now: it is played so long, whatever speaks against it. */
function asSet(reed: ReedState, minutes: number, wanted: WantedFor): ReedChoice {
  const { penalty, because } = weighed(reed, wanted);
  const { restedFrom } = reed;
  const unrested: ReedReason[] =
    restedFrom !== null && restedFrom > wanted.nowWall ? [{ rule: 'not-rested', until: restedFrom }] : [];
  return { reed, minutes, penalty, because: [{ rule: 'set', minutes }, ...unrested, ...because] };
}

/** Why a reed that is alive is not to be played now; null where it may be. */
function restingFor(reed: ReedState, wanted: WantedFor): ReedReason | null {
  const { restedFrom, leftToday, playedToday } = reed;
  const { minutes, restsForTomorrow } = setFor(reed, wanted);
  if (minutes === 0) return { rule: 'set-aside' };
  if (restedFrom !== null && restedFrom > wanted.nowWall) return { rule: 'not-rested', until: restedFrom };
  if (!mayPlay(reed, wanted.nowWall)) return { rule: 'cap', minutes: leftToday, playedToday };
  return restsForTomorrow ? { rule: 'set-for-tomorrow' } : null;
}

/**
 * Which reed is played now, for how long, and why: those the player has set, then the fittest; ties go to the lower box
 * and number, so that the answer is one.
 */
export function whichReed(reeds: readonly ReedState[], wanted: WantedFor): ReedProposal {
  const living = reeds.filter(({ stage }) => stage !== 'retired' && stage !== 'new');
  const set = living.flatMap((reed): ReedChoice[] => {
    const { minutes } = setFor(reed, wanted);
    return minutes !== null && minutes > 0 ? [asSet(reed, minutes, wanted)] : [];
  });
  const others = living.filter((reed) => !set.some((one) => one.reed === reed));
  const first = others
    .filter((reed) => reed.breakIn && !wanted.isConcert && reed.playedToday === 0 && restingFor(reed, wanted) === null)
    .map((reed): ReedChoice => {
      const { reached, of } = reed.breakIn ?? { reached: 0, of: 0 };
      const minutes = reed.leftToday ?? 0;
      return { reed, minutes, penalty: 0, because: [{ rule: 'break-in', reached: reached + 1, of, minutes }] };
    });
  const settled = others.filter(({ breakIn }) => !breakIn);
  const choices = settled
    .filter((reed) => restingFor(reed, wanted) === null)
    .map((reed) => weighed(reed, wanted))
    .sort((a, b) => a.penalty - b.penalty || a.reed.id.localeCompare(b.reed.id));
  const resting = settled
    .flatMap((reed): ReedChoice[] => {
      const because = restingFor(reed, wanted);
      return because === null ? [] : [{ reed, minutes: 0, penalty: 0, because: [because] }];
    })
    .sort((a, b) => (a.reed.restedFrom ?? 0) - (b.reed.restedFrom ?? 0) || a.reed.id.localeCompare(b.reed.id));
  return { first, choices: [...set, ...choices], resting };
}
