import { Button, type ButtonProps } from '@mui/material';

declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    brass: true;
  }
}

/** The next action of a screen: brass yellow with an ink outline. One a screen. */
export const BrassButton = (props: Omit<ButtonProps, 'variant'>) => <Button variant="brass" {...props} />;
