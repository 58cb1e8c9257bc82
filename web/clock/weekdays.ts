import { FORMAT } from '#web/clock/format.ts';
import { firstDayOfWeek } from '#web/session/settings.ts';

const WEEKDAYS = [0, 1, 2, 3, 4, 5, 6] as const;

/** The weekdays as whoever holds this device counts them, each with its number, Monday 0. */
export const weekdaysInOrder = (): { readonly weekday: number; readonly name: string }[] =>
  WEEKDAYS.map((at) => (at + firstDayOfWeek()) % WEEKDAYS.length).map((weekday) => ({
    weekday,
    name: FORMAT.weekday(weekday),
  }));
