import type { CareItemId } from '#core/book/care-ids.ts';
import type { LastDone } from '#core/care/care-clock.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';

/**
 * When each item was last done, with what the bench did in its stays: before whatever was played on the day the
 * instrument came back.
 */
export function withBench(
  lastDone: ReadonlyMap<CareItemId, LastDone>,
  atBench: ReadonlyMap<CareItemId, LocalDate>,
): ReadonlyMap<CareItemId, LastDone> {
  if (atBench.size === 0) return lastDone;
  const both = new Map(lastDone);
  for (const [id, on] of atBench) {
    const atWallMinute = dayNumber(on) * MINUTES_PER_DAY;
    if ((both.get(id)?.atWallMinute ?? -Infinity) < atWallMinute) both.set(id, { atWallMinute, by: 'bench' });
  }
  return both;
}
