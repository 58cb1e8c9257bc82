import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { instantOfMs, type Instant } from '#core/time/instant.ts';
import { dateOfDay, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';
import { invalid, type Failure } from '#server/failure.ts';

const MS_PER_DAY = 86_400_000;

/** No place on earth is more than a day from the server's UTC day. */
const isNow = (on: LocalDate, nowMs: number): boolean => Math.abs(dayNumber(on) - Math.floor(nowMs / MS_PER_DAY)) <= 1;

/** The last day that is today anywhere. */
export const latestToday = (nowMs: number): LocalDate => dateOfDay(Math.floor(nowMs / MS_PER_DAY) + 1);

/** The day something long is worked out for: today, by the player's wall clock. Any other day is work for nobody. */
export const plannedToday = (today: LocalDate, nowMs: number): Outcome<LocalDate, Failure> =>
  isNow(today, nowMs) ? succeed(today) : fail(invalid('today', { code: 'not-today' }));

/**
 * The player's wall clock as the request states it. The client says what day it is, for the server's zone is not the
 * player's; a date that is today nowhere is refused.
 */
export function playersClock(now: { on: string; atMinute: number }, nowMs: number): Outcome<WallClock, Failure> {
  const on = localDate(now.on);
  if (!isNow(on, nowMs)) return fail(invalid('now.on', { code: 'not-today' }));
  return succeed({ on, atMinute: now.atMinute });
}

/** The stamp of a fact whose sender does not say where their wall clock stands: the server's UTC day. */
export const stampNow = (nowMs: number): { on: LocalDate; atMinute: null; loggedAt: Instant } => ({
  on: dateOfDay(Math.floor(nowMs / MS_PER_DAY)),
  atMinute: null,
  loggedAt: instantOfMs(nowMs),
});
