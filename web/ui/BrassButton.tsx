import { Button, type ButtonProps } from '@mui/material';

declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    brass: true;
  }
}

/** The next action of a screen: brass yellow with an ink outline. One a screen: where another `leads`, it is outlined. */
export const BrassButton = ({
  leads = true,
  ...props
}: Omit<ButtonProps, 'variant' | 'color'> & { readonly leads?: boolean }) =>
  leads ? <Button variant="brass" {...props} /> : <Button variant="outlined" color="inherit" {...props} />;
