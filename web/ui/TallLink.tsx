import { Link as MuiLink } from '@mui/material';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

type TallLinkProps = {
  readonly to: string;
  readonly strong?: true;
  /** Only what is pointed at has a line below it. */
  readonly calm?: true;
  readonly children: ReactNode;
};

/** A link in a line of words: as tall as a finger, and no taller a line for it. */
export const TallLink = ({ to, strong, calm, children }: TallLinkProps) => (
  <MuiLink
    component={Link}
    to={to}
    color="inherit"
    underline={calm ? 'hover' : 'always'}
    sx={{
      display: 'inline-block',
      // 44 px also in small print.
      py: 1.75,
      my: -1.5,
      lineHeight: 1.25,
      overflowWrap: 'anywhere',
      ...(strong && { fontWeight: 650 }),
    }}
  >
    {children}
  </MuiLink>
);
