import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { UNIT_MINUTES } from '#core/reeds/rotation.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/**
 * A session the player has set: so many minutes of a reed on a day, 0 where it shall lie still, null where it is left to
 * the plan again.
 */
export type ReedPin = { readonly reedId: ReedId; readonly on: LocalDate; readonly minutes: number | null };

/** Sessions a player has set, as the record has them. */
export type ReedSessions = { readonly playerId: PlayerId; readonly pins: readonly ReedPin[] };

/** Sessions set by hand: minutes by day for each reed. */
export type SetSessions = ReadonlyMap<ReedId, ReadonlyMap<LocalDate, number>>;

/** What stands of all that was set, in the order it was said: the last word on a day of a reed counts. */
export function setSessions(pins: readonly ReedPin[]): SetSessions {
  const sessions = new Map<ReedId, Map<LocalDate, number>>();
  for (const { reedId, on, minutes } of pins) {
    const ofReed = sessions.get(reedId) ?? new Map<LocalDate, number>();
    if (minutes === null) ofReed.delete(on);
    else ofReed.set(on, minutes);
    sessions.set(reedId, ofReed);
  }
  return sessions;
}

/** What is left of a session set for today, minutes in fives; null where none is set, or it has been played. */
export function leftOfSet(sessions: SetSessions, reedId: ReedId, on: LocalDate, playedToday: number): number | null {
  const set = sessions.get(reedId)?.get(on);
  if (set === undefined) return null;
  if (set === 0) return playedToday > 0 ? null : 0;
  const left = Math.floor((set - playedToday) / UNIT_MINUTES) * UNIT_MINUTES;
  return left > 0 ? left : null;
}

/** Nobody sets a session further ahead. */
const FURTHEST_SET_DAYS = 56;
/** A session longer than this is a mistake, minutes. */
export const LONGEST_SET = 300;

export type PinRefusal =
  | { readonly code: 'session-is-past' | 'session-too-far'; readonly at: number; readonly field: 'on' }
  | { readonly code: 'session-not-in-fives'; readonly at: number; readonly field: 'minutes' }
  | { readonly code: 'session-set-twice'; readonly at: number; readonly field: 'reedId' };

/** May these sessions be set? From today to eight weeks ahead, in fives as they are planned, each once. */
export function checkPins(pins: readonly ReedPin[], today: LocalDate): Outcome<readonly ReedPin[], PinRefusal> {
  const seen = new Set<string>();
  for (const [at, { reedId, on, minutes }] of pins.entries()) {
    if (on < today) return fail({ code: 'session-is-past', at, field: 'on' });
    if (on > addDays(today, FURTHEST_SET_DAYS)) return fail({ code: 'session-too-far', at, field: 'on' });
    if (minutes !== null && minutes % UNIT_MINUTES !== 0)
      return fail({ code: 'session-not-in-fives', at, field: 'minutes' });
    if (seen.has(`${reedId} ${on}`)) return fail({ code: 'session-set-twice', at, field: 'reedId' });
    seen.add(`${reedId} ${on}`);
  }
  return succeed(pins);
}
