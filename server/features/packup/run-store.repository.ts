import { asc, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import { instant } from '#core/time/instant.ts';
import type { Db } from '#server/db/connection.ts';
import {
  eventFromRow,
  rowFromEvent,
  rowsFromRun,
  runFromRows,
  type RunBody,
  type RunEventBody,
} from '#server/features/packup/packup.mapper.ts';
import { runEvents, runs, runShares } from '#server/features/packup/packup.table.ts';
import { preparedOnce } from '#server/db/prepared.ts';
import { insertRow } from '#server/db/prepared-insert.ts';
import type { BodyStore } from '#server/record/define-fact.ts';
import { facts } from '#server/record/record.table.ts';

const run = alias(facts, 'run');

const runRow = preparedOnce((db) =>
  db
    .select()
    .from(runs)
    .where(eq(runs.factId, sql.placeholder('factId')))
    .prepare(),
);
const sharesOfRun = preparedOnce((db) =>
  db
    .select()
    .from(runShares)
    .where(eq(runShares.runId, sql.placeholder('factId')))
    .orderBy(asc(runShares.position))
    .prepare(),
);
const eventOfRun = preparedOnce((db) =>
  db
    .select({ event: runEvents, runKey: run.key, loggedAt: facts.loggedAt })
    .from(runEvents)
    .innerJoin(facts, eq(facts.id, runEvents.factId))
    .innerJoin(run, eq(run.id, runEvents.runId))
    .where(eq(runEvents.factId, sql.placeholder('factId')))
    .prepare(),
);

/** The body of a run: its plan, and a row for each of its instruments. */
export const runStore: BodyStore<RunBody> = {
  table: runs,
  insert: (db, { factId }, body) => {
    const { row, shareRows } = rowsFromRun(factId, body);
    insertRow(db, runs, row);
    for (const share of shareRows) insertRow(db, runShares, share);
  },
  read: (db, factId) => {
    const row = runRow(db).get({ factId });
    if (row === undefined) throw new Error(`runs has no body of fact ${factId}`);
    const shares = sharesOfRun(db).all({ factId });
    return runFromRows(row, shares);
  },
  recount: () => undefined,
  misrepeated: (db) =>
    db
      .select({ key: facts.key })
      .from(runs)
      .innerJoin(facts, eq(facts.id, runs.factId))
      .where(
        sql`${runs.finished} <> exists (select 1 from ${runEvents} e join ${facts} ended on ended.id = e.fact_id where e.run_id = ${runs.factId} and e.kind = 'finished' and ended.counts = 1)`,
      )
      .all()
      .map(({ key }) => key),
};

const setFinished = (db: Db, runId: number, finished: boolean): void => {
  db.update(runs).set({ finished }).where(eq(runs.factId, runId)).run();
};

/** The body of a run event; an end closes its run for as long as it counts. */
export const runEventStore: BodyStore<RunEventBody> = {
  table: runEvents,
  insert: (db, { factId, belongsTo }, { runKey, event }) => {
    // An event belongs to its run.
    if (belongsTo === null) throw new Error(`no run has the key ${runKey}`);
    insertRow(db, runEvents, rowFromEvent(factId, belongsTo, event));
    if (event.kind === 'finished') setFinished(db, belongsTo, true);
  },
  read: (db, factId) => {
    const found = eventOfRun(db).get({ factId });
    if (found === undefined) throw new Error(`run_events has no body of fact ${factId}`);
    return { runKey: found.runKey, event: eventFromRow(found.event, instant(found.loggedAt)) };
  },
  recount: (db, factId, counts) => {
    const row = db.select().from(runEvents).where(eq(runEvents.factId, factId)).get();
    if (row?.kind === 'finished') setFinished(db, row.runId, counts);
  },
};
