import { sql } from 'drizzle-orm';
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { KindId } from '#core/instruments/kind.ts';
import type { ReedPin } from '#core/reeds/reed-pin.ts';
import {
  BREAK_INS,
  HIGH_SHARES,
  REED_ENDS,
  REED_FEELS,
  REED_MATERIALS,
  REED_USES,
  SCRAPES,
  SITS,
  type ReedId,
  type ReedSign,
  type Resistance,
} from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { REED_WHATS } from '#contract/reeds.ts';
import { oneOf } from '#server/db/one-of.ts';
import { bodyOf, ofPlayerId } from '#server/features/players/players.table.ts';

/** A box of reeds as it came. */
export const reedBoxes = sqliteTable(
  'reed_boxes',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    /** The kind of instrument: kinds are data, no CHECK lists them. */
    kind: text().$type<KindId>().notNull(),
    name: text().notNull(),
    cut: text(),
    strength: text(),
    material: text({ enum: REED_MATERIALS }).notNull(),
    breakIn: text('break_in', { enum: BREAK_INS }).notNull(),
    /** Of double reeds. */
    scrape: text({ enum: SCRAPES }),
    lengthTenths: integer('length_tenths'),
    place: text(),
    costMinor: integer('cost_minor'),
    currency: text(),
    cameOn: text('came_on').$type<LocalDate>().notNull(),
    /** JSON array: minutes each reed had been played before, null where nobody knows. */
    before: text({ mode: 'json' }).$type<readonly (number | null)[]>().notNull(),
  },
  (table) => [
    check('reed_boxes_cost', sql`(${table.costMinor} is null) = (${table.currency} is null)`),
    index('reed_boxes_of_player').on(table.playerId),
    // The last price of the record says its currency.
    index('reed_boxes_paid')
      .on(table.factId)
      .where(sql`${table.currency} is not null`),
  ],
);

/** Which reeds a play was played on; it counts only while that play does. */
export const reedPlays = sqliteTable(
  'reed_plays',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    playKey: text('play_key').notNull(),
    /** The play's minutes when this was said: the reeds' follow when the play's are corrected. */
    ofMinutes: integer('of_minutes').notNull(),
    high: text({ enum: HIGH_SHARES }).notNull(),
    /** JSON array of reeds with their minutes. */
    shares: text({ mode: 'json' }).$type<readonly { readonly reedId: ReedId; readonly minutes: number }[]>().notNull(),
  },
  (table) => [
    check('reed_plays_minutes', sql`${table.ofMinutes} > 0`),
    index('reed_plays_of_player').on(table.playerId),
    index('reed_plays_of_play').on(table.playKey),
  ],
);

/** Sessions set by hand. */
export const reedSessions = sqliteTable(
  'reed_sessions',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    /** JSON array of reeds with a day and its minutes, null where the plan decides again. */
    pins: text({ mode: 'json' }).$type<readonly ReedPin[]>().notNull(),
  },
  (table) => [index('reed_sessions_of_player').on(table.playerId)],
);

/** Something said of one reed. */
export const reedSayings = sqliteTable(
  'reed_sayings',
  {
    factId: bodyOf(),
    playerId: ofPlayerId(),
    reedId: text('reed_id').$type<ReedId>().notNull(),
    what: text({ enum: REED_WHATS }).notNull(),
    feel: text({ enum: REED_FEELS }),
    goodFor: text('good_for', { enum: REED_USES }),
    /** JSON array. */
    signs: text({ mode: 'json' }).$type<readonly ReedSign[]>().notNull(),
    cause: text({ enum: REED_ENDS }),
    resistance: integer().$type<Resistance>(),
    sits: text({ enum: SITS }),
  },
  (table) => [
    check('reed_sayings_what', oneOf(sql`${table.what}`, REED_WHATS)),
    check('reed_sayings_feel', sql`(${table.what} = 'graded') = (${table.feel} is not null)`),
    check('reed_sayings_cause', sql`(${table.what} = 'ended') = (${table.cause} is not null)`),
    index('reed_sayings_of_player').on(table.playerId),
    index('reed_sayings_of_reed').on(table.reedId),
  ],
);
