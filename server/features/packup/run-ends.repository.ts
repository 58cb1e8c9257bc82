import { sql } from 'drizzle-orm';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { RunKind } from '#core/packup/run-log.ts';
import type { Db } from '#server/db/connection.ts';

/** What a run was for, whether it was finished, and what its end recorded as done on one instrument. */
export type RunEnd = { readonly kind: RunKind; readonly isFinished: boolean; readonly done: readonly CareItemId[] };

type Row = {
  readonly run: number;
  readonly kind: RunKind;
  readonly finished: 0 | 1;
  readonly item: CareItemId | null;
};

/** Of many runs in one statement: their events and what came with their ends, each found by what it belongs to. */
export function endsOf(db: Db, runIds: readonly number[], instrumentId: string): ReadonlyMap<number, RunEnd> {
  const rows = db.all<Row>(sql`
    select runs.fact_id as run, runs.kind as kind, runs.finished as finished, care_done.item_id as item
    from json_each(${JSON.stringify(runIds)}) asked
    cross join runs on runs.fact_id = asked.value
    left join run_events ended on ended.run_id = runs.fact_id and ended.kind = 'finished'
      and (select counts from facts where id = ended.fact_id) = 1
    left join facts came on came.belongs_to = ended.fact_id and came.counts = 1 and came.kind = 'care'
    left join care_done on care_done.fact_id = came.id and care_done.instrument_id = ${instrumentId}
    order by asked.key, came.id`);
  const ends = new Map<number, { kind: RunKind; isFinished: boolean; done: CareItemId[] }>();
  for (const { run, kind, finished, item } of rows) {
    const end = ends.get(run) ?? { kind, isFinished: finished === 1, done: [] };
    if (item !== null) end.done.push(item);
    ends.set(run, end);
  }
  return ends;
}
