import { asc, eq, sql } from 'drizzle-orm';
import type { InspectionNoted } from '#core/inspections/inspection.ts';
import type { Db } from '#server/db/connection.ts';
import { inspections } from '#server/features/inspections/inspections.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

export function createInspectionsRepository(db: Db) {
  const { readOn: on, by, readings } = inspections;
  const noted = counting(db, inspections, { on, by, readings })
    .where(eq(inspections.instrumentId, sql.placeholder('id')))
    .orderBy(asc(inspections.readOn), asc(facts.id))
    .prepare();
  return {
    /** Every time an instrument was looked over, the oldest first. */
    of: (id: string): readonly InspectionNoted[] => noted.all({ id }),
  };
}
export type InspectionsRepository = ReturnType<typeof createInspectionsRepository>;
