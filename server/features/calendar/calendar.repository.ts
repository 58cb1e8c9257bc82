import { and, asc, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { Db } from '#server/db/connection.ts';
import { events } from '#server/features/calendar/calendar.table.ts';
import { facts } from '#server/record/record.table.ts';

const original = alias(facts, 'original');

export function createCalendarRepository(db: Db) {
  const all = db
    .select({ key: sql<string>`coalesce(${original.key}, ${facts.key})`, event: events })
    .from(events)
    .innerJoin(facts, and(eq(facts.id, events.factId), eq(facts.counts, true)))
    .leftJoin(original, eq(original.id, facts.corrects))
    .where(eq(events.playerId, sql.placeholder('playerId')))
    .orderBy(asc(events.on), asc(events.factId))
    .prepare();
  return {
    /** The events of a player, earliest first. */
    of: (playerId: string): CalendarEvent[] =>
      all.all({ playerId }).map(({ key, event: { factId: _factId, ...event } }) => ({ key, ...event })),
  };
}
export type CalendarRepository = ReturnType<typeof createCalendarRepository>;
