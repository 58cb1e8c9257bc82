import { and, asc, desc, eq, ne, sql } from 'drizzle-orm';
import type { CalendarEvent } from '#core/calendar/event.ts';
import { standingEvents } from '#core/calendar/imported-event.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import type { createCalendarImports } from '#server/features/calendar/calendar-imports.repository.ts';
import { events } from '#server/features/calendar/calendar.table.ts';
import { keyFrom } from '#server/key-from.ts';
import { counting, knownKey, original } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

/** The key of one of a typed series: the same whenever it is asked for. */
const keyInSeries = (series: string, on: LocalDate): string => keyFrom([series, on]);

/** The currency of the last stay that says what it cost, but for one. */
function lastPaid(db: Db) {
  return (
    db
      .select({ currency: sql<string>`json_extract(${events.stay}, '$.cost.currency')` })
      .from(events)
      // Read from the left: SQLite would begin with every fact there is.
      .crossJoin(facts)
      .leftJoin(original, eq(original.id, facts.corrects))
      .where(
        and(
          eq(facts.id, events.factId),
          eq(facts.counts, true),
          sql`json_extract(${events.stay}, '$.cost.currency') is not null`,
          ne(knownKey, sql.placeholder('without')),
        ),
      )
      .orderBy(desc(events.factId))
      .limit(1)
      .prepare()
  );
}

/** Events, typed and imported. */
export function createEvents(db: Db, imports: ReturnType<typeof createCalendarImports>) {
  const all = counting(db, events, { event: events })
    .where(eq(events.playerId, sql.placeholder('playerId')))
    .orderBy(asc(events.on), asc(events.factId))
    .prepare();
  const paid = lastPaid(db);
  const typedOf = (playerId: string): CalendarEvent[] =>
    all.all({ playerId }).map(({ key, event: { factId: _factId, minutesOf, ...event } }) => ({
      key,
      ...event,
      minutesOf: minutesOf ?? [],
    }));
  return {
    /** The events of a player, typed and imported, earliest first. */
    of: (playerId: PlayerId): CalendarEvent[] =>
      standingEvents(typedOf(playerId), imports.imports(playerId), { playerId, keyOf: keyInSeries }),

    /** What was typed, also what stands in the place of an imported event, or drops it. */
    typed: typedOf,

    /** The currency stays at the bench were paid in, but for this one; null where none says what it cost. */
    currencyOfStays: (without = ''): string | null => paid.get({ without })?.currency ?? null,
  };
}
