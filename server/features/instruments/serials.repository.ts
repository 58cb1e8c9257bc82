import { desc, eq, sql } from 'drizzle-orm';
import type { Db } from '#server/db/connection.ts';
import { serials } from '#server/features/instruments/instruments.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

export function createSerials(db: Db) {
  const last = counting(db, serials, { serial: serials.serial })
    .where(eq(serials.instrumentId, sql.placeholder('id')))
    .orderBy(desc(facts.id))
    .limit(1)
    .prepare();
  return {
    /** The number stamped on an instrument; null where nobody has said. */
    of: (id: string): string | null => last.get({ id })?.serial ?? null,
  };
}
export type Serials = ReturnType<typeof createSerials>;
