import { SvgIcon, type SvgIconProps } from '@mui/material';

/** A sign of the icon set, drawn beside words that say the same: nobody has to hear it. */
export const Icon = ({ path, ...props }: Omit<SvgIconProps, 'path' | 'children'> & { readonly path: string }) => (
  <SvgIcon aria-hidden {...props}>
    <path d={path} />
  </SvgIcon>
);
