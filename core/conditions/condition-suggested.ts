import type { ConditionId } from '#core/book/condition-ids.ts';
import { estimate } from '#core/explain/explained.ts';
import type { MishapNoted } from '#core/faults/fault-record.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** Rained on so often within so many days: it is a wet tour (estimates of the practice book). */
export const RAINED_ON_FOR_A_TOUR = estimate(3);
export const WITHIN_DAYS = estimate(7);

/** A condition that what happened speaks for, and how often it happened. */
export type ConditionSuggested = { readonly id: ConditionId; readonly times: number; readonly days: number };

/**
 * A wet tour, where an instrument was rained on three times within a week and nobody has said so yet; else null.
 *
 * @param standing the conditions that hold or are to come
 */
export function conditionSuggested(
  mishaps: readonly Pick<MishapNoted, 'mishap' | 'on'>[],
  standing: readonly ConditionId[],
  today: LocalDate,
): ConditionSuggested | null {
  const days = WITHIN_DAYS.value;
  const after = addDays(today, -days);
  // Rained on twice in a day is one wet day.
  const times = new Set(
    mishaps.filter(({ mishap, on }) => mishap === 'rain' && on > after && on <= today).map(({ on }) => on),
  ).size;
  if (times < RAINED_ON_FOR_A_TOUR.value || standing.includes('wet-tour')) return null;
  return { id: 'wet-tour', times, days };
}
