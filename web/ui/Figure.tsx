import { Typography } from '@mui/material';
import type { ReactNode } from 'react';

type FigureProps = { readonly width: number; readonly children: ReactNode; readonly 'aria-live'?: 'polite' };

/** A figure between its buttons, that keeps its place while it changes. */
export const Figure = ({ width, children, ...rest }: FigureProps) => (
  <Typography component="output" sx={{ minWidth: width, textAlign: 'center', fontWeight: 650 }} {...rest}>
    {children}
  </Typography>
);
