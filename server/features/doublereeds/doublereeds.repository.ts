import { and, desc, eq, gte, inArray, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { ExaminationTold, Told } from '#core/doublereeds/examination-noted.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import type { Db } from '#server/db/connection.ts';
import {
  crowFromRow,
  crowTold,
  examinationFromRow,
  lookFromRow,
  lookTold,
  stepFromRow,
  stepTold,
} from '#server/features/doublereeds/doublereeds.mapper.ts';
import { examinations, reedCrows, reedLooks, reedSteps } from '#server/features/doublereeds/doublereeds.table.ts';
import { facts } from '#server/record/record.table.ts';

/** So many of the last quick looks are counted for their makes. */
const QUICK_READ = 200;
/** So many of the last clips say what a clip does: more would move it by nothing. */
const CLIPS_READ = 60;

const said = alias(facts, 'said');

/** Everything said in these examinations, each with its number in the spine: in that order it was said. */
function saidIn(db: Db, factIds: readonly number[]): Map<number, Told[]> {
  const within = (table: typeof reedLooks | typeof reedCrows | typeof reedSteps): SQL | undefined =>
    and(eq(said.id, table.factId), eq(said.counts, true), inArray(said.belongsTo, [...factIds]));
  const place = { id: said.id, of: said.belongsTo, key: said.key };
  const looks = db
    .select({ ...place, row: reedLooks })
    .from(reedLooks)
    .innerJoin(said, within(reedLooks))
    .all();
  const crows = db
    .select({ ...place, row: reedCrows })
    .from(reedCrows)
    .innerJoin(said, within(reedCrows))
    .all();
  const steps = db
    .select({ ...place, row: reedSteps })
    .from(reedSteps)
    .innerJoin(said, within(reedSteps))
    .all();
  const all = [
    ...looks.map(({ id, of, key, row }) => ({ id, of, told: lookTold(key, lookFromRow(row)) })),
    ...crows.map(({ id, of, key, row }) => ({ id, of, told: crowTold(key, crowFromRow(row)) })),
    ...steps.map(({ id, of, key, row }) => ({ id, of, told: stepTold(key, stepFromRow(row)) })),
  ].sort((a, b) => a.id - b.id);
  const byExamination = new Map<number, Told[]>();
  for (const { of, told } of all) if (of !== null) byExamination.set(of, [...(byExamination.get(of) ?? []), told]);
  return byExamination;
}

export function createDoubleReedsRepository(db: Db) {
  /** The examinations a condition picks, with all that was said in them, the oldest first. */
  const read = (where: SQL | undefined, limit?: number): ExaminationTold[] => {
    const begun = db
      .select({ key: facts.key, on: facts.on, row: examinations })
      .from(examinations)
      .innerJoin(facts, and(eq(facts.id, examinations.factId), eq(facts.counts, true)))
      .where(where)
      .orderBy(desc(facts.id))
      .limit(limit ?? -1)
      .all()
      .reverse();
    if (begun.length === 0) return [];
    const told = saidIn(
      db,
      begun.map(({ row }) => row.factId),
    );
    return begun.map(({ key, on, row }) => ({
      ...examinationFromRow(row),
      key,
      on,
      told: told.get(row.factId) ?? [],
    }));
  };
  const clipped = db
    .select({ id: said.belongsTo })
    .from(reedSteps)
    .innerJoin(said, and(eq(said.id, reedSteps.factId), eq(said.counts, true)))
    .where(and(sql`${reedSteps.step} = 'clip'`, eq(reedSteps.playerId, sql.placeholder('playerId'))))
    .orderBy(desc(reedSteps.factId))
    .limit(CLIPS_READ)
    .prepare();

  return {
    /** Every examination of a reed, the oldest first. */
    ofReed: (id: ReedId): ExaminationTold[] => read(eq(examinations.reedId, id)),

    /** The examination under a key; undefined where none counts. */
    of: (key: string): ExaminationTold | undefined => read(eq(facts.key, key))[0],

    /** Those of a player since a moment, the oldest first. */
    since: (playerId: PlayerId, fromMs: number): ExaminationTold[] =>
      read(and(eq(examinations.playerId, playerId), gte(examinations.atMs, fromMs))),

    /** The last quick ones of a player, the oldest first. */
    quick: (playerId: PlayerId): ExaminationTold[] =>
      read(and(eq(examinations.playerId, playerId), sql`${examinations.way} = 'quick'`), QUICK_READ),

    /** The last examinations of a player in which something was clipped, the oldest first. */
    clipped: (playerId: PlayerId): ExaminationTold[] => {
      const ids = clipped.all({ playerId }).flatMap(({ id }) => (id === null ? [] : [id]));
      return ids.length === 0 ? [] : read(inArray(facts.id, [...new Set(ids)]));
    },
  };
}
export type DoubleReedsRepository = ReturnType<typeof createDoubleReedsRepository>;
