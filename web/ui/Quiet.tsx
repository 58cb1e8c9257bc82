import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** What is read after the rest of its line. */
export const Quiet = ({ small, children }: { readonly small?: true; readonly children: ReactNode }) => (
  <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400, ...(small && { fontSize: '0.9375rem' }) }}>
    {children}
  </Box>
);

type BulletsProps = { readonly gap?: number; readonly above?: number; readonly children: ReactNode };

/** A list with its bullets. */
export const Bullets = ({ gap, above, children }: BulletsProps) => (
  <Box
    component="ul"
    sx={{
      m: 0,
      pl: 2.5,
      listStyle: 'disc',
      ...(above !== undefined && { mt: above }),
      ...(gap !== undefined && { display: 'grid', gap }),
    }}
  >
    {children}
  </Box>
);
