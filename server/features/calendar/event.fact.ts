import { checkEvent, eventWords, type CalendarEvent } from '#core/calendar/event.ts';
import { duration } from '#core/explain/format.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { calendarPaths, eventRequest, type EventRequest } from '#contract/calendar.ts';
import { invalid, notFound } from '#server/failure.ts';
import { events } from '#server/features/calendar/calendar.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type EventBody = Omit<CalendarEvent, 'key'>;

/** A day of which more is known than its weekday; it moves whatever is foreseen for the instruments it names. */
export const eventFact = defineFact<Services>()<EventBody, EventRequest>({
  kind: 'event',
  store: bodyTable(events, { toRow: (event) => event, fromRow: ({ factId: _factId, ...event }) => event }),
  about: ({ playerId, instrumentIds }) => [ofPlayer(playerId), ...instrumentIds.map(ofInstrument)],
  words: ({ body }, { format }) => {
    const { on, until, minutes } = body;
    const days = until === null || until === on ? format.date(on) : `${format.date(on)} to ${format.date(until)}`;
    return `${days}: ${eventWords(body)}${minutes === null ? '' : `, ${duration(minutes)}`}.`;
  },
  logged: {
    path: calendarPaths.events,
    request: eventRequest,
    correctable: true,
    decide: ({ key: _key, now: _now, corrects: _corrects, ...event }, { now }, { players, instruments }) => {
      const player = players.find(event.playerId);
      if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
      const own = new Set(instruments.all().flatMap((one) => (one.playerId === player.id ? [one.id] : [])));
      const checked = checkEvent(event, now.on, own);
      if (checked.ok) return succeed({ body: checked.value, ...now });
      const { field, ...fault } = checked.failure;
      return fail(invalid(field, fault));
    },
  },
});
