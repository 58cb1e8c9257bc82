/** A day as far as a bound asks: minutes it has beside what is set, what a sitting on it costs more, and who may be there. */
export type BoundedDay = {
  readonly room: number;
  readonly opens: number;
  readonly who: readonly { readonly minutes: number; /** Its place among all worths. */ readonly slot: number }[];
};

/**
 * The things of a day that are worth most together and fit it: a knapsack over whole minutes, exact.
 * O(things × minutes), and only O(things) where all that are worth anything fit.
 *
 * @param held is set to 1 for what is taken; the rest is left as it is
 * @returns what they are worth
 */
export function fullestDay({ room, who }: BoundedDay, worth: Float64Array, held: Uint8Array): number {
  const wanted = who.filter(({ slot }) => (worth[slot] ?? 0) > 0);
  if (wanted.reduce((sum, { minutes }) => sum + minutes, 0) <= room) {
    for (const { slot } of wanted) held[slot] = 1;
    return wanted.reduce((sum, { slot }) => sum + (worth[slot] ?? 0), 0);
  }
  const value = new Float64Array(room + 1);
  const took = wanted.map(({ minutes, slot }) => {
    const mine = new Uint8Array(room + 1);
    for (let left = room; left >= minutes; left--) {
      const withIt = (value[left - minutes] ?? 0) + (worth[slot] ?? 0);
      if (withIt <= (value[left] ?? 0)) continue;
      value[left] = withIt;
      mine[left] = 1;
    }
    return mine;
  });
  let left = room;
  wanted.toReversed().forEach(({ minutes, slot }, back) => {
    if (took[wanted.length - 1 - back]?.[left] !== 1) return;
    held[slot] = 1;
    left -= minutes;
  });
  return value[room] ?? 0;
}
