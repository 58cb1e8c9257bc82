import ical, {
  ICalAlarmRelatesTo,
  ICalAlarmType,
  ICalCalendarMethod,
  ICalEventStatus,
  ICalEventTransparency,
  type ICalEventData,
} from 'ical-generator';
import type { ToldEntry } from '#core/calendar/told-entries.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';

const MS_PER_DAY = 86_400_000;
const MS_PER_MINUTE = 60_000;
/** A day of the calendar as the library takes days: it writes the date alone. */
const dayAs = (day: LocalDate): Date => new Date(dayNumber(day) * MS_PER_DAY);
/** Of a whole day one is reminded at five in the afternoon, of a time when it begins, s. */
const REMINDED_AFTER = 17 * 3600;
/** How often a calendar program need ask again, s: nothing is planned anew more often than by the day. */
const ASK_AGAIN = 6 * 3600;

/** What of a calendar is wanted. */
export type Wanted = {
  /** What came in from other calendars, too. */
  readonly imported: boolean;
  readonly alarms: boolean;
};

type Calendar = ReturnType<typeof ical>;

/** Whole days take no time from anybody; a time of a day is one's own. The hour is that of the clock where it is read. */
function timesOf({ on, until, hour }: ToldEntry): ICalEventData {
  if (hour === null)
    return {
      start: dayAs(on),
      end: dayAs(addDays(until, 1)),
      allDay: true,
      transparency: ICalEventTransparency.TRANSPARENT,
    };
  const start = new Date(dayNumber(on) * MS_PER_DAY + hour.atMinute * MS_PER_MINUTE);
  const end = new Date(start.getTime() + hour.minutes * MS_PER_MINUTE);
  return { start, end, floating: true, timezone: 'UTC', transparency: ICalEventTransparency.OPAQUE };
}

function addEntry(calendar: Calendar, entry: ToldEntry, { alarms }: Wanted): void {
  const { uid, hour, summary, description, reminds, sequence, state, changedMs } = entry;
  const isCancelled = state === 'cancelled';
  const changed = new Date(changedMs);
  const event = calendar.createEvent({
    id: uid,
    stamp: changed,
    lastModified: changed,
    sequence,
    status: isCancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    ...timesOf(entry),
    summary,
    ...(description !== '' && { description }),
  });
  if (!reminds || isCancelled || !alarms) return;
  const triggerAfter = hour === null ? REMINDED_AFTER : 0;
  event
    .createAlarm({ type: ICalAlarmType.display, triggerAfter, description: summary })
    // The library would count from the end, which is the day after.
    .relatesTo(ICalAlarmRelatesTo.start);
}

/**
 * A calendar as an iCalendar file (RFC 5545). A change counts the sequence of its entry up, and is its stamp: the same
 * calendar is the same file whenever it is asked for. What has gone is told as cancelled.
 */
export function calendarFileOf(entries: readonly ToldEntry[], wanted: Wanted): string {
  const calendar = ical({
    name: 'Ulu',
    prodId: { company: 'Ulu', product: 'Ulu' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: ASK_AGAIN,
  });
  for (const entry of entries) if (!entry.isImported || wanted.imported) addEntry(calendar, entry, wanted);
  // The last line ends, too (RFC 5545, 3.1).
  return `${calendar.toString()}\r\n`;
}
