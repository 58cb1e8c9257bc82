import { eq } from 'drizzle-orm';
import type { ToldEntry } from '#core/calendar/told-entries.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Db } from '#server/db/connection.ts';
import { toldCalendars } from '#server/features/calendar/calendar.table.ts';
import { readToldEntries, writtenToldEntries } from '#server/features/calendar/told-calendar.ts';

/** What calendar programs have been told. */
export const createToldCalendars = (db: Db) => ({
  /** What calendar programs have been told of a player's calendar. */
  toldTo: (playerId: PlayerId): ToldEntry[] => {
    const row = db.select().from(toldCalendars).where(eq(toldCalendars.playerId, playerId)).get();
    return row === undefined ? [] : readToldEntries(row.entries);
  },

  /** Keeps what they are told. */
  tell: (playerId: PlayerId, told: readonly ToldEntry[]): void => {
    const entries = writtenToldEntries(told);
    db.insert(toldCalendars)
      .values({ playerId, entries })
      .onConflictDoUpdate({ target: toldCalendars.playerId, set: { entries } })
      .run();
  },
});
