import { Button, type ButtonProps } from '@mui/material';

type AnswerButtonProps = Omit<ButtonProps, 'variant' | 'color' | 'sx'> & {
  /** On a phone it takes the whole line: what is answered least. */
  readonly lineOnPhone?: boolean;
};

/** One answer among a few, that a thumb hits, wet or in a hurry. */
export const AnswerButton = ({ lineOnPhone = false, ...props }: AnswerButtonProps) => (
  <Button
    variant="outlined"
    color="inherit"
    sx={{
      minHeight: 60,
      borderWidth: 2,
      fontSize: '1.0625rem',
      gridColumn: lineOnPhone ? { xs: '1 / -1', sm: 'auto' } : 'auto',
    }}
    {...props}
  />
);
