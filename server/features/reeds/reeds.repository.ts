import { and, asc, between, desc, eq, isNotNull, ne, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { ReedPin } from '#core/reeds/reed-pin.ts';
import type { PlayOnReeds } from '#core/reeds/reeds-in-play.ts';
import { type ReedBox, type ReedId, type ReedSaid, type ReedUse } from '#core/reeds/reed.ts';
import { endOf, MOST_PLAY_MINUTES, type Play } from '#core/plays/play.ts';
import type { Db } from '#server/db/connection.ts';
import { boxFromRow, playMinutes, saidOn, sayingBodyFromRow } from '#server/features/reeds/reeds.mapper.ts';
import { reedBoxes, reedPlays, reedSayings, reedSessions } from '#server/features/reeds/reeds.table.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { counting, knownKey, original } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

const corrected = alias(facts, 'corrected');

/** Which reeds a play was on, under the key it was said with. */
export type SaidOfPlay = {
  readonly key: string;
  readonly high: ReedUse['high'];
  readonly shares: readonly { readonly reedId: ReedId; readonly minutes: number }[];
};

/** Everything said of the reeds of one player. */
export type ReedRecord = {
  readonly boxes: readonly ReedBox[];
  /** In the order of the plays. */
  readonly uses: readonly ReedUse[];
  readonly said: readonly ReedSaid[];
  /** Sessions set by hand, in the order it was said. */
  readonly pins: readonly ReedPin[];
};

/** What was said of plays that count, with each play as it stands: as last corrected. */
const toldOfPlays = (db: Db) =>
  db
    .select({ key: knownKey, told: reedPlays, play: plays })
    .from(reedPlays)
    .innerJoin(facts, and(eq(facts.id, reedPlays.factId), eq(facts.counts, true)))
    .leftJoin(original, eq(original.id, facts.corrects))
    .leftJoin(corrected, and(eq(corrected.corrects, facts.belongsTo), eq(corrected.counts, true)))
    .innerJoin(plays, and(eq(plays.factId, sql`coalesce(${corrected.id}, ${facts.belongsTo})`), eq(plays.counts, true)))
    .orderBy(asc(plays.wallMinute));

export function createReedsRepository(db: Db) {
  const boxes = counting(db, reedBoxes, { box: reedBoxes });
  const boxesOf = boxes
    .where(eq(reedBoxes.playerId, sql.placeholder('playerId')))
    .orderBy(asc(reedBoxes.cameOn), asc(reedBoxes.factId))
    .prepare();
  const usesOf = toldOfPlays(db)
    .where(eq(reedPlays.playerId, sql.placeholder('playerId')))
    .prepare();
  const ofPlay = toldOfPlays(db)
    .where(eq(reedPlays.playKey, sql.placeholder('playKey')))
    .prepare();
  const atOneHour = toldOfPlays(db)
    .where(
      and(
        eq(reedPlays.playerId, sql.placeholder('playerId')),
        ne(reedPlays.playKey, sql.placeholder('without')),
        between(plays.wallMinute, sql.placeholder('from'), sql.placeholder('until')),
      ),
    )
    .prepare();
  const saidOf = counting(db, reedSayings, { on: facts.on, said: reedSayings })
    .where(eq(reedSayings.playerId, sql.placeholder('playerId')))
    .orderBy(asc(facts.on), asc(facts.id))
    .prepare();
  const saidOfReed = counting(db, reedSayings, { on: facts.on, said: reedSayings })
    .where(eq(reedSayings.reedId, sql.placeholder('reedId')))
    .orderBy(asc(facts.on), asc(facts.id))
    .prepare();
  const ownerOfBox = db
    .select({ playerId: reedBoxes.playerId })
    .from(facts)
    .innerJoin(reedBoxes, eq(reedBoxes.factId, facts.id))
    .where(eq(facts.key, sql.placeholder('key')))
    .prepare();
  const pinsOf = counting(db, reedSessions, { pins: reedSessions.pins })
    .where(eq(reedSessions.playerId, sql.placeholder('playerId')))
    .orderBy(asc(facts.id))
    .prepare();
  const newestPlays = db
    .select({ key: knownKey, play: plays })
    .from(plays)
    .innerJoin(facts, eq(facts.id, plays.factId))
    .leftJoin(original, eq(original.id, facts.corrects))
    .where(and(eq(plays.playerId, sql.placeholder('playerId')), eq(plays.counts, true)))
    .orderBy(desc(plays.wallMinute))
    .limit(sql.placeholder('limit'))
    .prepare();

  const currency = db
    .select({ currency: reedBoxes.currency })
    .from(reedBoxes)
    // Read from the left: SQLite would begin with every fact there is.
    .crossJoin(facts)
    .leftJoin(original, eq(original.id, facts.corrects))
    .where(
      and(
        eq(facts.id, reedBoxes.factId),
        eq(facts.counts, true),
        isNotNull(reedBoxes.currency),
        ne(knownKey, sql.placeholder('without')),
      ),
    )
    .orderBy(desc(reedBoxes.factId))
    .limit(1)
    .prepare();
  const boxList = (playerId: string): ReedBox[] => boxesOf.all({ playerId }).map(boxFromRow);
  return {
    record: (playerId: PlayerId): ReedRecord => ({
      boxes: boxList(playerId),
      uses: usesOf.all({ playerId }).flatMap(playMinutes),
      pins: pinsOf.all({ playerId }).flatMap(({ pins }) => pins),
      said: saidOf.all({ playerId }).map(({ on, said }) => saidOn(sayingBodyFromRow(said), on)),
    }),

    /** What was said of one reed, in the order it was said. */
    saidOfReed: (reedId: ReedId): ReedSaid[] =>
      saidOfReed.all({ reedId }).map(({ on, said }) => saidOn(sayingBodyFromRow(said), on)),

    /** Whose a box is, also one that was put right since; undefined where there never was such a box. */
    ownerOfBox: (key: string): PlayerId | undefined => ownerOfBox.get({ key })?.playerId,

    /** The boxes of a player as they came. */
    boxes: boxList,

    /** The currency of the record: that of any box with a price but this one; null where none has. */
    currency: (without = ''): string | null => currency.get({ without })?.currency ?? null,

    /** What was said of a play; undefined where nobody said. */
    ofPlay: (playKey: string): SaidOfPlay | undefined => {
      const row = ofPlay.all({ playKey }).at(-1);
      return row && { key: row.key, high: row.told.high, shares: playMinutes(row) };
    },

    /** What was said of the plays of a player that may have gone on at the hour of this one, itself left out. */
    atOneHour: (play: Omit<Play, 'key'>, without: string): PlayOnReeds[] => {
      const endedAt = endOf(play);
      if (endedAt === null) return [];
      const hour = { from: endedAt - play.minutes, until: endedAt + MOST_PLAY_MINUTES };
      return atOneHour
        .all({ playerId: play.playerId, without, ...hour })
        .map((row) => ({ ...row.play, shares: playMinutes(row) }));
    },

    /** The newest plays of a player on whatever instrument. */
    newestPlays: (playerId: string, limit: number): Play[] =>
      newestPlays.all({ playerId, limit }).map(({ key, play: { factId: _, wallMinute: _w, counts: _c, ...play } }) => ({
        key,
        ...play,
      })),
  };
}
export type ReedsRepository = ReturnType<typeof createReedsRepository>;
