import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { PlannedDay } from '#core/plays/forecast.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** What can be entered; rehearsals, holidays and stays at the bench come with the calendar. */
export const EVENT_KINDS = ['concert'] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

export const LEAST_EVENT_MINUTES = 1;
export const MOST_EVENT_MINUTES = 600;
/** Nobody plans further ahead, or looks further back. */
const FURTHEST_DAYS = 730;

/** A day of which more is known than its weekday, for the instruments it names. */
export type CalendarEvent = {
  readonly key: string;
  readonly playerId: PlayerId;
  readonly what: EventKind;
  readonly on: LocalDate;
  /** Playing in it, on each of the instruments. */
  readonly minutes: number;
  readonly name: string | null;
  readonly instrumentIds: readonly InstrumentId[];
};

export type EventFault =
  | { readonly code: 'event-too-far'; readonly field: 'on' }
  | { readonly code: 'event-of-nothing'; readonly field: 'instrumentIds' }
  | { readonly code: 'event-on-anothers'; readonly field: 'instrumentIds' };

/** May this event be written down? Within two years, for instruments of its player, each once. */
export function checkEvent(
  event: Omit<CalendarEvent, 'key'>,
  today: LocalDate,
  own: ReadonlySet<InstrumentId>,
): Outcome<Omit<CalendarEvent, 'key'>, EventFault> {
  const { on, instrumentIds } = event;
  if (on > addDays(today, FURTHEST_DAYS) || on < addDays(today, -FURTHEST_DAYS))
    return fail({ code: 'event-too-far', field: 'on' });
  if (instrumentIds.length === 0) return fail({ code: 'event-of-nothing', field: 'instrumentIds' });
  return instrumentIds.every((id, index) => own.has(id) && instrumentIds.indexOf(id) === index)
    ? succeed(event)
    : fail({ code: 'event-on-anothers', field: 'instrumentIds' });
}

const EVENT_WORDS: Readonly<Record<EventKind, string>> = { concert: 'a concert' };
/** "a concert", or what the player calls it. */
export const eventWords = ({ what, name }: Pick<CalendarEvent, 'what' | 'name'>): string => name ?? EVENT_WORDS[what];

/**
 * What events make of the days of an instrument: their minutes stand for the usual ones of that day; of several on one
 * day, all of them together.
 */
export function plannedDays(
  events: readonly CalendarEvent[],
  instrumentId: InstrumentId,
): ReadonlyMap<number, PlannedDay> {
  const days = new Map<number, PlannedDay>();
  for (const event of events) {
    if (!event.instrumentIds.includes(instrumentId)) continue;
    const day = dayNumber(event.on);
    const before = days.get(day);
    days.set(day, {
      minutes: (before?.minutes ?? 0) + event.minutes,
      spreadMinutes: 0,
      plays: (before?.plays ?? 0) + 1,
      words: before === undefined ? eventWords(event) : `${before.words} and ${eventWords(event)}`,
    });
  }
  return days;
}
