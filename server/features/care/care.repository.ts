import type { CareDone } from '#core/packup/run-care.ts';
import { and, asc, eq, gte, max, sql } from 'drizzle-orm';
import type { LastDone, SignNoticed } from '#core/care/care-clock.ts';
import type { CareDecision } from '#core/care/care-decision.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import { DONE_BY } from '#core/care/done-by.ts';
import { MINUTES_PER_DAY, wallMinute } from '#core/plays/play.ts';
import { dateOfDay, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import { careDecisions, careDone, signsNoticed, wetnessResets } from '#server/features/care/care.table.ts';
import { counting } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

/**
 * The last time each item was done that counts, one seek an item: the items are found by leaping through the index from
 * one to the next, so that ten years of entries are not read through.
 */
const lastOfEach = (db: Db) =>
  db.$client.prepare<[string, string, string], { item: CareItemId; last: string | null }>(`
    with recursive items(item) as (
      select min(item_id) from care_done where instrument_id = ?
      union all
      select (select min(item_id) from care_done where instrument_id = ? and item_id > item) from items where item is not null
    )
    select item,
      (select wall_minute || ' ' || by from care_done where instrument_id = ? and item_id = item and counts = 1 order by wall_minute desc limit 1) as last
    from items where item is not null`);

/** "29743800 player": the wall minute and who did it, as they stand side by side in the index. */
function lastDoneFrom(text: string): LastDone {
  const [at = '', by = ''] = text.split(' ');
  const who = DONE_BY.find((one) => one === by);
  if (who === undefined) throw new Error(`care_done says it was done by ${by}`);
  return { atWallMinute: Number(at), by: who };
}

/** In the order they were seen, so that the last one of an item wins in a map. */
const standingSigns = (db: Db) =>
  counting(db, signsNoticed, {
    itemId: signsNoticed.itemId,
    sign: signsNoticed.sign,
    part: signsNoticed.part,
    on: facts.on,
    atMinute: facts.atMinute,
  })
    .where(eq(signsNoticed.instrumentId, sql.placeholder('instrumentId')))
    .orderBy(asc(facts.on), asc(facts.atMinute), asc(facts.id))
    .prepare();

/** In the order they were made. */
const standingDecisions = (db: Db) =>
  counting(db, careDecisions, {
    itemId: careDecisions.itemId,
    kind: careDecisions.kind,
    until: careDecisions.until,
    on: facts.on,
  })
    .where(eq(careDecisions.instrumentId, sql.placeholder('instrumentId')))
    .orderBy(asc(facts.id))
    .prepare();

type DecisionRow = ReturnType<ReturnType<typeof standingDecisions>['all']>[number];

/** A row as a decision; a postponement without its day throws. */
function decisionFromRow({ kind, on: text, until, itemId }: DecisionRow): CareDecision {
  const on = localDate(text);
  if (kind !== 'postponed') return { kind, on };
  if (until === null) throw new Error(`a postponement of ${itemId} has no day`);
  return { kind, on, until: until };
}

/** A sign with those before it, in one line. */
const earlierWith = ({ earlier = [], ...last }: SignNoticed): Omit<SignNoticed, 'earlier'>[] => [...earlier, last];

export function createCareRepository(db: Db) {
  const [last, signs, decisions] = [lastOfEach(db), standingSigns(db), standingDecisions(db)];
  const newestReset = counting(db, wetnessResets, { id: max(facts.id) })
    .where(eq(wetnessResets.instrumentId, sql.placeholder('instrumentId')))
    .prepare();
  const ofSource = db
    .select({ instrumentId: careDone.instrumentId, itemId: careDone.itemId })
    .from(facts)
    .innerJoin(careDone, eq(careDone.factId, facts.id))
    .where(and(eq(facts.belongsTo, sql.placeholder('source')), eq(facts.counts, true)))
    .orderBy(asc(facts.id))
    .prepare();
  const since = db
    .select({ at: careDone.wallMinute })
    .from(careDone)
    .where(
      and(
        eq(careDone.instrumentId, sql.placeholder('instrumentId')),
        eq(careDone.itemId, sql.placeholder('itemId')),
        eq(careDone.counts, true),
        gte(careDone.wallMinute, sql.placeholder('from')),
      ),
    )
    .orderBy(asc(careDone.wallMinute))
    .prepare();
  return {
    /** When each item was last done, as far as that counts; and every item that was ever logged. */
    history: (id: string): { lastDone: ReadonlyMap<CareItemId, LastDone>; itemsLogged: readonly CareItemId[] } => {
      const rows = last.all(id, id, id);
      return {
        lastDone: new Map(
          rows.flatMap(({ item, last: text }) => (text === null ? [] : [[item, lastDoneFrom(text)] as const])),
        ),
        itemsLogged: rows.map(({ item }) => item),
      };
    },

    /** The days on which an item was done, from that day on: one seek. */
    doneSince: (instrumentId: string, itemId: CareItemId, from: LocalDate): LocalDate[] =>
      since
        .all({ instrumentId, itemId, from: dayNumber(from) * MINUTES_PER_DAY })
        .map(({ at }) => dateOfDay(Math.floor(at / MINUTES_PER_DAY))),

    /** The latest sign of each item that counts. */
    signs: (instrumentId: string): ReadonlyMap<CareItemId, SignNoticed> =>
      signs.all({ instrumentId }).reduce((latest, { itemId, sign, part, on, atMinute }) => {
        const before = latest.get(itemId);
        const earlier = before ? earlierWith(before) : [];
        return latest.set(itemId, { sign, atWallMinute: wallMinute(on, atMinute ?? 0), part, earlier });
      }, new Map<CareItemId, SignNoticed>()),

    /** The latest decision about each item that counts. */
    decisions: (instrumentId: string): ReadonlyMap<CareItemId, CareDecision> =>
      new Map(decisions.all({ instrumentId }).map((row) => [row.itemId, decisionFromRow(row)])),

    /** The place in the order of arrival of the last reset that counts; 0 where there is none. */
    lastResetId: (instrumentId: string): number => newestReset.get({ instrumentId })?.id ?? 0,

    /** What the end of one run has recorded. */
    doneBy: (source: number): CareDone[] => ofSource.all({ source }),
  };
}
export type CareRepository = ReturnType<typeof createCareRepository>;

/** Care whose wall minute is not on the day of its fact. */
export const misrepeatedCare = (db: Db): string[] =>
  db
    .select({ key: facts.key })
    .from(careDone)
    .innerJoin(facts, eq(facts.id, careDone.factId))
    .where(sql`${facts.on} <> date(${careDone.wallMinute} * 60, 'unixepoch')`)
    .all()
    .map(({ key }) => key);
