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
  /** Where it lies across the strip: side tubes stand above the main line. */
  readonly lift: number;
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

/** Space between the main line and a side tube, and between side tubes, in drawing units. */
const SIDE_GAP = 30;
/** Where along the sack its side tubes leave. */
const SIDE_ROOT = 0.78;

/** A sack: round at both ends. */
const sackOf = (x: number, width: number, half: number): string => {
  const bend = Math.min(width / 3, half * 1.6);
  return `M${x} ${-half * 0.4}C${x} ${-half} ${x + bend * 0.4} ${-half} ${x + bend} ${-half}H${x + width - bend}C${x + width - bend * 0.4} ${-half} ${x + width} ${-half} ${x + width} ${-half * 0.4}V${half * 0.4}C${x + width} ${half} ${x + width - bend * 0.4} ${half} ${x + width - bend} ${half}H${x + bend}C${x + bend * 0.4} ${half} ${x} ${half} ${x} ${half * 0.4}z`;
};

function place(segment: StripSegment, x: number, width: number, lift: number): PlacedSegment {
  const sack = segment.form === 'sack';
  const drawn = (boreMm: number) => (sack ? 24 : halfWidth(boreMm));
  const half: readonly [number, number] = [drawn(segment.boreMm[0] ?? 1), drawn(segment.boreMm[1] ?? 1)];
  const inner: readonly [number, number] = [half[0] - WALL, half[1] - WALL];
  return {
    ...segment,
    x,
    width,
    half,
    lift,
    outline: sack ? sackOf(x, width, half[0]) : outlineOf(x, width, half),
    bore: sack ? sackOf(x + WALL, width - 2 * WALL, inner[0]) : outlineOf(x, width, inner),
    flares: half[1] > half[0] * FLARES_FROM,
  };
}

/**
 * Places the segments end to end; side tubes (drones) stand above the one they leave from, over the end of the strip.
 * `deepest` is the most water in one segment, g.
 */
export function stripGeometry(segments: readonly StripSegment[]): {
  placed: readonly PlacedSegment[];
  length: number;
  widest: number;
  deepest: number;
  /** How far side tubes reach above the main line. */
  above: number;
} {
  const main = segments.filter(({ form }) => form !== 'side');
  const side = segments.filter(({ form }) => form === 'side');
  const total = main.reduce((sum, { lengthMm }) => sum + compressed(lengthMm), 0);
  const widthOf = ({ lengthMm }: StripSegment) => (STRIP_LENGTH * compressed(lengthMm)) / Math.max(total, 1);
  let x = 0;
  const inLine = main.map((segment): PlacedSegment => {
    const one = place(segment, x, widthOf(segment), 0);
    x += one.width;
    return one;
  });
  const root = inLine.find(({ form }) => form === 'sack') ?? inLine[0];
  const standing = side.map((segment, index): PlacedSegment => {
    const width = Math.min(widthOf(segment), STRIP_LENGTH - (root?.x ?? 0) - (root?.width ?? 0) * SIDE_ROOT);
    return place(segment, (root?.x ?? 0) + (root?.width ?? 0) * SIDE_ROOT, width, -(SIDE_GAP * (index + 1) + 18));
  });
  return {
    placed: [...inLine, ...standing],
    length: STRIP_LENGTH,
    widest: Math.max(0, ...inLine.flatMap(({ half }) => half)),
    deepest: Math.max(0, ...segments.map(({ waterGrams }) => waterGrams)),
    above: side.length === 0 ? 0 : SIDE_GAP * side.length + 34,
  };
}
