import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** A line of a list with a stroke at its side: it belongs to what stands above it. */
export const Beside = ({ strong, children }: { readonly strong?: true; readonly children: ReactNode }) => (
  <Box
    component="li"
    sx={{ borderLeft: strong ? '4px solid' : '3px solid', borderColor: strong ? 'text.primary' : 'divider', pl: 1.25 }}
  >
    {children}
  </Box>
);
