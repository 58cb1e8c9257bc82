import { CANE_LIFE, GOOD_PRIOR, SOFT_LEFT, SYNTHETIC_LIFE, UNKNOWN_AGE } from '#core/reeds/reed-numbers.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { endsALife, type ReedFamily, type ReedMaterial } from '#core/reeds/reed.ts';
import { drawnCurve, type DrawnCurve, type Lifetime } from '#core/reeds/survival.ts';
import { lifeBelief, type LifeBelief, type Onward } from '#core/reeds/weibull-life.ts';
import type { GoodShare } from '#core/reeds/good-reeds.ts';

/**
 * A reed's life as far as it was watched, in minutes with high playing counted as it wears. One entered half gone is
 * watched from there on; of one played for nobody knows how long, nothing is known of its age. Null where nothing was
 * seen.
 */
export function lifetimeOf({ beforeMinutes, wornMinutes, ended }: ReedState): Lifetime | null {
  if (beforeMinutes === null || wornMinutes <= 0) return null;
  const isOver = ended !== null && endsALife(ended.cause);
  return { entered: beforeMinutes, left: beforeMinutes + wornMinutes, ended: isOver };
}

const HALF = 0.5;

/** How long reeds of one material live with this player. */
export type ReedLives = {
  readonly material: ReedMaterial;
  readonly belief: LifeBelief;
  readonly curve: DrawnCurve;
  /** What half of them outlive, minutes: the one length of a life that is reckoned with and shown. */
  readonly usualMinutes: number;
  /** The same before any of them was seen. */
  readonly beforeMinutes: number;
};

/** What half of them outlive before any was seen: the same for everybody, so it is worked out once. */
const usualBefore: Partial<Record<ReedMaterial, number>> = {};

export function reedLives(reeds: readonly ReedState[], material: ReedMaterial): ReedLives {
  const lives = reeds.filter(({ box }) => box.material === material).flatMap((reed) => lifetimeOf(reed) ?? []);
  const prior = material === 'cane' ? CANE_LIFE : SYNTHETIC_LIFE;
  const belief = lifeBelief(lives, prior);
  return {
    material,
    belief,
    curve: drawnCurve(lives),
    usualMinutes: belief.ageAt(HALF),
    beforeMinutes: (usualBefore[material] ??= lifeBelief([], prior).ageAt(HALF)),
  };
}

/** Lives by material: a synthetic reed says nothing of cane. */
export type LivesOf = Readonly<Record<ReedMaterial, ReedLives>>;
/** Each is worked out when it is first asked for. */
export function livesOf(reeds: readonly ReedState[]): LivesOf {
  const made: Partial<Record<ReedMaterial, ReedLives>> = {};
  const livesOf = (material: ReedMaterial): ReedLives => (made[material] ??= reedLives(reeds, material));
  return {
    get cane() {
      return livesOf('cane');
    },
    get synthetic() {
      return livesOf('synthetic');
    },
  };
}

/**
 * The age of a reed in minutes of wear. One that was played nobody knows how long before is neither new nor spent: it is
 * counted as having a share of a usual life behind it.
 */
export const ageOf = ({ box, beforeMinutes, wornMinutes }: ReedState, lives: LivesOf): number =>
  (beforeMinutes ?? UNKNOWN_AGE.value * lives[box.material].usualMinutes) + wornMinutes;

/** The share of its expected life a reed has behind it; 1 where it has outlived that. */
export const shareOfLife = (reed: ReedState, lives: LivesOf): number =>
  Math.min(1, ageOf(reed, lives) / lives[reed.box.material].usualMinutes);

/** What is believed of a reed by all others of its material: it is one of the lives seen, and would tell its own age twice. */
function beliefOf(reed: ReedState, lives: LivesOf): LifeBelief {
  const { belief } = lives[reed.box.material];
  const life = lifetimeOf(reed);
  return life === null ? belief : belief.without(life);
}

/** What is believed of a reed that has come so far. */
export const onwardOf = (reed: ReedState, lives: LivesOf): Onward => beliefOf(reed, lives).having(ageOf(reed, lives));

/** What is left of a living reed, minutes: the middle, and what nine of ten and one of ten outlive. */
export type Remaining = { readonly low: number; readonly middle: number; readonly high: number };

/** Ages, in usual lives, from which on one that lives is believed to be one of those that live long. */
const OLD_AGES = [0.75, 1, 1.5, 2];

/**
 * What is left of a living reed; null where nobody knows how old it is. Belief alone says more of one that has lived
 * beyond all others, for it must be a long-lived one; but cane does not recover, and what was left once is not less than
 * what is left later. One last found too soft has half of it (estimate).
 */
export function remainingOf(reed: ReedState, lives: LivesOf): Remaining | null {
  if (reed.beforeMinutes === null) return null;
  const { usualMinutes } = lives[reed.box.material];
  const { having } = beliefOf(reed, lives);
  const age = ageOf(reed, lives);
  const onward = [age, ...OLD_AGES.map((old) => old * usualMinutes).filter((old) => old < age)].map(having);
  const share = reed.grade?.feel === 'too-soft' ? SOFT_LEFT.value : 1;
  const left = (chance: number): number => share * Math.min(...onward.map(({ outlives }) => outlives(chance)));
  return { low: left(0.9), middle: left(0.5), high: left(0.1) };
}

/**
 * How a player's own grading has come out, added to what is believed before: only reeds graded with a flat back count, and
 * one that was of concert grade once stays a good one, however it is graded when it is worn.
 */
export function goodShareOf(
  reeds: readonly ReedState[],
  family: ReedFamily = 'single',
): GoodShare & { readonly graded: number } {
  const prior = GOOD_PRIOR[family];
  // Too hard with a flat back it is worked in for two weeks, and nothing is known of it before.
  const isOpen = ({ grade, breakIn }: ReedState): boolean => grade?.feel === 'too-hard' && breakIn !== null;
  const graded = reeds.filter((reed) => reed.wasConcert || (reed.grade !== null && !reed.ungraded && !isOpen(reed)));
  const good = graded.filter(({ wasConcert }) => wasConcert).length;
  return { good: prior.good + good, bad: prior.bad + graded.length - good, graded: graded.length };
}
