import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { RunEvent } from '#core/packup/run-log.ts';
import { instant } from '#core/time/instant.ts';
import { localDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import {
  eventFromRow,
  runFromRows,
  storedPlan,
  type Run,
  type StoredStep,
} from '#server/features/packup/packup.mapper.ts';
import {
  createLastPasses,
  namedPlay,
  playedBefore,
  standingPlay,
  versionOfPlay,
} from '#server/features/packup/last-passes.repository.ts';
import { runEvents, runs, runShares } from '#server/features/packup/packup.table.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { facts } from '#server/record/record.table.ts';

export type { Run, StoredStep };
export { storedPlan };

export function createPackupRepository(db: Db) {
  /** The shares of a run, each with its play as that stands. */
  const sharesOf = db
    .select({ share: runShares, minutes: plays.minutes, roomCelsius: plays.roomCelsius })
    .from(runShares)
    .leftJoin(namedPlay, eq(namedPlay.key, runShares.playKey))
    .leftJoin(standingPlay, versionOfPlay)
    .leftJoin(plays, eq(plays.factId, standingPlay.id))
    .where(eq(runShares.runId, sql.placeholder('runId')))
    .orderBy(asc(runShares.position))
    .prepare();
  const told = () => db.select({ fact: facts, run: runs }).from(runs).innerJoin(facts, eq(facts.id, runs.factId));
  const byKey = told()
    .where(and(eq(facts.key, sql.placeholder('key')), eq(facts.counts, true)))
    .prepare();
  type Row = ReturnType<typeof byKey.all>[number];
  const runOf = ({ fact, run }: Row): Run => {
    const rows = sharesOf.all({ runId: fact.id });
    const body = runFromRows(
      run,
      rows.map(({ share }) => share),
    );
    return {
      ...body,
      id: fact.id,
      key: fact.key,
      startedOn: localDate(fact.on),
      startedAtMinute: fact.atMinute ?? 0,
      startedAt: instant(fact.loggedAt),
      shares: body.shares.map((share, index) => {
        const row = rows[index];
        const play = row?.minutes == null ? null : { minutes: row.minutes, roomCelsius: row.roomCelsius };
        const { instrumentId, playKey, thirst } = share;
        return {
          instrumentId,
          playKey,
          thirst,
          playedMinutes: playedBefore(share, play),
          roomCelsius: play?.roomCelsius ?? share.roomCelsius,
        };
      }),
    };
  };
  const mine = eq(runShares.instrumentId, sql.placeholder('instrumentId'));
  const ofInstrument = (finished: boolean) =>
    told()
      .innerJoin(runShares, eq(runShares.runId, runs.factId))
      .where(and(mine, eq(facts.counts, true), eq(runs.finished, finished)))
      .orderBy(desc(runs.factId))
      .limit(sql.placeholder('limit'))
      .prepare();
  const [openRuns, finishedRuns] = [ofInstrument(false), ofInstrument(true)];
  const openOnes = db
    .select({ key: facts.key })
    .from(runs)
    .innerJoin(facts, eq(facts.id, runs.factId))
    .innerJoin(runShares, eq(runShares.runId, runs.factId))
    // Written as the index is, so that only open runs are gone through.
    .where(and(sql`finished = 0`, mine, eq(facts.counts, true)))
    .orderBy(desc(runs.factId))
    .limit(1)
    .prepare();
  const log = db
    .select({ event: runEvents, key: facts.key, at: facts.loggedAt })
    .from(runEvents)
    .innerJoin(facts, eq(facts.id, runEvents.factId))
    .where(and(eq(runEvents.runId, sql.placeholder('runId')), eq(facts.counts, true)))
    .orderBy(asc(runEvents.factId))
    .prepare();
  return {
    /** A run that has not been taken back. */
    find: (key: string): Run | undefined => {
      const row = byKey.get({ key });
      return row && runOf(row);
    },

    /** The newest run an instrument is in that is neither finished nor taken back. */
    openKey: (instrumentId: string): string | undefined => openOnes.get({ instrumentId })?.key,

    open: (instrumentId: string): Run | undefined => {
      const row = openRuns.get({ instrumentId, limit: 1 });
      return row && runOf(row);
    },

    /** The newest finished runs an instrument is in: what its player's pace is learned from. */
    newestFinished: (instrumentId: string, limit: number): Run[] =>
      finishedRuns.all({ instrumentId, limit }).map(runOf),

    /** The log of a run in order of arrival; events taken back are left out. */
    events: (runId: number): { key: string; event: RunEvent }[] =>
      log.all({ runId }).map(({ event: row, key, at }) => ({
        key,
        event: { ...eventFromRow(row), at: instant(at) } as RunEvent,
      })),

    lastPasses: createLastPasses(db),
  };
}
export type PackupRepository = ReturnType<typeof createPackupRepository>;
