import { Box, type BoxProps, type Breakpoint } from '@mui/material';
import type { ElementType, ReactNode } from 'react';

type Responsive<Value> = Value | { readonly [At in Breakpoint]?: Value };
type Around = {
  /** Room above and below it, in the steps of the theme. */
  readonly above?: number;
  readonly below?: number;
};
type Piece = Around &
  Pick<BoxProps, 'aria-label' | 'aria-labelledby' | 'aria-hidden' | 'role' | 'id'> & {
    readonly component?: ElementType;
    readonly children?: ReactNode;
  };
const around = ({ above, below }: Around) => ({
  ...(above === undefined ? {} : { mt: above }),
  ...(below === undefined ? {} : { mb: below }),
});

type SpaceProps = Piece & {
  /** As high at least as what is still to come. */
  readonly height?: number | { readonly xs: number; readonly sm: number };
  /** No wider than this, in the middle. */
  readonly width?: number;
  /** As wide as there is room, also where others are not. */
  readonly wide?: true;
};

/** Something with room above or below it. It may be narrower than its longest word. */
export const Space = ({ above, below, height, width, wide, ...rest }: SpaceProps) => (
  <Box
    sx={{
      minWidth: 0,
      ...(height !== undefined && { minHeight: height }),
      ...(width !== undefined && { maxWidth: width, mx: 'auto' }),
      ...(wide && { width: '100%' }),
      ...around({ above, below } as Around),
    }}
    {...rest}
  />
);

/** What takes the room the others leave. */
export const Grow = ({ basis = '1 1 0', ...rest }: Piece & { readonly basis?: Responsive<string | number> }) => (
  <Box sx={{ flex: basis, minWidth: 0 }} {...rest} />
);

type RowProps = Piece & {
  readonly gap?: number;
  /** What has no room in the line begins another. */
  readonly wrap?: true;
  /** The first at the one end, the last at the other. */
  readonly between?: true;
  readonly align?: 'center' | 'baseline' | 'flex-start' | 'stretch';
};

/** Things side by side. */
export const Row = ({ gap = 1, wrap, between, align = 'stretch', above, below, ...rest }: RowProps) => (
  <Box
    sx={{
      display: 'flex',
      gap,
      alignItems: align,
      minWidth: 0,
      ...(wrap && { flexWrap: 'wrap' }),
      ...(between && { justifyContent: 'space-between' }),
      ...around({ above, below } as Around),
    }}
    {...rest}
  />
);

type GridProps = Piece & {
  readonly gap?: number;
  /** As CSS has it: one column below the other unless it is said. */
  readonly columns?: Responsive<string>;
  /** As wide as its lines are read with ease, in the middle of the page. */
  readonly width?: number;
  readonly align?: 'center' | 'start' | 'baseline';
  /** Each no wider than it has to be. */
  readonly start?: true;
};

/** Things one below the other, or in columns. */
export const Grid = ({ gap = 1, columns, width, align, start, above, below, ...rest }: GridProps) => (
  <Box
    sx={{
      display: 'grid',
      gap,
      ...(columns === undefined ? {} : { gridTemplateColumns: columns }),
      ...(width === undefined ? {} : { maxWidth: width, mx: 'auto' }),
      ...(align && { alignItems: align }),
      ...(start && { justifyItems: 'start' }),
      ...around({ above, below } as Around),
    }}
    {...rest}
  />
);
