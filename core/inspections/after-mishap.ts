import type { Book } from '#core/book/book.ts';
import { estimate } from '#core/explain/explained.ts';
import { isAtMouth, mayHaveHit, type MishapNoted } from '#core/faults/fault-record.ts';
import { isRenewedSince, type DoneOn } from '#core/inspections/lines.ts';
import type { AfterMishap } from '#core/inspections/look-again.ts';
import type { MeasureHere } from '#core/inspections/measures-for.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** So long after something happened a look is asked for; whoever has not looked by then does so with the next inspection. */
const ASKED_DAYS = estimate(14);

/**
 * Tells of anything that is measured whether something that happened since it was last read asks for a look at once. A
 * reading of the same day counts as one taken after it; what somebody has looked at since, or the bench has renewed, does
 * not ask any more.
 */
export function callsForALook(
  { measures: { after } }: Book,
  mishaps: readonly MishapNoted[],
  { today, done }: { readonly today: LocalDate; readonly done: DoneOn },
) {
  const recent = mishaps.filter(({ on, end }) => end === null && on <= today && addDays(on, ASKED_DAYS.value) >= today);
  return (measure: MeasureHere, readOn: LocalDate | null): AfterMishap | null => {
    const newest = recent.findLast(
      ({ mishap, part, on }) =>
        after[mishap].includes(measure.id) &&
        (mishap !== 'knocked' || mayHaveHit(isAtMouth(measure.part) ? 'mouth' : 'body', part)) &&
        (readOn === null || readOn < on) &&
        !isRenewedSince(measure, on, done),
    );
    return newest
      ? { on: newest.on, days: 0, because: 'mishap', mishap: { mishap: newest.mishap, on: newest.on } }
      : null;
  };
}
