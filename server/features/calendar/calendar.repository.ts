import { and, asc, desc, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { Db } from '#server/db/connection.ts';
import { events, sittingTimes } from '#server/features/calendar/calendar.table.ts';
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
  const time = db
    .select({ minutes: sittingTimes.minutes })
    .from(sittingTimes)
    .innerJoin(facts, and(eq(facts.id, sittingTimes.factId), eq(facts.counts, true)))
    .where(eq(sittingTimes.playerId, sql.placeholder('playerId')))
    .orderBy(desc(facts.id))
    .limit(1)
    .prepare();
  return {
    /** Minutes a player has by weekday, Monday first; null where nobody has said. */
    timeOf: (playerId: string): readonly number[] | null => time.get({ playerId })?.minutes ?? null,

    /** The events of a player, earliest first. */
    of: (playerId: string): CalendarEvent[] =>
      all.all({ playerId }).map(({ key, event: { factId: _factId, ...event } }) => ({ key, ...event })),
  };
}
export type CalendarRepository = ReturnType<typeof createCalendarRepository>;
