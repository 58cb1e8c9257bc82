import { forecastDays, type Forecast, type PlannedDay } from '#core/plays/forecast.ts';
import { usualWeek } from '#core/plays/usual-week.ts';
import type { PlayColumns } from '#core/plays/play-columns.ts';
import { usualPlayMinutes } from '#core/plays/usual-play.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** What the plays of an instrument let foresee. */
export type PlaysStanding = {
  readonly forecast: Forecast;
  /** Minutes offered when somebody says they have just played. */
  readonly usualMinutes: number;
};

/**
 * @param today the player's today, which is not over and not read
 * @param planned days of which more is known than their weekday
 */
export const playsStanding = (
  plays: PlayColumns,
  today: LocalDate,
  planned?: ReadonlyMap<number, PlannedDay>,
): PlaysStanding => ({
  forecast: forecastDays(usualWeek(plays, dayNumber(today)), planned),
  usualMinutes: usualPlayMinutes(plays),
});
