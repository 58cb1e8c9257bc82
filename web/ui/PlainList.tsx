import { Box, type SxProps, type Theme } from '@mui/material';
import type { ReactNode } from 'react';

type PlainListProps = {
  readonly children: ReactNode;
  /** Room between the rows, where they have no line. */
  readonly gap?: number;
  readonly ordered?: true;
  readonly sx?: SxProps<Theme>;
};

const withSx = (own: SxProps<Theme>, sx: SxProps<Theme> = {}): SxProps<Theme> => [own, sx].flat();

/** A list without bullets or indents: what it holds says enough. */
export const PlainList = ({ children, gap, ordered, sx }: PlainListProps) => (
  <Box
    component={ordered ? 'ol' : 'ul'}
    sx={withSx({ m: 0, p: 0, listStyle: 'none', ...(gap === undefined ? {} : { display: 'grid', gap }) }, sx)}
  >
    {children}
  </Box>
);

type PlainRowProps = { readonly children: ReactNode; readonly sx?: SxProps<Theme> };

/** A row of a plain list, with a line above it where it is not the first. */
export const PlainRow = ({ children, sx }: PlainRowProps) => (
  <Box
    component="li"
    sx={withSx(
      { py: 0.75, borderTop: '1px solid', borderColor: 'divider', '&:first-of-type': { borderTop: 'none' } },
      sx,
    )}
  >
    {children}
  </Box>
);
