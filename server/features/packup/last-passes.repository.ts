import { and, asc, eq, isNull, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { LastPassFact } from '#core/water/wetness-from-record.ts';
import { LAST_PASSES } from '#core/water/wetness.ts';
import type { Db } from '#server/db/connection.ts';
import type { RunShareBody } from '#server/features/packup/packup.mapper.ts';
import { runEvents, runShares } from '#server/features/packup/packup.table.ts';
import { plays } from '#server/features/plays/plays.table.ts';
import { facts } from '#server/record/record.table.ts';

/** The play a share names, and the version of it that counts. */
export const namedPlay = alias(facts, 'named_play');
export const standingPlay = alias(facts, 'standing_play');
export const versionOfPlay = and(
  or(eq(standingPlay.id, namedPlay.id), eq(standingPlay.corrects, namedPlay.id)),
  eq(standingPlay.counts, true),
);
const event = alias(facts, 'event');

type Played = { readonly minutes: number; readonly roomCelsius: number | null };

/** What a share stands on: the play it names, as that stands now; else what an earlier version wrote beside it. */
export const playedBefore = ({ playedMinutes }: Pick<RunShareBody, 'playedMinutes'>, play: Played | null) =>
  play?.minutes ?? playedMinutes ?? 0;

/**
 * What the cloth showed after each play of an instrument, oldest first, of what was logged after the fact `since`. One
 * answer a play: of several said in one run the last one that counts.
 */
export function createLastPasses(db: Db) {
  const passes = db
    .select({
      runId: runShares.runId,
      playedMinutes: runShares.playedMinutes,
      roomCelsius: runShares.roomCelsius,
      thirst: runShares.thirst,
      minutes: plays.minutes,
      roomOfPlay: plays.roomCelsius,
      count: runEvents.count,
      answer: runEvents.answer,
    })
    .from(runShares)
    .innerJoin(facts, and(eq(facts.id, runShares.runId), eq(facts.counts, true)))
    .innerJoin(runEvents, and(eq(runEvents.runId, runShares.runId), sql`${runEvents.kind} = 'last-pass'`))
    .innerJoin(event, and(eq(event.id, runEvents.factId), eq(event.counts, true)))
    .leftJoin(namedPlay, eq(namedPlay.key, runShares.playKey))
    .leftJoin(standingPlay, versionOfPlay)
    .leftJoin(plays, eq(plays.factId, standingPlay.id))
    .where(
      and(
        eq(runShares.instrumentId, sql.placeholder('instrumentId')),
        // What a cloth shows after a mouthpiece by itself says nothing of the whole.
        isNull(runShares.alone),
        sql`${runEvents.stepKey} like ${runShares.instrumentId} || ':%'`,
        sql`${runEvents.factId} > ${sql.placeholder('since')}`,
      ),
    )
    .orderBy(asc(runEvents.factId))
    .prepare();
  return (instrumentId: string, since: number): LastPassFact[] => [
    ...new Map(
      passes.all({ instrumentId, since }).flatMap(({ runId, count, answer, ...share }) => {
        const found = LAST_PASSES.find((one) => one === answer);
        if (found === undefined || count === null) return [];
        const play = share.minutes === null ? null : { minutes: share.minutes, roomCelsius: share.roomOfPlay };
        const tap = {
          playedMinutes: playedBefore(share, play),
          roomCelsius: share.roomOfPlay ?? share.roomCelsius,
          thirst: share.thirst,
          count,
          found,
        };
        return [[runId, tap] as const];
      }),
    ).values(),
  ];
}
