import type { PlayColumns } from '#core/plays/play-columns.ts';

/** What a play lasts where the record says nothing (estimate), min. */
const UNKNOWN_PLAY_MINUTES = 45;
const PLAYS_READ = 20;
const STEP_MINUTES = 5;

/** The minutes offered when somebody says they have just played: the median of their last plays, to 5 min. */
export function usualPlayMinutes({ minutes }: PlayColumns): number {
  const recent = Array.from(minutes.slice(-PLAYS_READ)).toSorted((a, b) => a - b);
  const median = recent[Math.floor(recent.length / 2)] ?? UNKNOWN_PLAY_MINUTES;
  return Math.max(STEP_MINUTES, Math.round(median / STEP_MINUTES) * STEP_MINUTES);
}
