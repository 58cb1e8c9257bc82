/**
 * How a care item stands. `unknown`: nothing tells when it was last done, so it asks. `as-seen`: has no clock, a sign
 * calls for it. `off`: a method or the player has switched it off. `waiting`: something stuck keeps it waiting for the
 * bench.
 */
export const CARE_STATES = ['fresh', 'soon', 'due', 'overdue', 'unknown', 'as-seen', 'off', 'waiting'] as const;
export type CareState = (typeof CARE_STATES)[number];

export const SOON_AT = 0.75;
const DUE_AT = 1;
export const OVERDUE_AT = 1.5;

/** The state of a running clock by its load: fresh < 0.75 ≤ soon < 1 ≤ due < 1.5 ≤ overdue. */
export function stateOfLoad(load: number): CareState {
  if (load < SOON_AT) return 'fresh';
  if (load < DUE_AT) return 'soon';
  return load < OVERDUE_AT ? 'due' : 'overdue';
}
