import { SvgIcon, type SvgIconProps } from '@mui/material';

type IconProps = Omit<SvgIconProps, 'path' | 'children'> & {
  readonly path: string;
  /** Upside down: what it opens is open. */
  readonly turned?: boolean;
};

/** A sign of the icon set, drawn beside words that say the same: nobody has to hear it. */
export const Icon = ({ path, turned, ...props }: IconProps) => (
  <SvgIcon aria-hidden {...props}>
    <path d={path} {...(turned && { transform: 'rotate(180 12 12)' })} />
  </SvgIcon>
);
