import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** One thing at one of the times it falls due. */
export type DueTime = {
  readonly instrumentId: InstrumentId;
  readonly itemId: CareItemId;
  /** When it fell due as it was shown; what has no date is due on the day it was looked at. */
  readonly dueOn: LocalDate;
};

/** The day the player has set for it; null leaves it to the plan again. */
export type SittingPin = DueTime & { readonly on: LocalDate | null };

/** What of a sitting was moved, as the record has it. */
export type SittingMoved = { readonly playerId: PlayerId; readonly pins: readonly SittingPin[] };

/** A pin in days from today. */
export type PinnedDay = { readonly due: number; readonly on: number };

export type PinRefusal = { readonly code: 'sitting-out-of-weeks' | 'sitting-while-away' | 'named-twice' };

/**
 * May these be done on that day? Within the weeks that are planned, each thing once, and no instrument that is away.
 *
 * @param isAway whether an instrument is at the bench on a day
 */
export function checkMove(
  times: readonly DueTime[],
  on: LocalDate | null,
  { today, isAway }: { readonly today: LocalDate; readonly isAway: (id: InstrumentId, on: LocalDate) => boolean },
): Outcome<readonly SittingPin[], PinRefusal> {
  if (on !== null && (on < today || daysBetween(today, on) >= SITTING_DAYS))
    return fail({ code: 'sitting-out-of-weeks' });
  const names = times.map(({ instrumentId, itemId, dueOn }) => `${instrumentId}:${itemId}:${dueOn}`);
  if (new Set(names).size < names.length) return fail({ code: 'named-twice' });
  if (on !== null && times.some(({ instrumentId }) => isAway(instrumentId, on)))
    return fail({ code: 'sitting-while-away' });
  return succeed(times.map((time) => ({ ...time, on })));
}

/** When a thing is due next, in days from today, and how many days lie between two of its times. */
export type TimesOfThing = { readonly due: number; readonly interval: number };

/**
 * What still stands of the pins of one thing, in days from today. The last word counts for each time: of pins whose due
 * days lie nearer to each other than half the interval, the latest. What lies in the past has had its day, and so has a
 * pin of a time that has been done since.
 *
 * @param pins oldest first
 */
export function standingPins(
  pins: readonly SittingPin[],
  today: LocalDate,
  { due: next, interval }: TimesOfThing,
): PinnedDay[] {
  const latest: { readonly due: number; readonly on: LocalDate | null }[] = [];
  for (const { dueOn, on } of pins.toReversed()) {
    const due = Math.max(0, daysBetween(today, dueOn));
    if (latest.every((one) => Math.abs(one.due - due) > interval / 2)) latest.push({ due, on });
  }
  return latest.flatMap(({ due, on }): PinnedDay[] =>
    on === null || on < today || due < next - interval / 2 ? [] : [{ due, on: daysBetween(today, on) }],
  );
}
