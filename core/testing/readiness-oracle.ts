/**
 * The chance of enough concert reeds once more: every way it can come out, one reed after the other. A good one among
 * those opened makes the next one likelier to be good (an urn to which each ball drawn goes back with another of its
 * kind; Pólya 1923), which is what not knowing the share of good ones means. No function of the program.
 *
 * @param kept chances of the reeds of today to be fit on the day
 * @param opened how many are opened, counted with those under way
 */
export function chanceOfEnough(
  wanted: number,
  kept: readonly number[],
  opened: number,
  { good, bad }: { readonly good: number; readonly bad: number },
): number {
  const open = (left: number, found: number, so: { readonly good: number; readonly bad: number }): number => {
    if (left === 0) return found >= wanted ? 1 : 0;
    const share = so.good / (so.good + so.bad);
    return (
      share * open(left - 1, found + 1, { ...so, good: so.good + 1 }) +
      (1 - share) * open(left - 1, found, { ...so, bad: so.bad + 1 })
    );
  };
  const keep = (at: number, found: number): number => {
    const chance = kept[at];
    if (chance === undefined) return open(opened, found, { good, bad });
    return chance * keep(at + 1, found + 1) + (1 - chance) * keep(at + 1, found);
  };
  return keep(0, 0);
}
