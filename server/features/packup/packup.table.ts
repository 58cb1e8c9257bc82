import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ALONE_IDS, type AloneId } from '#core/instruments/alone.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { RUN_EVENT_KINDS, SKIP_REASONS } from '#core/packup/run-event.ts';
import { RUN_KINDS } from '#core/packup/run-log.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { Instant } from '#core/time/instant.ts';
import { oneOf } from '#server/db/one-of.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { players } from '#server/features/players/players.table.ts';
import { facts } from '#server/record/record.table.ts';

export const runs = sqliteTable(
  'runs',
  {
    factId: integer('fact_id')
      .primaryKey()
      .references(() => facts.id),
    playerId: text('player_id')
      .$type<PlayerId>()
      .notNull()
      .references(() => players.id),
    kind: text({ enum: RUN_KINDS }).notNull(),
    /** Null: all the time it takes. */
    minutesAtHand: real('minutes_at_hand'),
    /** JSON of the plan as it was shown, with its version; see stored-plan.ts. */
    plan: text().notNull(),
    /** Follows from the events: an end that counts. Kept so that an open run is found without going through them all. */
    finished: integer({ mode: 'boolean' }).notNull().default(false),
  },
  (table) => [
    check('runs_kind', oneOf(sql`${table.kind}`, RUN_KINDS)),
    index('open_runs')
      .on(table.factId)
      .where(sql`finished = 0`),
  ],
);
export type RunRow = typeof runs.$inferSelect;

/** What was asked for of one instrument: the play named, and the items. */
export type Asked = {
  readonly playKey: string | null;
  readonly itemIds: readonly string[];
  readonly alone?: AloneId | null | undefined;
};

/** The instruments of a run, in the order they were named. */
export const runShares = sqliteTable(
  'run_shares',
  {
    runId: integer('run_id')
      .notNull()
      .references(() => facts.id),
    position: integer().notNull(),
    instrumentId: text('instrument_id')
      .$type<InstrumentId>()
      .notNull()
      .references(() => instruments.id),
    /** The play it follows on: its minutes and its room are that play's, as it stands. */
    playKey: text('play_key'),
    /** Minutes an earlier version wrote beside the play, or without one; null since they are the play's. */
    playedMinutes: integer('played_minutes'),
    /** The room where the play does not say; before anybody could, 20 °C. */
    roomCelsius: real('room_celsius').notNull().default(20),
    /** Only these parts are made ready or put away; null: all of it. */
    alone: text({ enum: ALONE_IDS }),
    /** Thirst of the cloth in use; before cloths were told apart, that of silk. */
    thirst: real().notNull().default(1),
    /** JSON of what was asked for: the play named and the items; null where an earlier version did not keep it. */
    asked: text({ mode: 'json' }).$type<Asked>(),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.instrumentId] }),
    index('runs_of_instrument').on(table.instrumentId, table.runId),
    index('runs_of_play').on(table.playKey),
  ],
);
export type RunShareRow = typeof runShares.$inferSelect;

/** What happened in a run, in the order of the spine. */
export const runEvents = sqliteTable(
  'run_events',
  {
    factId: integer('fact_id')
      .primaryKey()
      .references(() => facts.id),
    runId: integer('run_id')
      .notNull()
      .references(() => facts.id),
    kind: text({ enum: RUN_EVENT_KINDS }).notNull(),
    stepKey: text('step_key').$type<RunStepKey>(),
    reason: text({ enum: SKIP_REASONS }),
    count: integer(),
    /** What a look found, what the cloth showed on the last pass, or along with what a step was said to be done. */
    answer: text(),
    /** When it happened; null where an earlier version took the moment it arrived. */
    at: text().$type<Instant>(),
  },
  (table) => [
    check('run_events_kind', oneOf(sql`${table.kind}`, RUN_EVENT_KINDS)),
    index('events_of_run').on(table.runId, table.factId),
    index('last_passes')
      .on(table.runId)
      .where(sql`kind = 'last-pass'`),
  ],
);
export type RunEventRow = typeof runEvents.$inferSelect;
