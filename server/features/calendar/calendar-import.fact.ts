import { checkEvent } from '#core/calendar/event.ts';
import type { ImportedEvent } from '#core/calendar/imported-event.ts';
import { counted } from '#core/explain/format.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { importStore, type CalendarImportBody } from '#server/features/calendar/calendar-imports.repository.ts';
import { defineFact, type Deciding, type Sent, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

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

const wordsOf = (calendar: string, dates: number): string =>
  `The calendar “${calendar}” was imported: ${counted(dates, 'date')}.`;

/** A calendar that was imported: what it says stands until it is imported again. It is taken back whole. */
export const calendarImportFact = defineFact<Services>()<CalendarImportBody, CalendarImportRequest>({
  kind: 'calendar-import',
  store: importStore,
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
