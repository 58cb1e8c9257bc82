/**
 * A double reed as it is drawn at the table, 120 wide and 200 high: from the flat side, from the edge, and from the front
 * into its tip. Drawn by hand; no figure of it is measured.
 */
import type { ReactNode } from 'react';

export const CANE = 'var(--ulu-palette-cane-main)';
export const INK = 'var(--ulu-palette-text-primary)';
export const PAPER = 'var(--ulu-palette-background-paper)';
/** Dark and pale by day and by night: what stands before a lamp does not turn with the theme. */
export const SHADE = 'var(--ulu-palette-frame-main)';
export const PALE = 'var(--ulu-palette-frame-text)';
export const WATER = 'var(--ulu-palette-water-main)';

export type Shape = 'oboe' | 'bassoon';

/** Half the width at the tip, at the heart and where the thread begins. */
const HALF: Readonly<Record<Shape, { readonly tip: number; readonly heart: number; readonly thread: number }>> = {
  oboe: { tip: 21, heart: 17, thread: 11 },
  bassoon: { tip: 38, heart: 31, thread: 18 },
};
const MIDDLE = 60;
const TIP = 14;
const THREAD = 118;
const END = 190;

/** The outline of its blade; a corner that is gone is left out on the right. */
function bladePath(shape: Shape, cornerGone: boolean): string {
  const { tip, heart, thread } = HALF[shape];
  const right = MIDDLE + tip;
  const corner = cornerGone
    ? `L${right - 13} ${TIP} L${right - 10} ${TIP + 9} L${right - 4} ${TIP + 11} L${right - 1} ${TIP + 20}`
    : `L${right} ${TIP}`;
  return [
    `M${MIDDLE - tip} ${TIP}`,
    corner,
    `Q${MIDDLE + heart} ${TIP + 60} ${MIDDLE + thread} ${THREAD}`,
    `L${MIDDLE - thread} ${THREAD}`,
    `Q${MIDDLE - heart} ${TIP + 60} ${MIDDLE - tip} ${TIP}Z`,
  ].join(' ');
}

/** What lies below the blade: thread and staple, or the tube with its wires. */
function Foot({ shape }: { readonly shape: Shape }) {
  const { thread } = HALF[shape];
  if (shape === 'oboe')
    return (
      <>
        <path d={`M${MIDDLE - thread} ${THREAD}h${2 * thread}l-2 40h${-2 * thread + 4}z`} fill={INK} opacity={0.75} />
        <path
          d={`M${MIDDLE - 9} ${THREAD + 40}h18l1 ${END - THREAD - 40}h-20z`}
          fill={PAPER}
          stroke={INK}
          strokeWidth={2}
        />
      </>
    );
  return (
    <>
      <path
        d={`M${MIDDLE - thread} ${THREAD}h${2 * thread}l-4 ${END - THREAD}h${-2 * thread + 8}z`}
        fill={CANE}
        stroke={INK}
        strokeWidth={2}
      />
      {[THREAD + 4, THREAD + 24].map((y) => (
        <path key={y} d={`M${MIDDLE - thread - 2} ${y}h${2 * thread + 4}`} stroke={INK} strokeWidth={4} />
      ))}
      <path d={`M${MIDDLE - 16} ${THREAD + 46}h32l-1 14h-30z`} fill={INK} opacity={0.75} />
    </>
  );
}

export type FlatProps = {
  readonly shape: Shape;
  readonly cornerGone?: boolean;
  readonly noHeart?: boolean;
  readonly cracked?: boolean;
  readonly children?: ReactNode;
};

/** From its flat side, with light behind it: the tip pale, the heart a darker patch. */
export function FlatReed({ shape, cornerGone = false, noHeart = false, cracked = false, children }: FlatProps) {
  const { tip, heart } = HALF[shape];
  return (
    <>
      <Foot shape={shape} />
      <path d={bladePath(shape, cornerGone)} fill={CANE} stroke={INK} strokeWidth={2.5} strokeLinejoin="round" />
      <path
        d={`M${MIDDLE - tip + 5} ${TIP + 4}h${2 * tip - 10 - (cornerGone ? 10 : 0)}l-8 22h${-2 * tip + 26 + (cornerGone ? 10 : 0)}z`}
        fill={PALE}
        opacity={0.7}
      />
      {!noHeart && <ellipse cx={MIDDLE} cy={TIP + 55} rx={heart - 6} ry={20} fill={SHADE} opacity={0.45} />}
      {cracked &&
        [
          { ink: SHADE, width: 7 },
          { ink: PALE, width: 3 },
        ].map(({ ink, width }) => (
          <path
            key={width}
            d={`M${MIDDLE + tip / 3} ${TIP} l-2 26 l3 22 l-2 28`}
            fill="none"
            stroke={ink}
            strokeWidth={width}
            strokeLinecap="round"
          />
        ))}
      {children}
    </>
  );
}

/** From its edge: two blades that lie together at the tip. */
export function EdgeReed({ shape, children }: { readonly shape: Shape; readonly children?: ReactNode }) {
  const foot = shape === 'oboe' ? 9 : 15;
  return (
    <>
      <path
        d={`M${MIDDLE} ${TIP} Q${MIDDLE - 7} ${TIP + 60} ${MIDDLE - foot} ${THREAD} L${MIDDLE} ${THREAD}Z`}
        fill={CANE}
        stroke={INK}
        strokeWidth={2}
      />
      <path
        d={`M${MIDDLE} ${TIP} Q${MIDDLE + 7} ${TIP + 60} ${MIDDLE + foot} ${THREAD} L${MIDDLE} ${THREAD}Z`}
        fill={CANE}
        stroke={INK}
        strokeWidth={2}
      />
      <path d={`M${MIDDLE - foot} ${THREAD}h${2 * foot}v40h${-2 * foot}z`} fill={INK} opacity={0.75} />
      <path
        d={`M${MIDDLE - foot + 1} ${THREAD + 40}h${2 * foot - 2}v32h${-2 * foot + 2}z`}
        fill={PAPER}
        stroke={INK}
        strokeWidth={2}
      />
      {children}
    </>
  );
}

/** From the front into its tip: two arcs with the opening between them, so high; `aside` shifts the lower one. */
export function TipReed({
  shape,
  opening,
  aside = 0,
  children,
}: {
  readonly shape: Shape;
  readonly opening: number;
  readonly aside?: number;
  readonly children?: ReactNode;
}) {
  const half = shape === 'oboe' ? 44 : 52;
  const [left, right] = [MIDDLE - half, MIDDLE + half];
  const y = 100;
  const arc = (way: number, at: number) =>
    `M${left + at} ${y + way} Q${MIDDLE + at} ${y + way * (1 + opening)} ${right + at} ${y + way}`;
  return (
    <>
      {opening > 2 && (
        <path
          d={`M${left} ${y} Q${MIDDLE} ${y - opening} ${right} ${y} Q${MIDDLE} ${y + opening} ${left} ${y}Z`}
          fill={INK}
          opacity={0.12}
        />
      )}
      <path d={arc(-1.5, 0)} fill="none" stroke={INK} strokeWidth={11} strokeLinecap="round" />
      <path d={arc(-1.5, 0)} fill="none" stroke={CANE} strokeWidth={7} strokeLinecap="round" />
      <path d={arc(1.5, aside)} fill="none" stroke={INK} strokeWidth={11} strokeLinecap="round" />
      <path d={arc(1.5, aside)} fill="none" stroke={CANE} strokeWidth={7} strokeLinecap="round" />
      {children}
    </>
  );
}

/** An arrow from one place to another. */
export function Arrow({
  from,
  to,
}: {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
}) {
  const [x1, y1] = from;
  const [x2, y2] = to;
  const length = Math.hypot(x2 - x1, y2 - y1);
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const back = (side: number) => `${x2 - 10 * ux - side * 6 * uy} ${y2 - 10 * uy + side * 6 * ux}`;
  return (
    <>
      <path d={`M${x1} ${y1}L${x2 - 8 * ux} ${y2 - 8 * uy}`} stroke={INK} strokeWidth={4} strokeLinecap="round" />
      <path d={`M${x2} ${y2}L${back(1)}L${back(-1)}Z`} fill={INK} />
    </>
  );
}
