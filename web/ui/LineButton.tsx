import { Button, type ButtonProps } from '@mui/material';

type LineButtonProps = Omit<ButtonProps, 'sx'> & {
  /** Its words at the one end, a figure at the other. */
  readonly between?: true;
};

/** A button that is a line of its list: as wide as that, its words where a line begins. */
export const LineButton = ({ between, ...rest }: LineButtonProps) => (
  <Button
    size="large"
    sx={{ justifyContent: between ? 'space-between' : 'flex-start', textAlign: 'left', lineHeight: 1.25 }}
    {...rest}
  />
);
