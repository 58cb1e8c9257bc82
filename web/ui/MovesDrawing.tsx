import { Box } from '@mui/material';
import { useLayoutEffect, useRef, type ReactNode } from 'react';

type MovesDrawingProps = {
  /** What is moved in it, and by which keys. */
  readonly label: string;
  readonly width: number;
  readonly height: number;
  /** How far it is scrolled when it is opened, px. */
  readonly opensAt: number;
  readonly children: ReactNode;
};

const INK = 'var(--ulu-palette-text-primary)';

/** A drawing of days in which things are moved (see `useMoves`); on a narrow screen it is swiped. */
export function MovesDrawing({ label, width, height, opensAt, children }: MovesDrawingProps) {
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (box.current) box.current.scrollLeft = opensAt;
  }, [opensAt]);
  return (
    <Box
      ref={box}
      tabIndex={-1}
      sx={{
        overflowX: 'auto',
        '& [data-cell]:focus-visible .reach': { stroke: INK, strokeWidth: 2 },
        '& [data-cell]:hover .reach': { fill: 'var(--ulu-palette-action-hover)' },
      }}
    >
      <svg role="group" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
        {children}
      </svg>
    </Box>
  );
}
