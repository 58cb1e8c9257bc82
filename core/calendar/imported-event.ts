import type { CalendarEvent, EventOrigin } from '#core/calendar/event.ts';
import { apart } from '#core/calendar/repeated-event.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** An event of a calendar that was imported, under a key that is the same whenever it is imported. */
export type ImportedEvent = Omit<
  CalendarEvent,
  'playerId' | 'stay' | 'origin' | 'atMinute' | 'minutesOf' | 'repeats'
> & {
  /** Not said by what was taken in before it was asked. */
  readonly atMinute?: number | null;
} & Pick<EventOrigin, 'uid' | 'instance' | 'said'>;

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
 * @param typed series that were typed among them, which stand as the single events they are
 * @param imports oldest first
 * @param keyOf a key for one of a series, the same whenever it is asked for
 */
export function standingEvents(
  typed: readonly CalendarEvent[],
  imports: readonly CalendarImport[],
  { playerId, keyOf }: { readonly playerId: PlayerId; readonly keyOf: (series: string, on: LocalDate) => string },
): CalendarEvent[] {
  const last = new Map(imports.map(({ calendar, events }) => [calendar, events]));
  const series = typed.filter(({ repeats }) => repeats !== null).flatMap((event) => apart(event, keyOf));
  const own = new Map(typed.flatMap(({ origin }) => (origin === null ? [] : [[placeOf(origin), origin] as const])));
  const standing = new Set<string>();
  const read = [...last].flatMap(([calendar, events]) =>
    events.map(({ uid, instance, said, atMinute = null, ...event }): CalendarEvent => {
      const origin = { calendar, uid, instance, said, dropped: false };
      return { ...event, playerId, atMinute, minutesOf: [], repeats: null, stay: null, origin };
    }),
  );
  const named = [...series, ...read].filter(({ origin }) => {
    const place = origin && placeOf(origin);
    const mine = place === null ? undefined : own.get(place);
    if (mine === undefined || (!mine.dropped && mine.said !== origin?.said)) return true;
    if (!mine.dropped && place !== null) standing.add(place);
    return false;
  });
  const kept = typed.filter(
    ({ origin, repeats }) => repeats === null && (origin === null || standing.has(placeOf(origin))),
  );
  return [...kept, ...named].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
