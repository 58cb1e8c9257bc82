import type { ConditionId } from '#core/book/condition-ids.ts';
import { estimate } from '#core/explain/explained.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** Rained on so often within so many days: it is a wet tour (estimates of the practice book). */
const RAINED_ON_FOR_A_TOUR = estimate(3);
const WITHIN_DAYS = estimate(7);

/** A condition that what happened speaks for, and how often it happened. */
export type ConditionSuggested = { readonly id: ConditionId; readonly times: number; readonly days: number };

/**
 * A wet tour, where an instrument was rained on three times within a week and nobody has said so yet; else null.
 *
 * @param rained the days it was rained on, in any order; twice in a day is one wet day
 * @param standing the conditions that hold or are to come
 */
export function conditionSuggested(
  rained: readonly LocalDate[],
  standing: readonly ConditionId[],
  today: LocalDate,
): ConditionSuggested | null {
  const days = WITHIN_DAYS.value;
  const after = addDays(today, -days);
  const times = new Set(rained.filter((on) => on > after && on <= today)).size;
  if (times < RAINED_ON_FOR_A_TOUR.value || standing.includes('wet-tour')) return null;
  return { id: 'wet-tour', times, days };
}
