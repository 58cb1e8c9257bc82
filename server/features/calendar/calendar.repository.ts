import type { Db } from '#server/db/connection.ts';
import { createBenchTerms } from '#server/features/calendar/bench-terms.repository.ts';
import { createCalendarImports } from '#server/features/calendar/calendar-imports.repository.ts';
import { createEvents } from '#server/features/calendar/events.repository.ts';
import { createFeeds } from '#server/features/calendar/feeds.repository.ts';
import { createShownSittings } from '#server/features/calendar/shown-sittings.repository.ts';
import { createSittingMoves } from '#server/features/calendar/sitting-moves.repository.ts';
import { createSittingTimes } from '#server/features/calendar/sitting-times.repository.ts';
import { createToldCalendars } from '#server/features/calendar/told-calendars.repository.ts';

/** Everything of the calendar, table by table. */
export function createCalendarRepository(db: Db) {
  const imports = createCalendarImports(db);
  return {
    ...imports,
    ...createEvents(db, imports),
    ...createSittingTimes(db),
    ...createSittingMoves(db),
    ...createBenchTerms(db),
    ...createShownSittings(db),
    ...createToldCalendars(db),
    ...createFeeds(db),
  };
}
export type CalendarRepository = ReturnType<typeof createCalendarRepository>;
