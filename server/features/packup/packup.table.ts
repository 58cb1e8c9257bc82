import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { RUN_EVENT_KINDS, RUN_KINDS, SKIP_REASONS } from '#core/packup/run-log.ts';
import { oneOf } from '#server/db/one-of.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { players } from '#server/features/players/players.table.ts';
import { plays } from '#server/features/plays/plays.table.ts';

export const runs = sqliteTable(
  'runs',
  {
    key: text().primaryKey(),
    playerId: text('player_id')
      .notNull()
      .references(() => players.id),
    kind: text({ enum: RUN_KINDS }).notNull(),
    /** Null: all the time it takes. */
    minutesAtHand: real('minutes_at_hand'),
    /** JSON of the plan as it was shown: steps in order, counts, minutes, what was left out, reasons. */
    plan: text().notNull(),
    startedOn: text('started_on').notNull(),
    startedAtMinute: integer('started_at_minute').notNull(),
    startedAt: text('started_at').notNull(),
  },
  (table) => [check('runs_kind', oneOf(sql`${table.kind}`, RUN_KINDS)), index('runs_by_start').on(table.startedAt)],
);
export type RunRow = typeof runs.$inferSelect;

/** The instruments of a run, in the order they were named. */
export const runInstruments = sqliteTable(
  'run_instruments',
  {
    runKey: text('run_key')
      .notNull()
      .references(() => runs.key),
    position: integer().notNull(),
    instrumentId: text('instrument_id')
      .notNull()
      .references(() => instruments.id),
    playKey: text('play_key').references(() => plays.key),
    playedMinutes: integer('played_minutes').notNull(),
    /** The room it was played in; before anybody could say, 20 °C. */
    roomCelsius: real('room_celsius').notNull().default(20),
    /** Thirst of the cloth in use; before cloths were told apart, that of silk. */
    thirst: real().notNull().default(1),
  },
  (table) => [
    primaryKey({ columns: [table.runKey, table.instrumentId] }),
    index('runs_of_instrument').on(table.instrumentId, table.runKey),
    index('runs_of_play').on(table.playKey),
  ],
);
export type RunInstrumentRow = typeof runInstruments.$inferSelect;

export const runEvents = sqliteTable(
  'run_events',
  {
    /** Order of arrival. */
    sequence: integer().primaryKey({ autoIncrement: true }),
    key: text().notNull().unique(),
    runKey: text('run_key')
      .notNull()
      .references(() => runs.key),
    kind: text({ enum: RUN_EVENT_KINDS }).notNull(),
    stepKey: text('step_key'),
    reason: text({ enum: SKIP_REASONS }),
    count: integer(),
    /** What a look found, or what the cloth showed on the last pass. */
    answer: text(),
    at: text().notNull(),
  },
  (table) => [
    check('run_events_kind', oneOf(sql`${table.kind}`, RUN_EVENT_KINDS)),
    index('events_of_run').on(table.runKey, table.sequence),
  ],
);
export type RunEventRow = typeof runEvents.$inferSelect;
