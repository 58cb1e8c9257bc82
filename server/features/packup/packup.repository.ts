import { and, asc, desc, eq, sql } from 'drizzle-orm';
import { LAST_PASSES, type LastPass, type RunEvent } from '#core/packup/run-log.ts';
import type { Db } from '#server/db/connection.ts';
import {
  eventFromRow,
  rowFromEvent,
  rowsFromRun,
  runFromRows,
  storedPlan,
  type Run,
  type StoredStep,
} from '#server/features/packup/packup.mapper.ts';
import { runEvents, runInstruments, runs, type RunRow } from '#server/features/packup/packup.table.ts';
import { inForce } from '#server/features/record/record.table.ts';

export type { Run, StoredStep };
export type LastPassFact = {
  readonly playedMinutes: number;
  readonly roomCelsius: number;
  readonly thirst: number;
  readonly count: number;
  readonly found: LastPass;
};
export { storedPlan };

const isFinished = sql`exists (select 1 from ${runEvents} where ${runEvents.runKey} = ${runs.key} and ${runEvents.kind} = 'finished' and ${inForce(runEvents.key)})`;

export function createPackupRepository(db: Db) {
  const withShares = (row: RunRow): Run =>
    runFromRows(
      row,
      db
        .select()
        .from(runInstruments)
        .where(eq(runInstruments.runKey, row.key))
        .orderBy(asc(runInstruments.position))
        .all(),
    );
  const ofInstrument = () =>
    db.select({ run: runs }).from(runInstruments).innerJoin(runs, eq(runs.key, runInstruments.runKey));
  const mine = eq(runInstruments.instrumentId, sql.placeholder('instrumentId'));
  // Asked whenever an instrument is shown, so it is built once.
  const openRun = ofInstrument()
    .where(and(mine, inForce(runs.key), sql`not ${isFinished}`))
    .orderBy(desc(runs.startedAt))
    .limit(1)
    .prepare();
  // One answer a play: a later one of the same run replaces it, so the newest of each run is taken.
  const passTaps = db
    .select({
      playedMinutes: runInstruments.playedMinutes,
      roomCelsius: runInstruments.roomCelsius,
      thirst: runInstruments.thirst,
      count: runEvents.count,
      answer: runEvents.answer,
    })
    .from(runInstruments)
    .innerJoin(runs, eq(runs.key, runInstruments.runKey))
    .innerJoin(runEvents, eq(runEvents.runKey, runs.key))
    .where(
      and(
        mine,
        eq(runEvents.kind, 'last-pass'),
        sql`${runEvents.stepKey} like ${runInstruments.instrumentId} || ':%'`,
        sql`${runEvents.at} > ${sql.placeholder('since')}`,
        inForce(runs.key),
        inForce(runEvents.key),
        sql`not exists (select 1 from ${runEvents} later where later.run_key = ${runEvents.runKey} and later.kind = 'last-pass' and later.sequence > ${runEvents.sequence} and later.step_key like ${runInstruments.instrumentId} || ':%')`,
      ),
    )
    .orderBy(asc(runEvents.sequence))
    .prepare();
  return {
    find: (key: string): Run | undefined => {
      const row = db.select().from(runs).where(eq(runs.key, key)).get();
      return row && withShares(row);
    },

    add: (run: Run): void => {
      const { row, shareRows } = rowsFromRun(run);
      db.insert(runs).values(row).run();
      db.insert(runInstruments).values(shareRows).run();
    },

    /** The newest run an instrument is in that is neither finished nor taken back. */
    open: (instrumentId: string): Run | undefined => {
      const found = openRun.get({ instrumentId });
      return found && withShares(found.run);
    },

    newest: (instrumentId: string, limit: number): Run[] =>
      ofInstrument()
        .where(and(eq(runInstruments.instrumentId, instrumentId), inForce(runs.key)))
        .orderBy(desc(runs.startedAt))
        .limit(limit)
        .all()
        .map(({ run }) => withShares(run)),

    /** The newest finished runs an instrument is in: what its player's pace is learned from. */
    newestFinished: (instrumentId: string, limit: number): Run[] =>
      ofInstrument()
        .where(and(eq(runInstruments.instrumentId, instrumentId), inForce(runs.key), isFinished))
        .orderBy(desc(runs.startedAt))
        .limit(limit)
        .all()
        .map(({ run }) => withShares(run)),

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

    /** What the cloth showed after each play of an instrument, oldest first, since a moment. */
    lastPasses: (instrumentId: string, since: string): LastPassFact[] =>
      passTaps.all({ instrumentId, since }).flatMap(({ count, answer, ...tap }) => {
        const found = LAST_PASSES.find((one) => one === answer);
        return found && count !== null ? [{ ...tap, count, found }] : [];
      }),

    addEvent: (runKey: string, key: string, event: RunEvent): void => {
      db.insert(runEvents)
        .values(rowFromEvent(runKey, key, event))
        .run();
    },
  };
}
