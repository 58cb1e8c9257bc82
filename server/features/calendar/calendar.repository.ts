import { and, asc, desc, eq, ne, sql } from 'drizzle-orm';
import { usualBench, type BenchTerms } from '#core/bench/bench-terms.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import { standingEvents } from '#core/calendar/imported-event.ts';
import type { ToldEntry } from '#core/calendar/told-entries.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { keyFrom } from '#server/key-from.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { SittingPin } from '#core/sittings/sitting-pin.ts';
import type { Db } from '#server/db/connection.ts';
import {
  benchTerms,
  events,
  feeds,
  shownSittings,
  sittingMoves,
  sittingTimes,
  toldCalendars,
} from '#server/features/calendar/calendar.table.ts';
import { createCalendarImports } from '#server/features/calendar/calendar-imports.repository.ts';
import { readSittings, writtenSittings, type StoredSittings } from '#server/features/calendar/stored-sittings.ts';
import { readToldEntries, writtenToldEntries } from '#server/features/calendar/told-calendar.ts';
import { counting, knownKey, original } from '#server/record/counting.repository.ts';
import { facts } from '#server/record/record.table.ts';

const ofPlayer = sql.placeholder('playerId');

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

/** The key of one of a typed series: the same whenever it is asked for. */
const keyInSeries = (series: string, on: LocalDate): string => keyFrom([series, on]);

export function createCalendarRepository(db: Db) {
  const imports = createCalendarImports(db);
  const all = counting(db, events, { event: events })
    .where(eq(events.playerId, ofPlayer))
    .orderBy(asc(events.on), asc(events.factId))
    .prepare();
  const time = counting(db, sittingTimes, { minutes: sittingTimes.minutes, startsAt: sittingTimes.startsAt })
    .where(eq(sittingTimes.playerId, ofPlayer))
    .orderBy(desc(facts.id))
    .limit(1)
    .prepare();
  const paid = lastPaid(db);
  const terms = counting(db, benchTerms, { terms: benchTerms.terms })
    .where(eq(benchTerms.playerId, ofPlayer))
    .orderBy(desc(facts.id))
    .limit(1)
    .prepare();
  const moves = counting(db, sittingMoves, { pins: sittingMoves.pins })
    .where(eq(sittingMoves.playerId, ofPlayer))
    .orderBy(asc(facts.id))
    .prepare();
  const shown = db
    .select({ plan: shownSittings.plan })
    .from(shownSittings)
    .where(eq(shownSittings.playerId, ofPlayer))
    .prepare();
  const typedOf = (playerId: string): CalendarEvent[] =>
    all.all({ playerId }).map(({ key, event: { factId: _factId, minutesOf, ...event } }) => ({
      key,
      ...event,
      minutesOf: minutesOf ?? [],
    }));
  return {
    ...imports,

    /** Minutes a player has by weekday, Monday first; null where nobody has said. */
    timeOf: (playerId: string): readonly number[] | null => time.get({ playerId })?.minutes ?? null,

    /** The minute of the day at which a player begins, by weekday; null where nobody has said. */
    startsOf: (playerId: string): readonly (number | null)[] | null => time.get({ playerId })?.startsAt ?? null,

    /** The events of a player, typed and imported, earliest first. */
    of: (playerId: PlayerId): CalendarEvent[] =>
      standingEvents(typedOf(playerId), imports.imports(playerId), { playerId, keyOf: keyInSeries }),

    /** What was typed, also what stands in the place of an imported event, or drops it. */
    typed: typedOf,

    /** Days the player has set for sittings, oldest first. */
    pinsOf: (playerId: string): SittingPin[] => moves.all({ playerId }).flatMap(({ pins }) => pins),

    /** The bench a player goes to, and whether they have said so. */
    benchOf: (playerId: string): BenchTerms & { readonly said: boolean } => {
      const row = terms.get({ playerId });
      // Terms of before it was asked where the bench is say nothing of it.
      return { ...usualBench, ...row?.terms, said: row !== undefined };
    },

    /** The currency stays at the bench were paid in, but for this one; null where none says what it cost. */
    currencyOfStays: (without = ''): string | null => paid.get({ without })?.currency ?? null,

    /** The sittings a player was last shown; undefined where there are none, or they cannot be read any more. */
    shownTo: (playerId: string): StoredSittings | undefined => {
      const row = shown.get({ playerId });
      return row && readSittings(row.plan);
    },

    /** Keeps the sittings a player is shown. */
    show: (playerId: PlayerId, sittings: StoredSittings): void => {
      const plan = writtenSittings(sittings);
      db.insert(shownSittings)
        .values({ playerId, plan })
        .onConflictDoUpdate({ target: shownSittings.playerId, set: { plan } })
        .run();
    },

    /** What calendar programs have been told of a player's calendar. */
    toldTo: (playerId: PlayerId): ToldEntry[] => {
      const row = db.select().from(toldCalendars).where(eq(toldCalendars.playerId, playerId)).get();
      return row === undefined ? [] : readToldEntries(row.entries);
    },

    /** Keeps what they are told. */
    tell: (playerId: PlayerId, told: readonly ToldEntry[]): void => {
      const entries = writtenToldEntries(told);
      db.insert(toldCalendars)
        .values({ playerId, entries })
        .onConflictDoUpdate({ target: toldCalendars.playerId, set: { entries } })
        .run();
    },

    /** The secret of a player's calendar address; null before there is one. */
    secretOf: (playerId: string): string | null =>
      db
        .select({ secret: feeds.secret })
        .from(feeds)
        .where(eq(feeds.playerId, playerId as PlayerId))
        .get()?.secret ?? null,

    /** Ends a player's calendar address; it is forgotten. */
    endSecret: (playerId: PlayerId): void => {
      db.delete(feeds).where(eq(feeds.playerId, playerId)).run();
    },

    /** Gives a player's calendar a new address; the old one is forgotten. */
    renewSecret: (playerId: PlayerId, secret: string): void => {
      db.insert(feeds)
        .values({ playerId, secret })
        .onConflictDoUpdate({ target: feeds.playerId, set: { secret } })
        .run();
    },

    /** Whose calendar has this address. */
    playerOfSecret: (secret: string): PlayerId | undefined =>
      db.select({ playerId: feeds.playerId }).from(feeds).where(eq(feeds.secret, secret)).get()?.playerId,
  };
}
export type CalendarRepository = ReturnType<typeof createCalendarRepository>;
