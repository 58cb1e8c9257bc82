import { eq } from 'drizzle-orm';
import { checkEvent } from '#core/calendar/event.ts';
import type { CalendarImport, ImportedEvent } from '#core/calendar/imported-event.ts';
import { counted } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { insertRow } from '#server/db/prepared-insert.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { calendarImports } from '#server/features/calendar/calendar.table.ts';
import { misrepeatedImports, readDates, writeDates } from '#server/features/calendar/calendar-imports.repository.ts';
import { defineFact, type BodyStore, type Deciding, type Sent, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** `sent`: a digest of what was sent, by which the same is known when it is sent again. */
export type CalendarImportBody = CalendarImport & { readonly playerId: PlayerId; readonly sent: string | null };
/** What a file held, read and chosen: the route makes it of what was sent. */
export type CalendarImportRequest = Sent & CalendarImportBody;

/** Every date must be one that could be typed; the first that could not refuses the import. */
function decide(
  { playerId, calendar, events, sent }: CalendarImportRequest,
  { now }: Deciding,
  { players, instruments }: Services,
): Outcome<ToWrite<CalendarImportBody>, Failure> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const own = new Set(instruments.all().flatMap((one) => (one.playerId === playerId ? [one.id] : [])));
  for (const { uid: _uid, instance: _instance, said: _said, ...event } of events) {
    const checked = checkEvent({ ...event, playerId, stay: null, origin: null }, now.on, own);
    if (checked.ok) continue;
    const { field: _field, ...fault } = checked.failure;
    return fail(invalid('choices', fault));
  }
  return succeed({ body: { playerId, calendar, events, sent }, ...now });
}

const namedIn = (events: readonly ImportedEvent[]) => new Set(events.flatMap(({ instrumentIds }) => instrumentIds));

/** The dates of an import are kept apart from it: the next import of the calendar has most of them again. */
const store: BodyStore<CalendarImportBody> = {
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

const wordsOf = (calendar: string, dates: number): string =>
  `The calendar “${calendar}” was imported: ${counted(dates, 'date')}.`;

/** A calendar that was imported: what it says stands until it is imported again. It is taken back whole. */
export const calendarImportFact = defineFact<Services>()<CalendarImportBody, CalendarImportRequest>({
  kind: 'calendar-import',
  store,
  about: ({ playerId, events }) => [ofPlayer(playerId), ...[...namedIn(events)].map(ofInstrument)],
  words: ({ body: { calendar, events } }) => wordsOf(calendar, events.length),
  isTooLargeToList: true,
  wordsOfAll: (facts, { calendar }) => {
    const named = calendar.namesOfImports(facts.map(({ id }) => id));
    return facts.map(({ id }) => {
      const { name = '', dates = 0 } = named.get(id) ?? {};
      return wordsOf(name, dates);
    });
  },
  logged: { decide },
});
