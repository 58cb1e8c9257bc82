import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { LoggedRunEvent } from '#core/packup/run-event.ts';
import type { RunShare } from '#core/packup/run.ts';
import { instant } from '#core/time/instant.ts';
import type { Db } from '#server/db/connection.ts';
import { eventFromRow, type RecordedRun } from '#server/features/packup/packup.mapper.ts';
import {
  createLastPasses,
  namedPlay,
  playedBefore,
  standingPlay,
  versionOfPlay,
} from '#server/features/packup/last-passes.repository.ts';
import { createAnswersExpected, createLearnedMinutes } from '#server/features/packup/learned-minutes.repository.ts';
import { endsOf, type RunEnd } from '#server/features/packup/run-ends.repository.ts';
import { createEarlierRuns } from '#server/features/packup/earlier-runs.repository.ts';
import { runEvents, runs, runShares } from '#server/features/packup/packup.table.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { facts } from '#server/record/record.table.ts';

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
  const runOf = ({ fact, run: { playerId, kind, minutesAtHand, plan } }: Row): RecordedRun => ({
    id: fact.id,
    key: fact.key,
    playerId,
    kind,
    minutesAtHand,
    plan,
    startedOn: fact.on,
    startedAtMinute: fact.atMinute ?? 0,
    startedAt: instant(fact.loggedAt),
  });
  const mine = eq(runShares.instrumentId, sql.placeholder('instrumentId'));
  /** Is this the only instrument of the run? */
  const alone = sql<number>`(select count(*) from ${runShares} beside where beside.run_id = ${runs.factId}) = 1`;
  const ofInstrument = (finished: boolean) =>
    db
      .select({ fact: facts, run: runs, alone })
      .from(runs)
      .innerJoin(facts, eq(facts.id, runs.factId))
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
  const keys = db
    .select({ key: facts.key })
    .from(runs)
    .crossJoin(facts)
    .where(and(eq(facts.id, runs.factId), eq(facts.counts, true)))
    .orderBy(asc(runs.factId))
    .prepare();
  const newestFinished = (instrumentId: string, limit: number): (RecordedRun & { readonly alone: boolean })[] =>
    finishedRuns.all({ instrumentId, limit }).map((row) => ({ ...runOf(row), alone: row.alone === 1 }));
  const logOf = (runId: number): LoggedRunEvent[] =>
    log.all({ runId }).map(({ event, key, at }) => ({ key, event: eventFromRow(event, instant(at)) }));
  return {
    /** A run that has not been taken back. */
    find: (key: string): RecordedRun | undefined => {
      const row = byKey.get({ key });
      return row && runOf(row);
    },

    /** The newest run an instrument is in that is neither finished nor taken back. */
    openKey: (instrumentId: string): string | undefined => openOnes.get({ instrumentId })?.key,

    open: (instrumentId: string): RecordedRun | undefined => {
      const row = openRuns.get({ instrumentId, limit: 1 });
      return row && runOf(row);
    },

    /** The newest finished runs an instrument is in: what its player's pace is learned from. */
    newestFinished,
    learnedMinutes: createLearnedMinutes({ newestFinished, log: logOf }),
    answersExpected: createAnswersExpected({ newestFinished, log: logOf }),

    earlierOn: createEarlierRuns(db),

    /** The instruments of a run, each with its play as that stands. */
    shares: (runId: number): RunShare[] =>
      sharesOf.all({ runId }).map(({ share, minutes, roomCelsius }) => {
        const play = minutes === null ? null : { minutes, roomCelsius };
        const { instrumentId, playKey, alone, thirst, asked } = share;
        return {
          instrumentId,
          playKey,
          alone,
          thirst,
          askedItems: asked?.itemIds ?? [],
          playedMinutes: playedBefore(share, play),
          roomCelsius: play?.roomCelsius ?? share.roomCelsius,
        };
      }),

    /** The log of a run in order of arrival; events taken back are left out. */
    log: logOf,

    /** How runs ended, by their number, and what each did on one instrument, in one statement. */
    endsOf: (runIds: readonly number[], instrumentId: string): ReadonlyMap<number, RunEnd> =>
      endsOf(db, runIds, instrumentId),

    /** Every run that counts, one after another: for a check, not for a page. */
    every: function* (): Generator<RecordedRun> {
      for (const { key } of keys.all()) {
        const row = byKey.get({ key });
        if (row) yield runOf(row);
      }
    },

    lastPasses: createLastPasses(db),
  };
}
export type PackupRepository = ReturnType<typeof createPackupRepository>;
