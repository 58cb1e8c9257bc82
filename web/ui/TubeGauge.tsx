import { Box } from '@mui/material';
import { SOON_AT } from '#core/care/care-state.ts';
import type { GaugeView } from '#contract/instruments.ts';

type TubeGaugeProps = {
  readonly gauge: Pick<GaugeView, 'state' | 'load' | 'words'>;
  readonly atBench?: boolean;
  readonly height?: number;
};

const WIDTH = 16;
const TUBE = { left: 3, right: 13, top: 5, bottom: 34 };
const DEPTH = TUBE.bottom - TUBE.top;
const LEAST_SHOWN = 0.16;

const outline = `M${TUBE.left} ${TUBE.top}V${TUBE.bottom - 5}a5 5 0 0 0 10 0V${TUBE.top}`;
/** Broken open below: the round bottom is gone, the rims are ragged. */
const broken = `M${TUBE.left} ${TUBE.top}V${TUBE.bottom - 5}l2 4l1 -3M${TUBE.right} ${TUBE.top}V${TUBE.bottom - 6}l-2 5l-1 -3`;

/**
 * A small upright tube that empties as a care clock runs: full when just done, at the notch when soon, empty when due,
 * broken open below when overdue, dashed when unknown, stoppered when it waits for the bench. The only status glyph of
 * the program; always stands beside its words, which are also its name for a screen reader.
 */
export function TubeGauge({ gauge: { state, load, words }, atBench = false, height = 40 }: TubeGaugeProps) {
  // What is left stays visible until it is really due.
  const left = load === null || load >= 1 ? 0 : Math.max(LEAST_SHOWN, 1 - load);
  const noClock = state === 'as-seen' || state === 'off' || state === 'unknown';
  const isOver = state === 'overdue';
  const notchY = TUBE.bottom - DEPTH * (1 - SOON_AT);
  const level = TUBE.bottom - DEPTH * left;
  const line = isOver ? 'var(--ulu-palette-stop-main)' : 'currentColor';
  return (
    <Box
      component="svg"
      role="img"
      aria-label={words}
      viewBox={`0 0 ${WIDTH} 40`}
      sx={{ height, width: (height * WIDTH) / 40, flexShrink: 0, display: 'block' }}
    >
      {!noClock && !isOver && left > 0 && (
        <path
          d={`M${TUBE.left} ${Math.min(level, TUBE.bottom - 5)}H${TUBE.right}V${TUBE.bottom - 5}a5 5 0 0 1 -10 0z`}
          style={{ fill: 'currentColor', opacity: 0.55 }}
        />
      )}
      <path
        d={isOver ? broken : outline}
        fill="none"
        strokeWidth={2}
        strokeLinecap="round"
        strokeDasharray={noClock ? '2.5 3' : undefined}
        style={{ stroke: line }}
      />
      {!noClock && (
        <path
          d={`M${TUBE.left - 3} ${notchY}h3M${TUBE.right} ${notchY}h3`}
          strokeWidth={1.5}
          style={{ stroke: line }}
        />
      )}
      {isOver && <path d="M5 37.5l1.5 1M8.5 36.5v2M11.5 37.5l-1 1.5" strokeWidth={1.5} style={{ stroke: line }} />}
      {state === 'due' && (
        <path d={`M${TUBE.left + 1} ${TUBE.bottom - 4}h8`} strokeWidth={1.5} style={{ stroke: line }} />
      )}
      {atBench && <path d="M2 2.5h12v4H2z" style={{ fill: line }} />}
    </Box>
  );
}
