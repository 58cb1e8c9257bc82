import { Box } from '@mui/material';
import type { ReactNode } from 'react';

type TwoColumnsProps = {
  /** Which of the two holds the answer of the page, and has more room. */
  readonly wide: 'left' | 'right';
  readonly children: ReactNode;
};

const COLUMNS = {
  left: 'minmax(0, 7fr) minmax(0, 5fr)',
  right: 'minmax(0, 5fr) minmax(0, 7fr)',
} as const;

/** A page of two columns, one below the other on a phone. */
export const TwoColumns = ({ wide, children }: TwoColumnsProps) => (
  <Box
    sx={{
      display: 'grid',
      gap: 2,
      gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: COLUMNS[wide] },
      alignItems: 'start',
    }}
  >
    {children}
  </Box>
);

/** One of the columns, its compartments one below the other. `last`: on a phone it comes after everything else. */
export const Column = ({ children, last }: { readonly children: ReactNode; readonly last?: true }) => (
  <Box sx={{ display: 'grid', gap: 2, minWidth: 0, ...(last ? { order: { xs: 2, sm: 0 } } : {}) }}>{children}</Box>
);
