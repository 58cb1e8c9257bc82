import ical, { ICalAlarmRelatesTo, ICalAlarmType, ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import type { ToldEntry } from '#core/calendar/told-entries.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';

const MS_PER_DAY = 86_400_000;
/** A day of the calendar as the library takes days: it writes the date alone. */
const dayAs = (day: LocalDate): Date => new Date(dayNumber(day) * MS_PER_DAY);
/** One is reminded at five in the afternoon of the day, s. */
const REMINDED_AFTER = 17 * 3600;

/**
 * A calendar as an iCalendar file (RFC 5545): whole days, for nobody knows the hour. A change counts the sequence of its
 * entry up; what has gone is told as cancelled.
 *
 * @param stamp when it was written, ms
 */
export function calendarFileOf(entries: readonly ToldEntry[], stamp: number): string {
  const calendar = ical({
    name: 'Ulu',
    prodId: { company: 'Ulu', product: 'Ulu' },
    method: ICalCalendarMethod.PUBLISH,
  });
  const at = new Date(stamp);
  for (const { uid, on, until, summary, description, reminds, sequence, state } of entries) {
    const isCancelled = state === 'cancelled';
    const event = calendar.createEvent({
      id: uid,
      stamp: at,
      sequence,
      status: isCancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      start: dayAs(on),
      end: dayAs(addDays(until, 1)),
      allDay: true,
      summary,
      ...(description !== '' && { description }),
    });
    if (reminds && !isCancelled)
      event
        .createAlarm({ type: ICalAlarmType.display, triggerAfter: REMINDED_AFTER, description: summary })
        // The library would count from the end, which is the day after.
        .relatesTo(ICalAlarmRelatesTo.start);
  }
  return calendar.toString();
}
