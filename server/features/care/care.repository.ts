import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { LastDone } from '#core/care/care-clock.ts';
import type { CareItemId } from '#core/care/care-item.ts';
import { wallMinute } from '#core/plays/play.ts';
import { localDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import { careDone, type CareDoneRow } from '#server/features/care/care.table.ts';
import { inForce } from '#server/features/record/record.table.ts';

/** A care entry counts while neither it nor the end of the run that made it has been taken back. */
const counts = () => and(inForce(careDone.key), inForce(careDone.sourceKey));

export type CareEntry = CareDoneRow;

/** Asked once for every item of an instrument, so it is built once: one index seek, no record of ten years read through. */
const newestOfItem = (db: Db) =>
  db
    .select({ on: careDone.doneOn, atMinute: careDone.doneAtMinute, by: careDone.by })
    .from(careDone)
    .where(
      and(
        eq(careDone.instrumentId, sql.placeholder('instrumentId')),
        eq(careDone.itemId, sql.placeholder('item')),
        counts(),
      ),
    )
    .orderBy(desc(careDone.doneOn), desc(careDone.doneAtMinute))
    .limit(1)
    .prepare();

export function createCareRepository(db: Db) {
  const newest = newestOfItem(db);
  return {
    find: (key: string): CareEntry | undefined => db.select().from(careDone).where(eq(careDone.key, key)).get(),

    add: (entry: CareEntry): void => {
      db.insert(careDone).values(entry).run();
    },

    /** When each item was last done. */
    lastDone: (instrumentId: string, items: readonly CareItemId[]): ReadonlyMap<CareItemId, LastDone> =>
      new Map(
        items.flatMap((item) => {
          const row = newest.get({ instrumentId, item });
          return row
            ? [[item, { atWallMinute: wallMinute(localDate(row.on), row.atMinute), by: row.by }] as const]
            : [];
        }),
      ),

    /** Item ids recorded by the end of one run. */
    doneBySource: (sourceKey: string): string[] =>
      db
        .select({ itemId: careDone.itemId })
        .from(careDone)
        .where(eq(careDone.sourceKey, sourceKey))
        .all()
        .map(({ itemId }) => itemId),

    /** Entries logged by themselves, newest first. */
    newestByHand: (instrumentId: string, limit: number): CareEntry[] =>
      db
        .select()
        .from(careDone)
        .where(and(eq(careDone.instrumentId, instrumentId), isNull(careDone.sourceKey), counts()))
        .orderBy(desc(careDone.doneOn), desc(careDone.doneAtMinute))
        .limit(limit)
        .all(),
  };
}
