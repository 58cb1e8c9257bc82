import type { LocalDate } from '#core/time/local-date.ts';

/** What a player may decide about an item: let it wait, leave it to others for good, or take it up again. */
export const DECISION_KINDS = ['postponed', 'declined', 'resumed'] as const;
export type DecisionKind = (typeof DECISION_KINDS)[number];

/** The latest decision in force about an item. */
export type CareDecision =
  | { readonly kind: 'postponed'; readonly on: LocalDate; readonly until: LocalDate }
  | { readonly kind: 'declined'; readonly on: LocalDate }
  | { readonly kind: 'resumed'; readonly on: LocalDate };
