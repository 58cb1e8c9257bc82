import { desc, eq, sql } from 'drizzle-orm';
import { usualBench, type BenchTerms } from '#core/bench/bench-terms.ts';
import type { Db } from '#server/db/connection.ts';
import { benchTerms } from '#server/features/calendar/calendar.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

/** The benches players go to; the last word counts. */
export function createBenchTerms(db: Db) {
  const last = counting(db, benchTerms, { terms: benchTerms.terms })
    .where(eq(benchTerms.playerId, sql.placeholder('playerId')))
    .orderBy(desc(facts.id))
    .limit(1)
    .prepare();
  return {
    /** The bench a player goes to, and whether they have said so. */
    benchOf: (playerId: string): BenchTerms & { readonly said: boolean } => {
      const row = last.get({ playerId });
      // Terms of before it was asked where the bench is say nothing of it.
      return { ...usualBench, ...row?.terms, said: row !== undefined };
    },
  };
}
