import { Typography, type TypographyProps } from '@mui/material';
import type { ElementType } from 'react';

type TextProps = Omit<TypographyProps, 'sx'> & {
  readonly component?: ElementType;
  /** What is read first. */
  readonly strong?: true;
  /** Its ink where that is not the usual one: a name of the palette. */
  readonly ink?: string | undefined;
  /** A measure that is read with ease. */
  readonly measured?: true;
  /** Room above and below it, in the steps of the theme. */
  readonly above?: number;
  readonly below?: number;
};

/** Words with some weight, or some room around them. */
export const Text = ({ strong, ink, measured, above, below, ...rest }: TextProps) => (
  <Typography
    sx={{
      ...(strong && { fontWeight: 650 }),
      ...(ink !== undefined && { color: ink }),
      ...(measured && { maxWidth: '62ch' }),
      ...(above === undefined ? {} : { mt: above }),
      ...(below === undefined ? {} : { mb: below }),
    }}
    {...rest}
  />
);
