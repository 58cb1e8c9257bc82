import { and, eq, lt, sql } from 'drizzle-orm';
import type { KindId } from '#core/instruments/kind.ts';
import type { Db } from '#server/db/connection.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import type { RecordedRun } from '#server/features/packup/packup.mapper.ts';
import { runs, runShares } from '#server/features/packup/packup.table.ts';
import { facts } from '#server/record/record.table.ts';

/** How many runs like one its player had finished on their instruments of a kind before it; not counted beyond `limit`. */
export function createEarlierRuns(db: Db) {
  const onKind = db
    .selectDistinct({ id: runs.factId })
    .from(instruments)
    .innerJoin(runShares, eq(runShares.instrumentId, instruments.id))
    .innerJoin(runs, eq(runs.factId, runShares.runId))
    .innerJoin(facts, and(eq(facts.id, runs.factId), eq(facts.counts, true)))
    .where(
      and(
        eq(instruments.kind, sql.placeholder('instrumentKind')),
        eq(instruments.playerId, sql.placeholder('playerId')),
        eq(runs.playerId, sql.placeholder('playerId')),
        eq(runs.kind, sql.placeholder('runKind')),
        eq(runs.finished, true),
        lt(runs.factId, sql.placeholder('before')),
      ),
    )
    .limit(sql.placeholder('limit'))
    .prepare();
  return ({ id, playerId, kind }: RecordedRun, instrumentKind: KindId, limit: number): number =>
    onKind.all({ before: id, playerId, runKind: kind, instrumentKind, limit }).length;
}
