import { Button, type ButtonProps } from '@mui/material';

type AnswerButtonProps = Omit<ButtonProps, 'variant' | 'color' | 'sx'> & {
  /** On a phone it takes the whole line: what is answered least. */
  readonly lineOnPhone?: boolean;
  /** One of several that can be said at once: whether it is. */
  readonly pressed?: boolean;
};

/** One answer among a few, that a thumb hits, wet or in a hurry. */
export const AnswerButton = ({ lineOnPhone = false, pressed, ...props }: AnswerButtonProps) => (
  <Button
    variant="outlined"
    color="inherit"
    sx={{
      minHeight: 60,
      borderWidth: 2,
      fontSize: '1.0625rem',
      ...(pressed && { bgcolor: 'action.selected' }),
      gridColumn: lineOnPhone ? { xs: '1 / -1', sm: 'auto' } : 'auto',
    }}
    {...(pressed !== undefined && { 'aria-pressed': pressed })}
    {...props}
  />
);
