import { Box } from '@mui/material';
import type { KeyboardEvent, MouseEvent } from 'react';
import type { StepWords } from '#contract/packup.ts';
import type { GaugeView, StripSegment } from '#contract/instruments.ts';
import type { PlacedSegment } from '#web/ui/bore-strip-geometry.ts';
import { FORMAT } from '#web/clock/format.ts';

export type StripPin = { readonly part: string; readonly state: GaugeView['state']; readonly count: number };
export type OnPart = (part: StripSegment['part'], at: Element) => void;

export const INK = 'var(--ulu-palette-text-primary)';
const STOP = 'var(--ulu-palette-stop-main)';
export const GRAMS_SHOWN = 0.02;
/** In drawing units: upright the strip is drawn at about half size. */
const LETTERS = { lying: 13, upright: 24 } as const;

const pinColour = (state: StripPin['state']): string => (state === 'overdue' ? STOP : INK);

/** Due work, pinned to its part. */
export function Pin({
  segment,
  pin,
  upright,
}: {
  readonly segment: PlacedSegment;
  readonly pin: StripPin;
  readonly upright: boolean;
}) {
  const x = segment.x + segment.width / 2;
  const top = segment.lift - Math.max(...segment.half);
  const word =
    pin.state === 'overdue' ? 'overdue' : pin.state === 'due' ? 'due' : pin.state === 'unknown' ? 'not known' : 'soon';
  const text = pin.count > 1 ? `${pin.count} ${word}` : word;
  return (
    <g style={{ color: pinColour(pin.state) }}>
      <path d={`M${x} ${top}V${top - 12}`} strokeWidth={2} style={{ stroke: 'currentColor' }} />
      <circle
        cx={x}
        cy={top - 14}
        r={4}
        style={{ fill: pin.state === 'unknown' ? 'none' : 'currentColor', stroke: 'currentColor', strokeWidth: 2 }}
      />
      {upright ? (
        <text
          transform={`translate(${x + LETTERS.upright / 3} ${top - 24}) rotate(-90)`}
          fontSize={LETTERS.upright}
          fontWeight={650}
          style={{ fill: 'currentColor' }}
        >
          {text}
        </text>
      ) : (
        <text
          x={x}
          y={top - 24}
          fontSize={LETTERS.lying}
          fontWeight={650}
          textAnchor="middle"
          style={{ fill: 'currentColor' }}
        >
          {text}
        </text>
      )}
    </g>
  );
}

type PartNameProps = {
  readonly segment: PlacedSegment;
  /** Half the width of the main line. */
  readonly widest: number;
  /** How far side tubes reach from the main line. */
  readonly sideTubes: number;
  readonly upright: boolean;
};

/** Below the main line, or left of it; of an upright side tube on the free side, clear of its pin. */
export function PartName({ segment, widest, sideTubes, upright }: PartNameProps) {
  const side = segment.lift !== 0;
  const x = segment.x + segment.width * (upright && side ? 0.92 : 0.5);
  const y = side ? segment.lift + 4 : widest + 20;
  const grams = segment.waterGrams >= GRAMS_SHOWN ? ` ${FORMAT.grams(segment.waterGrams)}` : '';
  const common = {
    fontSize: upright ? LETTERS.upright : LETTERS.lying,
    style: { fill: 'var(--ulu-palette-text-secondary)' },
  } as const;
  const words = (
    <>
      {segment.name}
      {grams && <tspan style={{ fill: 'var(--ulu-palette-water-ink)', fontWeight: 650 }}>{grams}</tspan>}
    </>
  );
  if (upright)
    return (
      <text
        {...common}
        transform={`translate(${x + LETTERS.upright / 3} ${side ? -sideTubes - 8 : y - 6}) rotate(-90)`}
        textAnchor={side ? 'start' : 'end'}
      >
        {words}
      </text>
    );
  return (
    <text {...common} x={x} y={y} textAnchor="middle">
      {words}
    </text>
  );
}

export type HeldKeyView = NonNullable<StepWords['holds']>;

/** How far a held key and its words stand above the tube, in drawing units. */
export const HELD_KEY_REACH = 50;
const ALONG: Readonly<Record<HeldKeyView['at'], number>> = { 'mouth-end': 0.12, middle: 0.5, 'bell-end': 0.86 };

/** The key to hold: its touchpiece over the tube, the way the finger goes, and what to do in words. */
export function HeldKeyMark({ segment, holds }: { readonly segment: PlacedSegment; readonly holds: HeldKeyView }) {
  const x = segment.x + segment.width * ALONG[holds.at];
  const top = segment.lift - Math.max(...segment.half);
  return (
    <g style={{ color: INK }}>
      <ellipse
        cx={x}
        cy={top - 5}
        rx={15}
        ry={5}
        style={{ fill: 'var(--ulu-palette-tube-bore)', stroke: 'currentColor', strokeWidth: 2 }}
      />
      <path
        d={`M${x} ${top - 31}V${top - 13}M${x - 5} ${top - 19}l5 6l5 -6`}
        fill="none"
        strokeWidth={2.5}
        style={{ stroke: 'currentColor' }}
      />
      <text
        x={x}
        y={top - 36}
        fontSize={LETTERS.lying}
        fontWeight={650}
        textAnchor="middle"
        style={{ fill: 'currentColor' }}
      >
        {holds.words}
      </text>
    </g>
  );
}

/** The part as a button: its whole height takes the tap, and the focus is seen round it. */
export function PartButton({
  segment: { part, name, x, width, lift },
  reach,
  onPart,
}: {
  readonly segment: PlacedSegment;
  readonly reach: number;
  readonly onPart: OnPart;
}) {
  return (
    <Box
      component="rect"
      role="button"
      tabIndex={0}
      aria-haspopup="menu"
      aria-label={`${name}: I see something`}
      x={x}
      y={lift - reach}
      width={width}
      height={2 * reach}
      rx={6}
      onClick={(event: MouseEvent<SVGRectElement>) => onPart(part, event.currentTarget)}
      onKeyDown={(event: KeyboardEvent<SVGRectElement>) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onPart(part, event.currentTarget);
      }}
      sx={{
        fill: 'transparent',
        cursor: 'pointer',
        outline: 'none',
        '&:hover, &:focus-visible': { stroke: INK, strokeWidth: 2, strokeDasharray: '2 4' },
      }}
    />
  );
}
