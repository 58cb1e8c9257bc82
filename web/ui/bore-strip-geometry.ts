import type { StripSegment } from '#contract/instruments.ts';

/** A segment with its place on the strip, in drawing units; `half` is half the drawn width at its two ends. */
export type PlacedSegment = StripSegment & {
  readonly x: number;
  readonly width: number;
  readonly half: readonly [number, number];
  /** The outside of the wall, and the bore cut open inside it. */
  readonly outline: string;
  readonly bore: string;
  readonly flares: boolean;
};

const STRIP_LENGTH = 940;
/** Thickness of the drawn wall. */
export const WALL = 4;
const FLARES_FROM = 1.5;
/** Long parts are drawn shorter and wide bells narrower than they are, or short parts would vanish beside them. */
const compressed = (lengthMm: number): number => lengthMm ** 0.6;
const halfWidth = (boreMm: number): number => 4.5 * Math.sqrt(boreMm);

function outlineOf(x: number, width: number, [near, far]: readonly [number, number]): string {
  const end = x + width;
  // A widening part flares like a bell: narrow for most of its way.
  if (far > near * FLARES_FROM) {
    const waist = x + width * 0.62;
    return `M${x} ${-near}C${waist} ${-near} ${end - width * 0.12} ${-near * 1.2} ${end} ${-far}V${far}C${end - width * 0.12} ${near * 1.2} ${waist} ${near} ${x} ${near}z`;
  }
  return `M${x} ${-near}L${end} ${-far}V${far}L${x} ${near}z`;
}

/** Places the segments end to end. `deepest` is the most water in one segment, g. */
export function stripGeometry(segments: readonly StripSegment[]): {
  placed: readonly PlacedSegment[];
  length: number;
  widest: number;
  deepest: number;
} {
  const total = segments.reduce((sum, { lengthMm }) => sum + compressed(lengthMm), 0);
  let x = 0;
  const placed = segments.map((segment): PlacedSegment => {
    const width = (STRIP_LENGTH * compressed(segment.lengthMm)) / Math.max(total, 1);
    const half: readonly [number, number] = [halfWidth(segment.boreMm[0] ?? 1), halfWidth(segment.boreMm[1] ?? 1)];
    const inner: readonly [number, number] = [half[0] - WALL, half[1] - WALL];
    const one = {
      ...segment,
      x,
      width,
      half,
      outline: outlineOf(x, width, half),
      bore: outlineOf(x, width, inner),
      flares: half[1] > half[0] * FLARES_FROM,
    };
    x += width;
    return one;
  });
  return {
    placed,
    length: STRIP_LENGTH,
    widest: Math.max(0, ...placed.flatMap(({ half }) => half)),
    deepest: Math.max(0, ...segments.map(({ waterGrams }) => waterGrams)),
  };
}
