import { CASED_DAMP } from '#core/book/care-ids.ts';
import type { CareFacts } from '#core/care/care-clock.ts';

/**
 * Since when an instrument stands cased damp, packed up on the way and not dried at home, wall minute; null where it does
 * not. Where that was said again before it was dried, since the first time; where it has been played since the last, it
 * is out of its case, and packing it up goes before.
 */
export function casedDampSince({
  signs,
  lastDone,
  plays,
}: Pick<CareFacts, 'signs' | 'lastDone' | 'plays'>): number | null {
  const sign = signs.get(CASED_DAMP);
  const dried = lastDone.get(CASED_DAMP)?.atWallMinute ?? -Infinity;
  const played = plays.endedAt.at(-1) ?? -Infinity;
  if (sign === undefined || sign.atWallMinute <= dried || played > sign.atWallMinute) return null;
  return (
    [...(sign.earlier ?? []), sign].map(({ atWallMinute }) => atWallMinute).find((at) => at > dried) ??
    sign.atWallMinute
  );
}
