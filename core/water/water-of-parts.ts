import type { PartId, TubePart, WaterRow } from '#core/instruments/kind.ts';

/** Wetted inside of a part, mm²: the wall of a tube as wide as its two ends on average. */
const wall = ({ lengthMm, boreMm: [from, to] }: TubePart): number => (lengthMm * Math.PI * (from + to)) / 2;

const shareOf = (tube: readonly TubePart[], isIn: (part: TubePart) => boolean, of: (part: TubePart) => number) => {
  const all = tube.reduce((sum, part) => sum + of(part), 0);
  return all === 0 ? 0 : tube.filter(isIn).reduce((sum, part) => sum + of(part), 0) / all;
};

/**
 * The water of parts that are played by themselves (an estimate): of what is blown in they keep what gathers in them when
 * the whole is played, the rest goes out at their open end; the wall that is to be dried is theirs alone.
 */
export function waterOfParts(water: WaterRow, tube: readonly TubePart[], parts: ReadonlySet<PartId>): WaterRow {
  const isIn = ({ id }: TubePart) => parts.has(id);
  return {
    ...water,
    keptShare: water.keptShare * shareOf(tube, isIn, ({ waterShare }) => waterShare),
    wettedBoreSquareMetres: water.wettedBoreSquareMetres * shareOf(tube, isIn, wall),
  };
}
