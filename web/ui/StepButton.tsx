import { Button, type ButtonProps } from '@mui/material';

/** A little more, or a little less: as large as a thumb. */
export const StepButton = (props: Omit<ButtonProps, 'sx'>) => (
  <Button variant="outlined" color="inherit" sx={{ minWidth: 52, minHeight: 48 }} {...props} />
);
