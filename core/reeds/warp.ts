import type { AirRead } from '#core/air/air-record.ts';
import { WARP_BY } from '#core/reeds/reed-numbers.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** What may have bulged the back of a reed. */
export type WarpDriver =
  | { readonly rule: 'weather'; readonly before: AirRead; readonly now: AirRead }
  /** It has come to another place, or home again, since it was last played. */
  | { readonly rule: 'another-place'; readonly on: LocalDate }
  | { readonly rule: 'lain-long'; readonly on: LocalDate; readonly days: number }
  | { readonly rule: 'much-played'; readonly minutes: number; readonly days: number };

/** What is known of the air a reed has lain in. */
export type AirOfReeds = {
  /** What was read of it, in the order it was read. */
  readonly reads: readonly AirRead[];
  /** Journeys, from the day of leaving to the last day away. */
  readonly journeys: readonly { readonly on: LocalDate; readonly until: LocalDate | null }[];
};

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

/** The last day after `since` on which the player left or came home again; null where there was none. */
function movedSince(since: LocalDate, { journeys }: AirOfReeds, today: LocalDate): LocalDate | null {
  const moves = journeys.flatMap(({ on, until }) => [on, addDays(until ?? on, 1)]);
  return (
    moves
      .filter((on) => on > since && on <= today)
      .sort()
      .at(-1) ?? null
  );
}

type Change = Exclude<WarpDriver, { rule: 'much-played' }>;

/** What has changed the air a reed lies in since it was last played: read, or as good as certain. */
function changeOf(reed: ReedState, air: AirOfReeds, today: LocalDate): Change | null {
  const { lastPlayedOn } = reed;
  if (lastPlayedOn === null || lastPlayedOn === today) return null;
  const now = air.reads.findLast(({ on }) => on === today);
  const before = airThen(reed, air.reads, today);
  // What was read is known; a journey or a season is guessed from.
  if (now !== undefined && before !== null) return isAChange(before, now) ? { rule: 'weather', before, now } : null;
  const moved = movedSince(lastPlayedOn, air, today);
  if (moved !== null) return { rule: 'another-place', on: moved };
  const days = daysBetween(lastPlayedOn, today);
  return days >= WARP_BY.lainDays.value ? { rule: 'lain-long', on: lastPlayedOn, days } : null;
}

/**
 * Why the back of a single cane reed may have bulged since it was last played: a change of weather as it was read, another
 * place, or another season; much playing makes each likelier. Empty where nothing has changed, the reed is synthetic, has
 * been rubbed flat since, or was played today already.
 */
export function warpDrivers(reed: ReedState, air: AirOfReeds, today: LocalDate): WarpDriver[] {
  const change = changeOf(reed, air, today);
  if (reed.box.material !== 'cane' || change === null) return [];
  // Rubbed flat today, or since the air has been what it is.
  const flatFrom = change.rule === 'weather' ? today : change.on;
  if (reed.flattenedOn !== null && reed.flattenedOn >= flatFrom) return [];
  const { days, minutes } = WARP_BY.muchPlayed;
  const since = addDays(today, -days.value);
  const played = reed.days.filter(({ on }) => on >= since).reduce((sum, one) => sum + one.minutes, 0);
  return [
    change,
    ...(played >= minutes.value ? [{ rule: 'much-played', minutes: played, days: days.value } as const] : []),
  ];
}
