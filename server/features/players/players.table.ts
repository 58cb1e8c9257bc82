import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { STANDINGS, type Skill } from '#core/players/player.ts';
import { oneOf } from '#server/db/one-of.ts';
import { RUN_WAYS } from '#core/players/run-way.ts';
import { facts } from '#server/record/record.table.ts';

/** That somebody is in the record; who they are and what they do is a profile, the latest counts. */
export const players = sqliteTable('players', {
  id: text().$type<PlayerId>().primaryKey(),
  factId: integer('fact_id')
    .notNull()
    .unique()
    .references(() => facts.id),
});

/** The fact a body belongs to: the first column of a table of bodies. */
export const bodyOf = () =>
  integer('fact_id')
    .primaryKey()
    .references(() => facts.id);
/** Whose it is: a column of every table that says something of a player. */
export const ofPlayerId = () =>
  text('player_id')
    .$type<PlayerId>()
    .notNull()
    .references(() => players.id);

export const profiles = sqliteTable(
  'profiles',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    name: text().notNull(),
    standing: text({ enum: STANDINGS }).notNull(),
    /** JSON array of skills. */
    does: text({ mode: 'json' }).$type<readonly Skill[]>().notNull(),
  },
  (table) => [
    check('profiles_standing', oneOf(sql`${table.standing}`, STANDINGS)),
    index('profiles_of_player').on(table.playerId),
  ],
);

/** How somebody goes through a run from now on; the latest counts. */
export const runWays = sqliteTable(
  'run_ways',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    way: text({ enum: RUN_WAYS }).notNull(),
  },
  (table) => [
    check('run_ways_way', oneOf(sql`${table.way}`, RUN_WAYS)),
    index('run_ways_of_player').on(table.playerId),
  ],
);

/** Who looks after somebody's instruments with them from now on: nobody where null; the latest counts. */
export const minders = sqliteTable(
  'minders',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    minderId: text('minder_id')
      .$type<PlayerId>()
      .references(() => players.id),
  },
  (table) => [index('minders_of_player').on(table.playerId)],
);

/** Players of other records who are somebody of this one. */
export const playerAliases = sqliteTable('player_aliases', {
  factId: bodyOf(),
  otherId: text('other_id').notNull(),
  playerId: ofPlayerId(),
});
