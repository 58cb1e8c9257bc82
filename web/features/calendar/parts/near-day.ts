import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { FORMAT } from '#web/clock/format.ts';

/** Today, tomorrow, or the day by name. */
export function nearDay(on: LocalDate, today: LocalDate): string {
  if (on === today) return 'Today';
  return on === addDays(today, 1) ? 'Tomorrow' : FORMAT.weekdayDate(on);
}
