import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { STANDINGS, type Skill } from '#core/players/player.ts';
import { oneOf } from '#server/db/one-of.ts';
import { facts } from '#server/record/record.table.ts';

/** That somebody is in the record; who they are and what they do is a profile, the latest counts. */
export const players = sqliteTable('players', {
  id: text().$type<PlayerId>().primaryKey(),
  factId: integer('fact_id')
    .notNull()
    .unique()
    .references(() => facts.id),
});

export const profiles = sqliteTable(
  'profiles',
  {
    factId: integer('fact_id')
      .primaryKey()
      .references(() => facts.id),
    playerId: text('player_id')
      .$type<PlayerId>()
      .notNull()
      .references(() => players.id),
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
