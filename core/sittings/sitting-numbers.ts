import { estimate, type Marked } from '#core/explain/explained.ts';
import type { Skill } from '#core/players/player.ts';

/** Weeks that are planned. */
export const SITTING_DAYS = 42;
/** More than this at once is a fleet's plan: the most pressing are planned, and it is said where that stops. */
export const MOST_PLANNED = 240;
/** Time on a day before anybody has said, Monday to Sunday, minutes: an hour, as a bath asks for, only at the weekend. */
export const USUAL_TIME: readonly Marked[] = [15, 15, 15, 15, 15, 60, 60].map(estimate);
/** Nobody sits longer over the care of instruments. */
export const MOST_TIME = 240;

/** Days before an audience in which it is not done any more: oil has to soak in, and hands have to get used to it. */
export const SETTLES_BY_SKILL: Readonly<Partial<Record<Skill, Marked>>> = {
  'bore-oil': estimate(2),
  'key-oil': estimate(1),
  screws: estimate(2),
};
/** Nothing is done again before this share of its interval is over: what has just been done is not done again. */
export const LEAST_GAP = estimate(0.6);
/** How often something is done of which no interval is known, days: for what being early wastes. */
export const UNKNOWN_INTERVAL = 90;
