import { Box } from '@mui/material';
import type { ReactNode } from 'react';

type TwoColumnsProps = {
  /** Which of the two holds the answer of the page, and has more room. */
  readonly wide: 'left' | 'right';
  /**
   * A row over both, then left, a right one that is as long as it likes, and left again: on a phone in that order, at a
   * table the two left ones lie one below the other.
   */
  readonly longRight?: true;
  readonly children: ReactNode;
};

const COLUMNS = {
  left: 'minmax(0, 7fr) minmax(0, 5fr)',
  right: 'minmax(0, 5fr) minmax(0, 7fr)',
} as const;

/** A page of two columns, one below the other on a phone. */
export const TwoColumns = ({ wide, longRight, children }: TwoColumnsProps) => (
  <Box
    sx={{
      display: 'grid',
      gap: 2,
      gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: COLUMNS[wide] },
      alignItems: 'start',
      ...(longRight && { gridTemplateRows: { md: 'auto auto 1fr' } }),
    }}
  >
    {children}
  </Box>
);

type OverProps = {
  readonly children: ReactNode;
  /** Its place where it is not that in which it is written. */ readonly order?: ResponsiveOrder;
};
type ResponsiveOrder = { readonly xs: number; readonly sm: number };

/** What lies over all columns. */
export const Over = ({ children, order }: OverProps) => (
  <Box sx={{ gridColumn: '1 / -1', minWidth: 0, ...(order && { order }) }}>{children}</Box>
);

type ColumnProps = {
  readonly children: ReactNode;
  /** On a phone it comes after everything else. */
  readonly last?: true;
  /** The long one on the right: as long as the two beside it. */
  readonly long?: true;
};

/** One of the columns, its compartments one below the other. */
export const Column = ({ children, last, long }: ColumnProps) => (
  <Box
    sx={{
      display: 'grid',
      gap: 2,
      minWidth: 0,
      ...(last && { order: { xs: 2, sm: 0 } }),
      ...(long && { gridColumn: { md: 2 }, gridRow: { md: '2 / span 2' } }),
    }}
  >
    {children}
  </Box>
);
