import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { type EventKind } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { bodyOf, ofPlayerId } from '#server/features/players/players.table.ts';

/** When a player usually has time for a sitting. */
export const sittingTimes = sqliteTable(
  'sitting_times',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    /** JSON array: minutes by weekday, Monday first. */
    minutes: text({ mode: 'json' }).$type<readonly number[]>().notNull(),
  },
  (table) => [index('sitting_times_of_player').on(table.playerId)],
);

/** Days of which more is known than their weekday. Kinds are data: no CHECK lists them. */
export const events = sqliteTable(
  'events',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    what: text().$type<EventKind>().notNull(),
    on: text('on_day').$type<LocalDate>().notNull(),
    /** Its last day; null where it is one day. */
    until: text('until_day').$type<LocalDate>(),
    minutes: integer(),
    name: text(),
    /** JSON array. */
    instrumentIds: text('instrument_ids', { mode: 'json' }).$type<readonly InstrumentId[]>().notNull(),
  },
  (table) => [
    check('events_minutes', sql`${table.minutes} is null or ${table.minutes} between 1 and 600`),
    index('events_of_player').on(table.playerId, table.on),
  ],
);
