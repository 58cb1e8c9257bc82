import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Build } from '#core/instruments/build.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { players } from '#server/features/players/players.table.ts';
import { facts } from '#server/record/record.table.ts';

/** That an instrument came; how it is built and whether it has left are facts of their own. */
export const instruments = sqliteTable(
  'instruments',
  {
    id: text().$type<InstrumentId>().primaryKey(),
    factId: integer('fact_id')
      .notNull()
      .unique()
      .references(() => facts.id),
    name: text().notNull(),
    /** Kinds are data: which there are is checked when a row is read, so that a new kind needs no migration. */
    kind: text({ enum: KIND_IDS }).notNull(),
    playerId: text('player_id')
      .$type<PlayerId>()
      .notNull()
      .references(() => players.id),
    acquiredOn: text('acquired_on').$type<LocalDate>().notNull(),
    cameNew: integer('came_new', { mode: 'boolean' }).notNull(),
  },
  (table) => [index('instruments_player').on(table.playerId)],
);

/** The columns of what is said of one instrument. */
export const ofInstrument = () => ({
  factId: integer('fact_id')
    .primaryKey()
    .references(() => facts.id),
  instrumentId: text('instrument_id')
    .$type<InstrumentId>()
    .notNull()
    .references(() => instruments.id),
});

/** How an instrument is built from then on; the latest counts. */
export const builds = sqliteTable(
  'builds',
  {
    ...ofInstrument(),
    /** JSON object of build field → option. */
    build: text({ mode: 'json' }).$type<Build>().notNull(),
  },
  (table) => [index('builds_of_instrument').on(table.instrumentId)],
);

/** The day an instrument left the shelf; null where it came back. The latest counts. */
export const departures = sqliteTable(
  'departures',
  { ...ofInstrument(), leftOn: text('left_on').$type<LocalDate>() },
  (table) => [index('departures_of_instrument').on(table.instrumentId)],
);

/** The number stamped on an instrument; null where it was a mistake. The latest counts. */
export const serials = sqliteTable('serials', { ...ofInstrument(), serial: text() }, (table) => [
  index('serials_of_instrument').on(table.instrumentId),
]);
