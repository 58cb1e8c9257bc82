import { sql } from 'drizzle-orm';
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ALONE_IDS, type AloneId } from '#core/instruments/alone.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { bodyOf, ofPlayerId } from '#server/features/players/players.table.ts';

export const plays = sqliteTable(
  'plays',
  {
    factId: bodyOf(),
    instrumentId: text('instrument_id')
      .$type<InstrumentId>()
      .notNull()
      .references(() => instruments.id),
    playerId: ofPlayerId(),
    /** Repeats the spine, for the index. */
    endedOn: text('ended_on').$type<LocalDate>().notNull(),
    endedAtMinute: integer('ended_at_minute'),
    minutes: integer().notNull(),
    /** Null: nobody said. */
    roomCelsius: real('room_celsius'),
    /** Only these parts of it were played; null: all of it. Parts are data of the book: no CHECK lists them. */
    alone: text({ enum: ALONE_IDS }),
    /** Wall minutes since 1970: what the clocks sort and count by. Follows from the two columns above. */
    wallMinute: integer('wall_minute')
      .notNull()
      .generatedAlwaysAs(sql`(unixepoch(ended_on) / 60 + coalesce(ended_at_minute, 0))`, { mode: 'stored' }),
    /** Repeats the spine, for the index: ten years of plays are read from it alone. */
    counts: integer({ mode: 'boolean' }).notNull().default(true),
  },
  (table) => [
    check('plays_minutes', sql`${table.minutes} between 1 and 1440`),
    check('plays_minute_of_day', sql`${table.endedAtMinute} between 0 and 1439`),
    index('plays_of_instrument').on(table.instrumentId, table.counts, table.wallMinute, table.minutes),
    index('plays_of_player').on(table.playerId, table.counts, table.wallMinute),
    index('plays_alone')
      .on(table.instrumentId, table.counts, table.wallMinute)
      .where(sql`alone is not null`),
  ],
);
/** What somebody played of an evening on several instruments: each is a play of its own that came with it. */
export const evenings = sqliteTable('evenings', {
  factId: bodyOf(),
  playerId: ofPlayerId(),
  endedOn: text('ended_on').$type<LocalDate>().notNull(),
  endedAtMinute: integer('ended_at_minute'),
  roomCelsius: real('room_celsius'),
  /** JSON array of the plays by key. */
  plays: text({ mode: 'json' }).$type<readonly EveningPlayBody[]>().notNull(),
});
export type EveningPlayBody = {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly minutes: number;
  readonly alone?: AloneId | null | undefined;
};

export type PlayRow = typeof plays.$inferSelect;
