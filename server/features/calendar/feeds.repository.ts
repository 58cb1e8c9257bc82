import { eq } from 'drizzle-orm';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Db } from '#server/db/connection.ts';
import { feeds } from '#server/features/calendar/calendar.table.ts';

/** Addresses under which calendars are subscribed to. */
export const createFeeds = (db: Db) => ({
  /** The secret of a player's calendar address; null before there is one. */
  secretOf: (playerId: string): string | null =>
    db
      .select({ secret: feeds.secret })
      .from(feeds)
      .where(eq(feeds.playerId, playerId as PlayerId))
      .get()?.secret ?? null,

  /** Ends a player's calendar address; it is forgotten. */
  endSecret: (playerId: PlayerId): void => {
    db.delete(feeds).where(eq(feeds.playerId, playerId)).run();
  },

  /** Gives a player's calendar a new address; the old one is forgotten. */
  renewSecret: (playerId: PlayerId, secret: string): void => {
    db.insert(feeds).values({ playerId, secret }).onConflictDoUpdate({ target: feeds.playerId, set: { secret } }).run();
  },

  /** Whose calendar has this address. */
  playerOfSecret: (secret: string): PlayerId | undefined =>
    db.select({ playerId: feeds.playerId }).from(feeds).where(eq(feeds.secret, secret)).get()?.playerId,
});
