import type { CareItem, Limbs } from '#core/book/care-item.ts';
import { inDays } from '#core/care/care-clock.ts';
import { firstPlayForeseen } from '#core/care/project-due.ts';
import type { Forecast } from '#core/plays/forecast.ts';

/** Further ahead nobody asks when it is due again. */
const HORIZON_DAYS = 90;

/**
 * The day an item falls due again, done on a day to come: the first on which a limb has run out under the forecast of
 * minutes and plays, counted from the day after. What comes less often than the horizon is due at its end.
 *
 * @param on number of the day it is done on
 * @returns the number of a day, later than that
 */
export function dueAgain(
  limbs: Limbs,
  on: number,
  { forecast, wornBy }: { readonly forecast: Forecast; readonly wornBy?: CareItem['wornBy'] | undefined },
): number {
  if (wornBy !== 'playing') return dueCountedFrom(limbs, on, forecast);
  // What playing wears waits for the next play, where that is later than its time would be.
  const next = firstPlayForeseen(on, forecast);
  const isPlayedBefore = next !== null && next - on < (inDays(limbs, on).days?.value ?? Infinity);
  return next === null ? on + HORIZON_DAYS : dueCountedFrom(limbs, isPlayedBefore ? on : next, forecast);
}

function dueCountedFrom(limbs: Limbs, on: number, forecast: Forecast): number {
  const { days, minutes, plays } = inDays(limbs, on);
  const most = Math.min(HORIZON_DAYS, days === undefined ? Infinity : Math.ceil(days.value));
  if (minutes === undefined && plays === undefined) return on + Math.max(1, most);
  let [playedMinutes, played] = [0, 0];
  for (let day = 1; day < most; day++) {
    playedMinutes += forecast.minutesOn(on + day);
    played += forecast.playsOn(on + day);
    if (playedMinutes >= (minutes?.value ?? Infinity) || played >= (plays?.value ?? Infinity)) return on + day;
  }
  return on + Math.max(1, most);
}
