import type { AirRead } from '#core/air/air-record.ts';
import { WARP_BY } from '#core/reeds/reed-numbers.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** What may have bulged the back of a reed. */
export type WarpDriver =
  | { readonly rule: 'weather'; readonly before: AirRead; readonly now: AirRead }
  | { readonly rule: 'much-played'; readonly minutes: number; readonly days: number };

/** Two readings far enough apart that cane feels it. */
const isAChange = (before: AirRead, now: AirRead): boolean =>
  Math.abs(now.humidityPercent - before.humidityPercent) >= WARP_BY.humidityPercent.value ||
  Math.abs(now.celsius - before.celsius) >= WARP_BY.celsius.value;

/** The air when it was last played, as it was read then or last before. */
function airThen({ lastPlayedOn }: ReedState, reads: readonly AirRead[], today: LocalDate): AirRead | null {
  const oldest = addDays(today, -WARP_BY.oldestDays.value);
  if (lastPlayedOn === null || lastPlayedOn === today) return null;
  return reads.findLast(({ on }) => on <= lastPlayedOn && on >= oldest) ?? null;
}

/**
 * Why the back of a single cane reed may have bulged since it was last played: a change of weather, which much playing
 * makes likelier. Empty where no change was read, the reed is synthetic, has been rubbed flat since, or was played today
 * already.
 *
 * @param reads what was read of the air, in the order it was read
 */
export function warpDrivers(reed: ReedState, reads: readonly AirRead[], today: LocalDate): WarpDriver[] {
  const now = reads.findLast(({ on }) => on === today);
  const before = airThen(reed, reads, today);
  if (reed.box.material !== 'cane' || now === undefined || before === null || !isAChange(before, now)) return [];
  if (reed.flattenedOn === today) return [];
  const { days, minutes } = WARP_BY.muchPlayed;
  const since = addDays(today, -days.value);
  const played = reed.days.filter(({ on }) => on >= since).reduce((sum, one) => sum + one.minutes, 0);
  return [
    { rule: 'weather', before, now },
    ...(played >= minutes.value ? [{ rule: 'much-played', minutes: played, days: days.value } as const] : []),
  ];
}
