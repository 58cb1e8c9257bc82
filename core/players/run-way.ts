import type { Standing } from '#core/players/player.ts';

/** How a run is gone through: one step after another, stretch by stretch, or said to be done as it was listed. */
export const RUN_WAYS = ['guided', 'stretches', 'as-listed'] as const;
export type RunWay = (typeof RUN_WAYS)[number];

/** Runs on a kind of instrument after which its way is known by heart (estimate). */
export const RUNS_GUIDED = 5;

/**
 * The way a run is shown to somebody: what they have chosen; else guided for a child, and for anybody's first runs of a
 * kind of instrument.
 *
 * @param earlierRuns finished runs of this player on the kind they have done least
 */
export function wayFor(chosen: RunWay | null, standing: Standing, earlierRuns: number): RunWay {
  if (chosen !== null) return chosen;
  return standing === 'child' || earlierRuns < RUNS_GUIDED ? 'guided' : 'stretches';
}
