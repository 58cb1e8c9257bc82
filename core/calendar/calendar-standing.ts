import { awayUntil, nextStayOn, plannedDays, type CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { PlannedDay } from '#core/plays/forecast.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What the calendar makes of an instrument on a day. */
export type CalendarStanding = {
  /** What is known of the playing of single days, by their numbers. */
  readonly planned: ReadonlyMap<number, PlannedDay>;
  /** It is at the bench until then; null where it is not. */
  readonly awayUntil: LocalDate | null;
  /** It goes to the bench on that day, which is still to come; null where none is planned. */
  readonly goesOn: LocalDate | null;
};

/** How an instrument stands in the calendar of its player on a day. */
export const calendarStanding = (
  events: readonly CalendarEvent[],
  instrumentId: InstrumentId,
  today: LocalDate,
): CalendarStanding => ({
  planned: plannedDays(events, instrumentId),
  awayUntil: awayUntil(events, instrumentId, today),
  goesOn: nextStayOn(events, instrumentId, today),
});
