import { randomBytes } from 'node:crypto';
import { tellEntries } from '#core/calendar/told-entries.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import type { ReedDaysView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { calendarEntries } from '#server/features/calendar/calendar-entries.ts';
import { calendarFileOf, type Wanted } from '#server/features/calendar/calendar-file.ts';
import { keptIfItCan, weeksOf } from '#server/features/calendar/sitting-weeks.ts';
import { pastViews } from '#server/features/calendar/sittings.views.ts';
import type { Services } from '#server/services.ts';

/** The days of reeds, which another feature knows. */
export type ReedDaysOf = (
  services: Services,
  playerId: PlayerId,
  now: WallClock,
) => Promise<Outcome<ReedDaysView, Failure>>;

/** The calendar of a player as a file; what it tells is remembered, so that the next one counts the changes. */
export async function calendarOut(
  services: Services,
  playerId: PlayerId,
  { now, reedDaysOf, ...wanted }: { readonly now: WallClock; readonly reedDaysOf: ReedDaysOf } & Wanted,
): Promise<Outcome<string, Failure>> {
  const { calendar, atOnce, nowMs, players } = services;
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const planned = await weeksOf(services, playerId, now.on);
  if (!planned.ok) return planned;
  const weeks = planned.value;
  const reedDays = await reedDaysOf(services, playerId, now);
  if (!reedDays.ok) return reedDays;
  const told = { past: pastViews(weeks, services), reedDays: reedDays.value, bench: calendar.benchOf(playerId) };
  const asked = { today: now.on, nowMs: nowMs() };
  const entries = tellEntries(calendar.toldTo(playerId), calendarEntries(weeks, told), asked);
  keptIfItCan(() => atOnce(() => calendar.tell(playerId, entries)));
  return succeed(calendarFileOf(entries, wanted));
}

/** Where calendar programs find a player's calendar. */
export const pathOfFeed = (secret: string): string => `/api/calendar/subscribed/${secret}.ics`;

/** Letters nobody guesses: 192 bits. */
const SECRET_BYTES = 24;

/** Gives a player's calendar a new address; whoever has the old one finds nothing there any more. */
export function renewFeed({ players, calendar, atOnce }: Services, playerId: PlayerId): Outcome<string, Failure> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const secret = randomBytes(SECRET_BYTES).toString('base64url');
  atOnce(() => calendar.renewSecret(playerId, secret));
  return succeed(pathOfFeed(secret));
}

/** Ends the address of a player's calendar: whoever has it finds nothing there any more. */
export function endFeed({ players, calendar, atOnce }: Services, playerId: PlayerId): Outcome<null, Failure> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  atOnce(() => calendar.endSecret(playerId));
  return succeed(null);
}
