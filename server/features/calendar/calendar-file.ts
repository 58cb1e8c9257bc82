import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { SittingsView } from '#contract/sittings.ts';

const MS_PER_DAY = 86_400_000;
/** A day of the calendar as the library takes days: it writes the date alone. */
const dayAs = (day: LocalDate): Date => new Date(dayNumber(day) * MS_PER_DAY);
/** A sitting is remembered at five in the afternoon of its day, s. */
const REMINDED_AFTER = 17 * 3600;

type Sitting = SittingsView['sittings'][number];

/** "Clarinet: oil the bore, wash the swab", a line for each instrument. */
function stepsOf({ items }: Sitting): string {
  const names = [...new Set(items.map(({ instrumentName }) => instrumentName))];
  return names
    .map((name) => {
      const mine = items.filter(({ instrumentName }) => instrumentName === name);
      return `${name}: ${mine.map((item) => item.name.toLowerCase()).join(', ')}`;
    })
    .join('\n');
}

/**
 * The weeks of a plan as an iCalendar file (RFC 5545): events and sittings as whole days, for nobody knows the hour. An
 * event is known by its key, a sitting by its player and day.
 *
 * @param stamp when it was written, ms
 */
export function calendarFileOf({ playerId, sittings, events }: SittingsView, stamp: number): string {
  const calendar = ical({
    name: 'Ulu',
    prodId: { company: 'Ulu', product: 'Ulu' },
    method: ICalCalendarMethod.PUBLISH,
  });
  const at = new Date(stamp);
  for (const { key, on, until, words } of events)
    calendar.createEvent({
      id: `${key}@ulu`,
      stamp: at,
      start: dayAs(on),
      end: dayAs(addDays(until, 1)),
      allDay: true,
      summary: words,
    });
  for (const sitting of sittings) {
    const { on, words } = sitting;
    const summary = `Care of instruments, ${words}`;
    calendar
      .createEvent({
        id: `sitting-${playerId}-${on}@ulu`,
        stamp: at,
        start: dayAs(on),
        end: dayAs(addDays(on, 1)),
        allDay: true,
        summary,
        description: stepsOf(sitting),
      })
      .createAlarm({ type: ICalAlarmType.display, triggerAfter: REMINDED_AFTER, description: summary });
  }
  return calendar.toString();
}
