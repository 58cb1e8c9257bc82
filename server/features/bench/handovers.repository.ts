import { asc, eq, sql } from 'drizzle-orm';
import type { HandoverNoted } from '#core/calendar/handover.ts';
import type { Db } from '#server/db/connection.ts';
import { handovers } from '#server/features/bench/handovers.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

export function createHandoversRepository(db: Db) {
  const { list, lines } = handovers;
  const noted = counting(db, handovers, { on: facts.on, list, lines })
    .where(eq(handovers.instrumentId, sql.placeholder('id')))
    .orderBy(asc(facts.id))
    .prepare();
  return {
    /** Every time an instrument was packed for the bench or fetched from it, in the order it was said. */
    of: (id: string): readonly HandoverNoted[] => noted.all({ id }),
  };
}
export type HandoversRepository = ReturnType<typeof createHandoversRepository>;
