import { and, asc, desc, eq, ne, sql } from 'drizzle-orm';
import type { Bill, Saved } from '#core/costs/bill.ts';
import type { Db } from '#server/db/connection.ts';
import { bills, savings } from '#server/features/costs/costs.table.ts';
import { counting, knownKey, original } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

export function createCostsRepository(db: Db) {
  const ofInstrument = counting(db, bills, { bill: bills })
    .where(eq(bills.instrumentId, sql.placeholder('id')))
    .orderBy(asc(bills.saidOn), asc(facts.id))
    .prepare();
  const ofPlayer = counting(db, savings, { on: facts.on, minor: savings.amountMinor, currency: savings.currency })
    .where(eq(savings.playerId, sql.placeholder('playerId')))
    .orderBy(desc(facts.id))
    .limit(1)
    .prepare();
  // Read from the left: SQLite would begin with every fact there is.
  const billed = db
    .select({ currency: bills.currency })
    .from(bills)
    .crossJoin(facts)
    .leftJoin(original, eq(original.id, facts.corrects))
    .where(and(eq(facts.id, bills.factId), eq(facts.counts, true), ne(knownKey, sql.placeholder('without'))))
    .orderBy(desc(bills.factId))
    .limit(1)
    .prepare();
  const put = db
    .select({ currency: savings.currency })
    .from(savings)
    .crossJoin(facts)
    .where(and(eq(facts.id, savings.factId), eq(facts.counts, true)))
    .orderBy(desc(savings.factId))
    .limit(1)
    .prepare();
  return {
    /** What was asked and paid for an instrument, the oldest first. */
    billsOf: (id: string): readonly Bill[] =>
      ofInstrument
        .all({ id })
        .map(({ key, bill: { instrumentId, sort, works, what, costMinor, currency, saidOn } }) => ({
          key,
          instrumentId,
          sort,
          works,
          what,
          cost: { minor: costMinor, currency },
          on: saidOn,
        })),

    /** What a player has put aside so far; null where they have said nothing. */
    savedOf: (playerId: string): Saved | null => {
      const row = ofPlayer.get({ playerId });
      return row ? { on: row.on, amount: { minor: row.minor, currency: row.currency } } : null;
    },

    /** The currency of bills and of what was put aside, but for one bill; null where there is neither. */
    currency: (without = ''): string | null => billed.get({ without })?.currency ?? put.get()?.currency ?? null,
  };
}
export type CostsRepository = ReturnType<typeof createCostsRepository>;
