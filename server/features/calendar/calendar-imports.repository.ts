import { and, eq, sql } from 'drizzle-orm';
import type { CalendarImport, ImportedEvent } from '#core/calendar/imported-event.ts';
import type { Db } from '#server/db/connection.ts';
import { insertRow } from '#server/db/prepared-insert.ts';
import { calendarImports, importedDates } from '#server/features/calendar/calendar.table.ts';
import type { BodyStore } from '#server/record/define-fact.ts';
import { facts } from '#server/record/record.table.ts';
import type { ImportOfCalendar } from '#core/calendar/imported-event.ts';

/** Writes down the dates of an import, those that are new; the number of each, in order. */
function writeDates(db: Db, events: readonly ImportedEvent[]): number[] {
  const known = db
    .select({ id: importedDates.id })
    .from(importedDates)
    .where(and(eq(importedDates.key, sql.placeholder('key')), eq(importedDates.event, sql.placeholder('event'))))
    .prepare();
  return events.map(({ key, ...event }) => {
    const row = { key, event: JSON.stringify(event) };
    return known.get(row)?.id ?? insertRow(db, importedDates, row);
  });
}

/**
 * The dates under these numbers, in their order.
 *
 * @throws Error where one of them is not there: the record is not whole
 */
function readDates(db: Db, ids: readonly number[]): ImportedEvent[] {
  const rows = db.all<{ key: string | null; event: string }>(sql`
    select ${importedDates.key} as key, ${importedDates.event} as event
    from json_each(${JSON.stringify(ids)}) asked left join ${importedDates} on ${importedDates.id} = asked.value
    order by asked.key`);
  return rows.map(({ key, event }) => {
    if (key === null) throw new Error('a date of an imported calendar is missing');
    return { key, ...(JSON.parse(event) as Omit<ImportedEvent, 'key'>) };
  });
}

/** Imports that name a date that is not there. */
const misrepeatedImports = (db: Db): string[] =>
  db
    .select({ key: facts.key })
    .from(calendarImports)
    .innerJoin(facts, eq(facts.id, calendarImports.factId))
    .where(
      sql`exists (
        select 1 from json_each(${calendarImports.dates}) date
        where not exists (select 1 from ${importedDates} where ${importedDates.id} = date.value))`,
    )
    .all()
    .map(({ key }) => key);

/** Imported calendars that are kept taken apart. */
const MOST_PARSED = 60;

/** Calendars that were imported. */
export function createCalendarImports(db: Db) {
  const lastImports = db
    .select({ factId: sql<number>`max(${calendarImports.factId})` })
    .from(calendarImports)
    .where(and(eq(calendarImports.playerId, sql.placeholder('playerId')), eq(calendarImports.counts, true)))
    .groupBy(calendarImports.calendar)
    .orderBy(sql`1`)
    .prepare();
  const oneImport = db
    .select({ calendar: calendarImports.calendar, dates: calendarImports.dates })
    .from(calendarImports)
    .where(eq(calendarImports.factId, sql.placeholder('factId')))
    .prepare();
  // A calendar is taken apart once: a fact never changes.
  const parsed = new Map<number, CalendarImport>();
  const importOf = (factId: number): CalendarImport => {
    const known = parsed.get(factId);
    if (known) return known;
    const row = oneImport.get({ factId });
    if (row === undefined) throw new Error(`calendar_imports has no body of fact ${factId}`);
    if (parsed.size >= MOST_PARSED) parsed.clear();
    const made = { calendar: row.calendar, events: readDates(db, row.dates) };
    parsed.set(factId, made);
    return made;
  };
  return {
    /** The last import of each calendar. */
    imports: (playerId: string): CalendarImport[] =>
      lastImports.all({ playerId }).map(({ factId }) => importOf(factId)),

    /** What imports are called, and how many dates each has, by the number of the fact. */
    namesOfImports: (
      factIds: readonly number[],
    ): ReadonlyMap<number, { readonly name: string; readonly dates: number }> =>
      new Map(
        db
          .all<{ factId: number; name: string; dates: number }>(
            sql`select fact_id as factId, calendar as name, json_array_length(dates) as dates from calendar_imports
              where fact_id in (select value from json_each(${JSON.stringify(factIds)}))`,
          )
          .map(({ factId, ...one }) => [factId, one]),
      ),

    /** What was read of imports that were being written and never were. */
    forget: (): void => parsed.clear(),
  };
}

/** `sent`: a digest of what was sent, by which the same is known when it is sent again. */
/** The dates of an import are kept apart from it: the next import of the calendar has most of them again. */
export const importStore: BodyStore<ImportOfCalendar> = {
  table: calendarImports,
  misrepeated: misrepeatedImports,
  insert: (db, { factId }, { events, ...body }) => {
    insertRow(db, calendarImports, { ...body, dates: writeDates(db, events), factId });
  },
  read: (db, factId) => {
    const row = db.select().from(calendarImports).where(eq(calendarImports.factId, factId)).get();
    if (row === undefined) throw new Error(`calendar_imports has no body of fact ${factId}`);
    const { playerId, calendar, sent, dates } = row;
    return { playerId, calendar, sent, events: readDates(db, dates) };
  },
  recount: (db, factId, counts) => {
    db.update(calendarImports).set({ counts }).where(eq(calendarImports.factId, factId)).run();
  },
};
