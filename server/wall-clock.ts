import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { instantOfMs, type Instant } from '#core/time/instant.ts';
import { dateOfDay, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';
import { invalid, type Failure } from '#server/failure.ts';

const MS_PER_DAY = 86_400_000;

/**
 * The player's wall clock as the request states it. The client says what day it is, for the server's zone is not the
 * player's; but no place on earth is more than a day from the server's UTC day, so a stranger date is refused.
 */
export function playersClock(now: { on: string; atMinute: number }, nowMs: number): Outcome<WallClock, Failure> {
  const on = localDate(now.on);
  if (Math.abs(dayNumber(on) - Math.floor(nowMs / MS_PER_DAY)) > 1)
    return fail(invalid('now.on', { code: 'not-today' }));
  return succeed({ on, atMinute: now.atMinute });
}

/** The stamp of a fact whose sender does not say where their wall clock stands: the server's UTC day. */
export const stampNow = (nowMs: number): { on: LocalDate; atMinute: null; loggedAt: Instant } => ({
  on: dateOfDay(Math.floor(nowMs / MS_PER_DAY)),
  atMinute: null,
  loggedAt: instantOfMs(nowMs),
});
