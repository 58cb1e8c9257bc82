import type { UsualWeek } from '#core/plays/usual-week.ts';
import { weekdayOfDay } from '#core/time/local-date.ts';

/** A day of which more is known than its weekday: a concert, a rehearsal, a holiday, a stay at the bench. */
export type PlannedDay = {
  readonly minutes: number;
  readonly spreadMinutes: number;
  readonly plays: number;
  /** What is planned, in the player's words. */
  readonly words: string;
};

/** Why a day is foreseen as it is. */
export type DayReason =
  | { readonly rule: 'planned'; readonly words: string; readonly minutes: number }
  | {
      readonly rule: 'weekday';
      readonly weekday: number;
      readonly minutes: number;
      readonly seen: number;
      readonly anyDayMinutes: number;
    };

/** What each day to come holds. Days are day numbers. */
export type Forecast = {
  readonly week: UsualWeek;
  readonly minutesOn: (day: number) => number;
  /** Standard deviation of the day's minutes. */
  readonly spreadOn: (day: number) => number;
  readonly playsOn: (day: number) => number;
  readonly reasonOn: (day: number) => DayReason;
};

/** The forecast day by day: the usual week, but for days of which more is known. */
export function forecastDays(week: UsualWeek, planned: ReadonlyMap<number, PlannedDay> = new Map()): Forecast {
  const { meanMinutes, spreadMinutes, meanPlays, seen, anyDay } = week;
  return {
    week,
    minutesOn: (day) => planned.get(day)?.minutes ?? meanMinutes[weekdayOfDay(day)] ?? 0,
    spreadOn: (day) => planned.get(day)?.spreadMinutes ?? spreadMinutes[weekdayOfDay(day)] ?? 0,
    playsOn: (day) => planned.get(day)?.plays ?? meanPlays[weekdayOfDay(day)] ?? 0,
    reasonOn: (day) => {
      const known = planned.get(day);
      if (known) return { rule: 'planned', words: known.words, minutes: known.minutes };
      const weekday = weekdayOfDay(day);
      return {
        rule: 'weekday',
        weekday,
        minutes: meanMinutes[weekday] ?? 0,
        seen: seen[weekday] ?? 0,
        anyDayMinutes: anyDay.minutes,
      };
    },
  };
}
