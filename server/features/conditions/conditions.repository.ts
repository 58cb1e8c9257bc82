import { and, asc, desc, eq, or, sql } from 'drizzle-orm';
import type { Condition } from '#core/conditions/condition.ts';
import { localDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import {
  conditionEnds,
  conditions,
  type ConditionEndRow,
  type ConditionRow,
} from '#server/features/conditions/conditions.table.ts';
import { inForce } from '#server/features/record/record.table.ts';

/** What stands of an instrument and of its player, the oldest first, each with the end said last. */
const standing = (db: Db) =>
  db
    .select({ condition: conditions, end: conditionEnds })
    .from(conditions)
    .leftJoin(conditionEnds, and(eq(conditionEnds.conditionKey, conditions.key), inForce(conditionEnds.key)))
    .where(
      and(
        or(
          eq(conditions.instrumentId, sql.placeholder('instrumentId')),
          eq(conditions.playerId, sql.placeholder('playerId')),
        ),
        inForce(conditions.key),
      ),
    )
    .orderBy(asc(conditions.beginsOn), asc(conditions.loggedAt), asc(conditionEnds.loggedAt))
    .prepare();

/** A condition as the record has it, with the fact that ended it. */
export type StandingCondition = {
  readonly condition: Condition;
  readonly ofPlayer: boolean;
  readonly endKey: string | null;
};

/** The only place where rows become a condition. */
function conditionFromRows(row: ConditionRow, end: ConditionEndRow | null): StandingCondition {
  const { key, condition: id, beginsOn, endsOn, part, celsius, humidityPercent, playerId } = row;
  const last = end?.endsOn ?? endsOn;
  return {
    condition: {
      key,
      id,
      beginsOn: localDate(beginsOn),
      endsOn: last === null ? null : localDate(last),
      part,
      air: celsius === null || humidityPercent === null ? null : { celsius, humidityPercent },
    },
    ofPlayer: playerId !== null,
    endKey: end?.key ?? null,
  };
}

export function createConditionsRepository(db: Db) {
  const all = standing(db);
  return {
    /** The conditions of an instrument and of whoever plays it. */
    standing: (instrumentId: string, playerId: string): StandingCondition[] => [
      // An end said later comes later and takes the place of the one before.
      ...new Map(
        all
          .all({ instrumentId, playerId })
          .map(({ condition, end }) => [condition.key, conditionFromRows(condition, end)] as const),
      ).values(),
    ],

    find: (key: string): ConditionRow | undefined => db.select().from(conditions).where(eq(conditions.key, key)).get(),

    findEnd: (key: string): ConditionEndRow | undefined =>
      db.select().from(conditionEnds).where(eq(conditionEnds.key, key)).get(),

    add: (condition: ConditionRow): void => {
      db.insert(conditions).values(condition).run();
    },

    addEnd: (end: ConditionEndRow): void => {
      db.insert(conditionEnds).values(end).run();
    },

    newest: (instrumentId: string, playerId: string, limit: number): ConditionRow[] =>
      db
        .select()
        .from(conditions)
        .where(
          and(
            or(eq(conditions.instrumentId, instrumentId), eq(conditions.playerId, playerId)),
            inForce(conditions.key),
          ),
        )
        .orderBy(desc(conditions.beginsOn))
        .limit(limit)
        .all(),
  };
}
