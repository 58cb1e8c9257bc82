import { and, asc, eq, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { Condition } from '#core/book/condition.ts';
import type { Db } from '#server/db/connection.ts';
import { conditionEnds, conditions } from '#server/features/conditions/conditions.table.ts';
import { facts } from '#server/record/record.table.ts';

const ended = alias(facts, 'ended');

/** A condition as the record has it, with the fact that ended it. */
export type StandingCondition = {
  readonly condition: Condition;
  readonly ofPlayer: boolean;
  readonly endKey: string | null;
  /** Nobody entered it: the air was read to be dry. It ends when it is read not to be. */
  readonly byReading: boolean;
};

/** What counts, the oldest first, each with the ends said of it in the order they were said. */
const told = (db: Db) =>
  db
    .select({ key: facts.key, condition: conditions, end: conditionEnds, endKey: ended.key })
    .from(conditions)
    .innerJoin(facts, and(eq(facts.id, conditions.factId), eq(facts.counts, true)))
    .leftJoin(ended, and(eq(ended.belongsTo, facts.id), eq(ended.counts, true)))
    .leftJoin(conditionEnds, eq(conditionEnds.factId, ended.id))
    .orderBy(asc(conditions.beginsOn), asc(facts.id), asc(ended.id));

type Row = ReturnType<ReturnType<ReturnType<typeof told>['prepare']>['all']>[number];

/** The only place where rows become a condition. */
function standingFromRow({ key, condition: row, end, endKey }: Row): StandingCondition {
  const { condition: id, beginsOn, endsOn, part, alone, celsius, humidityPercent, playerId } = row;
  const last = end?.endsOn ?? endsOn;
  return {
    condition: {
      key,
      id,
      beginsOn,
      endsOn: last,
      part,
      alone,
      air: celsius === null || humidityPercent === null ? null : { celsius, humidityPercent },
    },
    ofPlayer: playerId !== null,
    endKey,
    byReading: false,
  };
}

export function createConditionsRepository(db: Db) {
  const all = told(db)
    .where(
      or(
        eq(conditions.instrumentId, sql.placeholder('instrumentId')),
        eq(conditions.playerId, sql.placeholder('playerId')),
      ),
    )
    .prepare();
  const one = told(db)
    .where(eq(facts.key, sql.placeholder('key')))
    .prepare();
  return {
    /** The conditions of an instrument and of whoever plays it. */
    standing: (instrumentId: string, playerId: string): StandingCondition[] => [
      // An end said later comes later and takes the place of the one before.
      ...new Map(all.all({ instrumentId, playerId }).map((row) => [row.key, standingFromRow(row)] as const)).values(),
    ],

    /** One condition that counts. */
    find: (key: string): Condition | undefined => {
      const row = one.all({ key }).at(-1);
      return row && standingFromRow(row).condition;
    },
  };
}
export type ConditionsRepository = ReturnType<typeof createConditionsRepository>;
