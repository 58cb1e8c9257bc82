import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { BenchTerms } from '#core/bench/bench-terms.ts';
import type { BenchStay, CalendarEvent, EventKind, EventOrigin, EventRepeats } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { SittingPin } from '#core/sittings/sitting-pin.ts';
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
    /** JSON array: the minute of the day at which one begins, by weekday; null where nobody has said. */
    startsAt: text('starts_at', { mode: 'json' }).$type<readonly (number | null)[]>(),
  },
  (table) => [index('sitting_times_of_player').on(table.playerId)],
);

/** Sittings moved by hand. */
export const sittingMoves = sqliteTable(
  'sitting_moves',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    /** JSON array. */
    pins: text({ mode: 'json' }).$type<readonly SittingPin[]>().notNull(),
  },
  (table) => [index('sitting_moves_of_player').on(table.playerId)],
);

/**
 * The sittings a player was last shown. No fact: it follows from the facts, and is kept so that it moves as little as it
 * can, and so that a calendar program knows a sitting again.
 */
export const shownSittings = sqliteTable('shown_sittings', {
  playerId: ofPlayerId().primaryKey(),
  /** JSON with its version; see stored-sittings.ts. */
  plan: text().notNull(),
});

/** What calendar programs have been told of a player's calendar: how often each entry has changed, and what has gone. */
export const toldCalendars = sqliteTable('told_calendars', {
  playerId: ofPlayerId().primaryKey(),
  /** JSON with its version; see told-calendar.ts. */
  entries: text().notNull(),
});

/** The bench a player goes to. */
export const benchTerms = sqliteTable(
  'bench_terms',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    /** JSON. */
    terms: text({ mode: 'json' })
      .$type<Omit<BenchTerms, 'noShippingMonths'> & Partial<Pick<BenchTerms, 'noShippingMonths'>>>()
      .notNull(),
  },
  (table) => [index('bench_terms_of_player').on(table.playerId)],
);

/** The address under which a player's calendar can be subscribed to. No fact: what was renewed is to be forgotten. */
export const feeds = sqliteTable('feeds', {
  playerId: ofPlayerId().primaryKey(),
  secret: text().notNull().unique(),
});

/** Calendars that were imported, each time it was done: the last one of a name says what stands in it. */
export const calendarImports = sqliteTable(
  'calendar_imports',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    calendar: text().notNull(),
    /** JSON array: numbers of `imported_dates`, in order. */
    dates: text({ mode: 'json' }).$type<readonly number[]>().notNull().default([]),
    /** Digest of what was sent, so that the same sent again is known for it; null where it was taken in before there was one. */
    sent: text(),
    counts: integer({ mode: 'boolean' }).notNull().default(true),
  },
  (table) => [index('calendar_imports_of_player').on(table.playerId, table.counts, table.calendar, table.factId)],
);

/** What imported calendars say of their dates, each kept once however often its calendar is imported. */
export const importedDates = sqliteTable(
  'imported_dates',
  {
    id: integer().primaryKey(),
    key: text().notNull(),
    /** JSON object, as it was written: what is the same letter for letter is the same. */
    event: text().notNull(),
  },
  (table) => [index('imported_dates_of_key').on(table.key)],
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
    /** The minute of the day at which it begins; null where nobody has said. */
    atMinute: integer('at_minute'),
    minutes: integer(),
    /** JSON array: instruments played for another time than that; null where there is none. */
    minutesOf: text('minutes_of', { mode: 'json' }).$type<CalendarEvent['minutesOf']>(),
    /** JSON: how often it comes again; null where it comes once. */
    repeats: text({ mode: 'json' }).$type<EventRepeats>(),
    name: text(),
    /** JSON array. */
    instrumentIds: text('instrument_ids', { mode: 'json' }).$type<readonly InstrumentId[]>().notNull(),
    /** JSON: what a stay at the bench came to; null until it is back, and for other events. */
    stay: text({ mode: 'json' }).$type<BenchStay>(),
    /** JSON: where it was imported from; null where it was typed. */
    origin: text({ mode: 'json' }).$type<EventOrigin>(),
  },
  (table) => [
    check('events_minutes', sql`${table.minutes} is null or ${table.minutes} between 1 and 600`),
    index('events_of_player').on(table.playerId, table.on),
    index('events_paid')
      .on(table.factId)
      .where(sql`json_extract(${table.stay}, '$.cost.currency') is not null`),
  ],
);
