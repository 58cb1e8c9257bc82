import { and, asc, count, eq, ne, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { Outcomes } from '#core/faults/fault-net.ts';
import type { EndSaid, FaultFacts, InterviewNoted, MishapNoted } from '#core/faults/fault-record.ts';
import { withSharedEnds } from '#core/faults/faults-standing.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { MINUTES_PER_DAY, wallMinute } from '#core/plays/play.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import {
  faultEnds,
  interviewAnswers,
  interviewOutcomes,
  interviews,
  mishaps,
} from '#server/features/faults/faults.table.ts';
import { instruments } from '#server/features/instruments/instruments.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

const child = alias(facts, 'child');

/** What hangs on facts of an instrument: rows of another kind that belong to one of its own. */
function hangingOn(db: Db) {
  const parent = alias(facts, 'parent');
  const belongs = and(eq(child.belongsTo, parent.id), eq(child.counts, true));
  const ofInterviews = and(eq(interviews.factId, parent.id), eq(interviews.instrumentId, sql.placeholder('id')));
  return {
    answers: db
      .select({ of: parent.key, key: child.key, row: interviewAnswers })
      .from(interviews)
      .innerJoin(parent, ofInterviews)
      // Also what was found at the table of a reed, and came with what was said there.
      .innerJoin(interviewAnswers, eq(interviewAnswers.interviewKey, parent.key))
      .innerJoin(child, and(eq(child.id, interviewAnswers.factId), eq(child.counts, true)))
      .orderBy(asc(child.id))
      .prepare(),
    outcomes: db
      .select({ of: parent.key, key: child.key, on: child.on, atMinute: child.atMinute, row: interviewOutcomes })
      .from(interviews)
      .innerJoin(parent, ofInterviews)
      .innerJoin(child, belongs)
      .innerJoin(interviewOutcomes, eq(interviewOutcomes.factId, child.id))
      .orderBy(asc(child.id))
      .prepare(),
    ends: db
      .select({ of: parent.key, key: child.key, on: child.on, atMinute: child.atMinute, by: faultEnds.by })
      .from(interviews)
      .innerJoin(parent, ofInterviews)
      .innerJoin(child, belongs)
      .innerJoin(faultEnds, eq(faultEnds.factId, child.id))
      .orderBy(asc(child.id))
      .prepare(),
    endsOfMishaps: db
      .select({ of: parent.key, key: child.key, on: child.on, atMinute: child.atMinute, by: faultEnds.by })
      .from(mishaps)
      .innerJoin(parent, and(eq(mishaps.factId, parent.id), eq(mishaps.instrumentId, sql.placeholder('id'))))
      .innerJoin(child, belongs)
      .innerJoin(faultEnds, eq(faultEnds.factId, child.id))
      .orderBy(asc(child.id))
      .prepare(),
  };
}

/** What is said of a day and no minute is said at its end. */
const atWallMinuteOf = ({ on, atMinute }: { readonly on: LocalDate; readonly atMinute: number | null }): number =>
  wallMinute(on, atMinute ?? MINUTES_PER_DAY - 1);

type EndRow = Omit<EndSaid, 'atWallMinute'> & { readonly of: string; readonly atMinute: number | null };
/** The last one said counts. */
const endOf = (rows: readonly EndRow[], key: string): EndSaid | null => {
  const row = rows.findLast(({ of }) => of === key);
  return row ? { key: row.key, on: row.on, by: row.by, atWallMinute: atWallMinuteOf(row) } : null;
};

export function createFaultsRepository(db: Db) {
  const begun = counting(db, interviews, { on: facts.on, atMinute: facts.atMinute, noticed: interviews.noticed })
    .where(eq(interviews.instrumentId, sql.placeholder('id')))
    .orderBy(asc(facts.id))
    .prepare();
  const happened = counting(db, mishaps, {
    mishap: mishaps.mishap,
    atMinute: facts.atMinute,
    part: mishaps.part,
    on: mishaps.happenedOn,
  })
    .where(eq(mishaps.instrumentId, sql.placeholder('id')))
    .orderBy(asc(mishaps.happenedOn), asc(facts.id))
    .prepare();
  const ownerOfInterview = counting(db, interviews, { instrumentId: interviews.instrumentId })
    .where(eq(facts.key, sql.placeholder('key')))
    .prepare();
  const ownerOfMishap = counting(db, mishaps, { instrumentId: mishaps.instrumentId })
    .where(eq(facts.key, sql.placeholder('key')))
    .prepare();
  const hanging = hangingOn(db);
  const parent = alias(facts, 'parent');
  const foundOf = db
    .select({ cause: interviewOutcomes.cause, times: count() })
    .from(instruments)
    .innerJoin(interviews, eq(interviews.instrumentId, instruments.id))
    .innerJoin(parent, and(eq(parent.id, interviews.factId), eq(parent.counts, true)))
    .innerJoin(child, and(eq(child.belongsTo, parent.id), eq(child.counts, true)))
    .innerJoin(interviewOutcomes, and(eq(interviewOutcomes.factId, child.id), eq(interviewOutcomes.helped, true)))
    .where(and(eq(instruments.playerId, sql.placeholder('playerId')), ne(instruments.id, sql.placeholder('but'))))
    .groupBy(interviewOutcomes.cause)
    .orderBy(asc(interviewOutcomes.cause))
    .prepare();

  return {
    /** What was wrong with an instrument and what happened to it, the oldest first. */
    of: (id: string): FaultFacts => {
      const all = begun.all({ id });
      const noted = happened.all({ id });
      if (all.length === 0 && noted.length === 0) return { interviews: [], mishaps: [] };
      const answers = hanging.answers.all({ id });
      const outcomes = hanging.outcomes.all({ id });
      const ends = hanging.ends.all({ id });
      const endsOfMishaps = hanging.endsOfMishaps.all({ id });
      return {
        interviews: withSharedEnds(
          all.map(({ key, on, atMinute, noticed }): InterviewNoted => ({
            key,
            on,
            atWallMinute: wallMinute(on, atMinute ?? 0),
            noticed,
            answers: answers
              .filter((one) => one.of === key)
              .map(({ key: its, row: { sign, answer, noticed: unasked, also, beside } }) => ({
                key: its,
                sign,
                answer,
                noticed: unasked,
                ...(also && { also }),
                ...(beside && { beside }),
              })),
            outcomes: outcomes
              .filter((one) => one.of === key)
              .map((one) => ({
                key: one.key,
                cause: one.row.cause,
                helped: one.row.helped,
                on: one.on,
                atWallMinute: atWallMinuteOf(one),
              })),
            end: endOf(ends, key),
          })),
        ),
        mishaps: noted.map(({ key, mishap, part, on, atMinute }): MishapNoted => ({
          key,
          mishap,
          part,
          on,
          // What is said of an earlier day has no minute.
          saidLater: atMinute === null,
          end: endOf(endsOfMishaps, key),
        })),
      };
    },

    /** What was found to be the cause on the instruments of a player, but for one. */
    foundOnOthers: (playerId: PlayerId, but: InstrumentId): Outcomes => {
      const rows = foundOf.all({ playerId, but });
      return {
        known: rows.reduce((sum, { times }) => sum + times, 0),
        of: new Map(rows.map(({ cause, times }) => [cause, times])),
      };
    },

    /** The instrument an interview, or something that happened, is of; undefined where none counts under this key. */
    instrumentOf: (key: string): InstrumentId | undefined =>
      ownerOfInterview.get({ key })?.instrumentId ?? ownerOfMishap.get({ key })?.instrumentId,
  };
}
export type FaultsRepository = ReturnType<typeof createFaultsRepository>;
