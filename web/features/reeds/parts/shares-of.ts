import type { ReedId } from '#core/reeds/reed.ts';

/** Several reeds share a play evenly, or as it is said; the last has what is left. Each has a minute at the least. */
export function sharesOf(
  chosen: readonly ReedId[],
  minutesOf: Readonly<Record<string, number>>,
  minutes: number,
): { reedId: ReedId; minutes: number }[] {
  const even = Math.floor(minutes / Math.max(1, chosen.length));
  let left = minutes;
  return chosen.map((reedId, index) => {
    const after = chosen.length - index - 1;
    const share = after === 0 ? left : Math.max(1, Math.min(minutesOf[reedId] ?? even, left - after));
    left -= share;
    return { reedId, minutes: share };
  });
}
