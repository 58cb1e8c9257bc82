import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** What can be done, side by side as far as there is room. */
export const Actions = ({ children }: { readonly children: ReactNode }) => (
  <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.75 }}>{children}</Box>
);
