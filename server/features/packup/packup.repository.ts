import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { RunEvent } from '#core/packup/run-log.ts';
import type { Db } from '#server/db/connection.ts';
import {
  eventFromRow,
  rowFromEvent,
  rowFromRun,
  runFromRow,
  storedPlan,
  type Run,
} from '#server/features/packup/packup.mapper.ts';
import { runEvents, runs } from '#server/features/packup/packup.table.ts';
import { inForce } from '#server/features/record/record.table.ts';

export type { Run };
export { storedPlan };

const isFinished = sql`exists (select 1 from ${runEvents} where ${runEvents.runKey} = ${runs.key} and ${runEvents.kind} = 'finished' and ${inForce(runEvents.key)})`;

export const createPackupRepository = (db: Db) => ({
  find: (key: string): Run | undefined => {
    const row = db.select().from(runs).where(eq(runs.key, key)).get();
    return row && runFromRow(row);
  },

  add: (run: Run): void => {
    db.insert(runs).values(rowFromRun(run)).run();
  },

  /** The newest run of an instrument that is neither finished nor taken back. */
  open: (instrumentId: string): Run | undefined => {
    const row = db
      .select()
      .from(runs)
      .where(and(eq(runs.instrumentId, instrumentId), inForce(runs.key), sql`not ${isFinished}`))
      .orderBy(desc(runs.startedAt))
      .limit(1)
      .get();
    return row && runFromRow(row);
  },

  newest: (instrumentId: string, limit: number): Run[] =>
    db
      .select()
      .from(runs)
      .where(and(eq(runs.instrumentId, instrumentId), inForce(runs.key)))
      .orderBy(desc(runs.startedAt))
      .limit(limit)
      .all()
      .map(runFromRow),

  /** The log of a run in order of arrival; events taken back are left out. */
  events: (runKey: string): { key: string; event: RunEvent }[] =>
    db
      .select()
      .from(runEvents)
      .where(and(eq(runEvents.runKey, runKey), inForce(runEvents.key)))
      .orderBy(asc(runEvents.sequence))
      .all()
      .map((row) => ({ key: row.key, event: eventFromRow(row) })),

  /** Also finds an event that was taken back: its key is still taken. */
  findEvent: (key: string): { runKey: string; event: RunEvent } | undefined => {
    const row = db.select().from(runEvents).where(eq(runEvents.key, key)).get();
    return row && { runKey: row.runKey, event: eventFromRow(row) };
  },

  addEvent: (runKey: string, key: string, event: RunEvent): void => {
    db.insert(runEvents)
      .values(rowFromEvent(runKey, key, event))
      .run();
  },
});
