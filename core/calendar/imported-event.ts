import type { CalendarEvent, EventOrigin } from '#core/calendar/event.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';

/** An event of a calendar that was imported, under a key that is the same whenever it is imported. */
export type ImportedEvent = Omit<CalendarEvent, 'playerId' | 'stay' | 'origin'> &
  Pick<EventOrigin, 'uid' | 'instance' | 'said'>;

/** One import: the calendar's name, and what was taken from it. */
export type CalendarImport = { readonly calendar: string; readonly events: readonly ImportedEvent[] };

/** An import as it stands in the record; `sent` is what was sent, in short, where it was kept. */
export type ImportOfCalendar = CalendarImport & { readonly playerId: PlayerId; readonly sent: string | null };

const placeOf = ({ calendar, uid, instance }: Pick<EventOrigin, 'calendar' | 'uid' | 'instance'>): string =>
  JSON.stringify([calendar, uid, instance]);

/**
 * The events that stand: what was typed, and what the last import of each calendar says. What the player has put right
 * of an imported event stands until the calendar itself changes it; what they have dropped stays dropped.
 *
 * @param imports oldest first
 */
export function standingEvents(
  typed: readonly CalendarEvent[],
  imports: readonly CalendarImport[],
  playerId: PlayerId,
): CalendarEvent[] {
  const last = new Map(imports.map(({ calendar, events }) => [calendar, events]));
  const own = new Map(typed.flatMap(({ origin }) => (origin === null ? [] : [[placeOf(origin), origin] as const])));
  const standing = new Set<string>();
  const imported = [...last].flatMap(([calendar, events]) =>
    events.flatMap(({ uid, instance, said, ...event }): CalendarEvent[] => {
      const place = placeOf({ calendar, uid, instance });
      const mine = own.get(place);
      if (mine !== undefined && (mine.dropped || mine.said === said)) {
        if (!mine.dropped) standing.add(place);
        return [];
      }
      return [{ ...event, playerId, stay: null, origin: { calendar, uid, instance, said, dropped: false } }];
    }),
  );
  const kept = typed.filter(({ origin }) => origin === null || standing.has(placeOf(origin)));
  return [...kept, ...imported].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
