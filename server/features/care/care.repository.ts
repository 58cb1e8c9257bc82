import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { LastDone, SignNoticed } from '#core/care/care-clock.ts';
import type { CareDecision } from '#core/care/care-decision.ts';
import type { CareItemId } from '#core/care/care-ids.ts';
import { wallMinute } from '#core/plays/play.ts';
import { localDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import {
  careDecisions,
  careDone,
  signsNoticed,
  wetnessResets,
  type CareDecisionRow,
  type CareDoneRow,
  type SignNoticedRow,
  type WetnessResetRow,
} from '#server/features/care/care.table.ts';
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

/** In the order they were seen, so that the last one of an item wins in a map. */
const standingSigns = (db: Db) =>
  db
    .select()
    .from(signsNoticed)
    .where(
      and(
        eq(signsNoticed.instrumentId, sql.placeholder('instrumentId')),
        inForce(signsNoticed.key),
        inForce(signsNoticed.sourceKey),
      ),
    )
    .orderBy(asc(signsNoticed.noticedOn), asc(signsNoticed.noticedAtMinute))
    .prepare();

const standingDecisions = (db: Db) =>
  db
    .select()
    .from(careDecisions)
    .where(and(eq(careDecisions.instrumentId, sql.placeholder('instrumentId')), inForce(careDecisions.key)))
    .orderBy(asc(careDecisions.loggedAt))
    .prepare();

/** The only place where a row becomes a decision; a postponement without its day throws. */
function decisionFromRow({ key, kind, decidedOn, until }: CareDecisionRow): CareDecision {
  const on = localDate(decidedOn);
  if (kind !== 'postponed') return { kind, on };
  if (until === null) throw new Error(`care_decisions ${key} has no day`);
  return { kind, on, until: localDate(until) };
}

export function createCareRepository(db: Db) {
  const [newest, signs, decisions] = [newestOfItem(db), standingSigns(db), standingDecisions(db)];
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

    /** The latest sign of each item that nobody has taken back. */
    signs: (instrumentId: string): ReadonlyMap<CareItemId, SignNoticed> =>
      new Map(
        signs
          .all({ instrumentId })
          .map((row) => [
            row.itemId as CareItemId,
            { atWallMinute: wallMinute(localDate(row.noticedOn), row.noticedAtMinute), part: row.part },
          ]),
      ),

    findSign: (key: string): SignNoticedRow | undefined =>
      db.select().from(signsNoticed).where(eq(signsNoticed.key, key)).get(),

    addSign: (sign: SignNoticedRow): void => {
      db.insert(signsNoticed).values(sign).run();
    },

    /** The latest decision about each item that nobody has taken back. */
    decisions: (instrumentId: string): ReadonlyMap<CareItemId, CareDecision> =>
      new Map(decisions.all({ instrumentId }).map((row) => [row.itemId as CareItemId, decisionFromRow(row)])),

    findDecision: (key: string): CareDecisionRow | undefined =>
      db.select().from(careDecisions).where(eq(careDecisions.key, key)).get(),

    addDecision: (decision: CareDecisionRow): void => {
      db.insert(careDecisions).values(decision).run();
    },

    findReset: (key: string): WetnessResetRow | undefined =>
      db.select().from(wetnessResets).where(eq(wetnessResets.key, key)).get(),

    addReset: (reset: WetnessResetRow): void => {
      db.insert(wetnessResets).values(reset).run();
    },

    /** When the last reset in force was made; the beginning of time where there is none. */
    lastResetAt: (instrumentId: string): string =>
      db
        .select({ at: wetnessResets.at })
        .from(wetnessResets)
        .where(and(eq(wetnessResets.instrumentId, instrumentId), inForce(wetnessResets.key)))
        .orderBy(desc(wetnessResets.at))
        .limit(1)
        .get()?.at ?? '',

    newestSigns: (instrumentId: string, limit: number): SignNoticedRow[] =>
      db
        .select()
        .from(signsNoticed)
        .where(
          and(eq(signsNoticed.instrumentId, instrumentId), inForce(signsNoticed.key), inForce(signsNoticed.sourceKey)),
        )
        .orderBy(desc(signsNoticed.noticedOn), desc(signsNoticed.noticedAtMinute))
        .limit(limit)
        .all(),

    newestDecisions: (instrumentId: string, limit: number): CareDecisionRow[] =>
      db
        .select()
        .from(careDecisions)
        .where(and(eq(careDecisions.instrumentId, instrumentId), inForce(careDecisions.key)))
        .orderBy(desc(careDecisions.loggedAt))
        .limit(limit)
        .all(),

    /** Every item that has ever been logged for an instrument. */
    itemsLogged: (instrumentId: string): string[] =>
      db
        .selectDistinct({ itemId: careDone.itemId })
        .from(careDone)
        .where(eq(careDone.instrumentId, instrumentId))
        .all()
        .map(({ itemId }) => itemId),

    /** What the end of one run has recorded. */
    doneBySource: (sourceKey: string): { instrumentId: string; itemId: string }[] =>
      db
        .select({ instrumentId: careDone.instrumentId, itemId: careDone.itemId })
        .from(careDone)
        .where(eq(careDone.sourceKey, sourceKey))
        .all(),

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
