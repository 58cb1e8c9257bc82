import { Box } from '@mui/material';
import type { ReactNode } from 'react';

type PlainListProps = {
  readonly children: ReactNode;
  /** Room between the rows, where they have no line. */
  readonly gap?: number;
  readonly ordered?: true;
  /** Side by side, as far as there is room. */
  readonly inline?: true;
  /** In columns, as CSS has them. */
  readonly columns?: { readonly xs: string; readonly sm: string };
  /** No higher than this; what has no room is scrolled to. */
  readonly height?: string;
  readonly 'aria-label'?: string;
};

/** A list without bullets or indents: what it holds says enough. */
export const PlainList = ({ children, gap, ordered, inline, columns, height, ...rest }: PlainListProps) => (
  <Box
    component={ordered ? 'ol' : 'ul'}
    sx={{
      m: 0,
      p: 0,
      listStyle: 'none',
      ...(gap !== undefined && { display: inline ? 'flex' : 'grid', gap }),
      ...(inline && { flexWrap: 'wrap' }),
      ...(columns && { gridTemplateColumns: columns }),
      ...(height !== undefined && { maxHeight: height, overflowY: 'auto' }),
    }}
    {...rest}
  >
    {children}
  </Box>
);

type PlainRowProps = {
  readonly children: ReactNode;
  /** What it holds lies in these columns, as CSS has them. */
  readonly columns?: string | { readonly xs: string; readonly sm: string };
  readonly align?: 'baseline';
  /** What it holds lies side by side, the last at the end. */
  readonly between?: true;
  readonly wrap?: true;
};

const laid = ({ columns, align, between, wrap }: Omit<PlainRowProps, 'children'>) => ({
  ...(columns !== undefined && {
    display: 'grid',
    gridTemplateColumns: columns,
    columnGap: 1.5,
    alignItems: align ?? 'center',
  }),
  ...(between && { display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1 }),
  ...(wrap && { flexWrap: 'wrap' }),
});

/** A row of a plain list, with a line above it where it is not the first. */
export const PlainRow = ({ children, ...how }: PlainRowProps) => (
  <Box
    component="li"
    sx={{
      py: 0.75,
      borderTop: '1px solid',
      borderColor: 'divider',
      '&:first-of-type': { borderTop: 'none' },
      ...laid(how),
    }}
  >
    {children}
  </Box>
);
