import type { StepId } from '#core/book/care-ids.ts';
import type { Marked } from '#core/explain/explained.ts';

/** One finished run of a player: what was ticked and when, in order, ms since 1970. */
export type TickedRun = {
  readonly startedAtMs: number;
  readonly ticks: readonly {
    readonly stepId: StepId;
    readonly atMs: number;
    readonly repeats: number;
    /** Said by itself; what was said along with others tells when the next began, and nothing of its own. */
    readonly byItself: boolean;
  }[];
};

/** The estimate counts as this many observations (estimate). */
const PRIOR_WEIGHT = 3;
/** Longer than this between two ticks is a pause, not a step (estimate), minutes. */
const LONGEST_STEP_MINUTES = 15;
/** Two ticks closer than this were made in one go and tell nothing of the step (estimate), minutes. */
const SHORTEST_STEP_MINUTES = 1 / 60;
const MS_PER_MINUTE = 60_000;

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}

/**
 * Minutes of one repeat of each step from the player's own ticks: the median of what was observed, shrunk towards the
 * estimate, `(k·estimate + n·median) / (k + n)` with k = 3. A step takes from the tick before it (or the start of the
 * run) to its own; pauses and double ticks are left out.
 *
 * @param estimates minutes of one repeat at this player's pace, by step; only these steps are learned
 */
export function learnMinutes(
  runs: readonly TickedRun[],
  estimates: ReadonlyMap<StepId, number>,
): ReadonlyMap<StepId, Marked> {
  const seen = new Map<StepId, number[]>();
  for (const { startedAtMs, ticks } of runs) {
    let before = startedAtMs;
    for (const { stepId, atMs, repeats, byItself } of ticks.toSorted((a, b) => a.atMs - b.atMs)) {
      const minutes = (atMs - before) / MS_PER_MINUTE;
      before = atMs;
      // What is no time is within neither.
      if (!byItself || !(minutes >= SHORTEST_STEP_MINUTES && minutes <= LONGEST_STEP_MINUTES)) continue;
      seen.set(stepId, [...(seen.get(stepId) ?? []), minutes / (repeats > 1 && repeats < Infinity ? repeats : 1)]);
    }
  }
  const learned = new Map<StepId, Marked>();
  for (const [stepId, minutes] of seen) {
    const estimate = estimates.get(stepId);
    if (estimate === undefined) continue;
    const value = (PRIOR_WEIGHT * estimate + minutes.length * median(minutes)) / (PRIOR_WEIGHT + minutes.length);
    learned.set(stepId, { value, mark: 'yours' });
  }
  return learned;
}
