import { checkEvent } from '#core/calendar/event.ts';
import type { ImportOfCalendar } from '#core/calendar/imported-event.ts';
import { counted } from '#core/explain/format.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { calendarImportFact } from '#contract/calendar-in.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { importStore } from '#server/features/calendar/calendar-imports.repository.ts';
import { defineFact, type Deciding, type Sent, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** What a file held, read and chosen: the route makes it of what was sent. */
export type CalendarImportRequest = Sent & ImportOfCalendar;

/** Every date must be one that could be typed; the first that could not refuses the import. */
function decide(
  { playerId, calendar, events, sent }: CalendarImportRequest,
  { now }: Deciding,
  { players, instruments }: Services,
): Outcome<ToWrite<ImportOfCalendar>, Failure> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const own = new Set(instruments.ofPlayer(playerId).map(({ id }) => id));
  for (const { uid: _uid, instance: _instance, said: _said, atMinute = null, ...event } of events) {
    const whole = { ...event, playerId, atMinute, minutesOf: [], repeats: null, stay: null, origin: null };
    const checked = checkEvent(whole, now.on, own);
    if (checked.ok) continue;
    const { field: _field, ...refusal } = checked.failure;
    return fail(invalid('choices', refusal));
  }
  return succeed({ body: { playerId, calendar, events, sent }, ...now });
}

const wordsOf = (calendar: string, dates: number): string =>
  `The calendar “${calendar}” was imported: ${counted(dates, 'date')}.`;

/** A calendar that was imported: what it says stands until it is imported again. It is taken back whole. */
export const calendarImportDefinition = defineFact<Services, never, CalendarImportRequest>()(calendarImportFact, {
  staysBehind: () => true,
  store: importStore,
  words: ({ body: { calendar, events } }) => wordsOf(calendar, events.length),
  isTooLargeToList: true,
  wordsOfAll: (facts, { calendar }) => {
    const named = calendar.namesOfImports(facts.map(({ id }) => id));
    return facts.map(({ id }) => {
      const { name = '', dates = 0 } = named.get(id) ?? {};
      return wordsOf(name, dates);
    });
  },
  hasOwnRoute: true,
  decide,
});
