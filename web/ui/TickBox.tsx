import { Box } from '@mui/material';

/** A box to be ticked with a pencil. */
export const TickBox = () => (
  <Box
    component="span"
    aria-hidden
    sx={{
      display: 'inline-block',
      width: 14,
      height: 14,
      flex: 'none',
      border: '1.5px solid',
      borderColor: 'text.primary',
      verticalAlign: '-2px',
    }}
  />
);
