import { asc, eq, sql } from 'drizzle-orm';
import type { SittingPin } from '#core/sittings/sitting-pin.ts';
import type { Db } from '#server/db/connection.ts';
import { sittingMoves } from '#server/features/calendar/calendar.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

/** Sittings moved by hand. */
export function createSittingMoves(db: Db) {
  const moves = counting(db, sittingMoves, { pins: sittingMoves.pins })
    .where(eq(sittingMoves.playerId, sql.placeholder('playerId')))
    .orderBy(asc(facts.id))
    .prepare();
  return {
    /** Days the player has set for sittings, oldest first. */
    pinsOf: (playerId: string): SittingPin[] => moves.all({ playerId }).flatMap(({ pins }) => pins),
  };
}
