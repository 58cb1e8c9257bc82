import { Button, type ButtonProps } from '@mui/material';

/** The next action of a screen: brass yellow with an ink outline. One a screen. */
export function BrassButton({ sx, ...props }: ButtonProps) {
  return (
    <Button
      {...props}
      sx={[
        {
          bgcolor: 'brass.main',
          color: 'brass.ink',
          border: '2px solid',
          borderColor: 'brass.ink',
          px: 3,
          minHeight: 56,
          fontSize: '1.125rem',
          boxShadow: '0 3px 0 var(--ulu-palette-brass-ink)',
          '&:hover': { bgcolor: 'brass.main', filter: 'brightness(1.06)' },
          '&:active': { transform: 'translateY(2px)', boxShadow: '0 1px 0 var(--ulu-palette-brass-ink)' },
          '&.Mui-disabled': {
            bgcolor: 'well.deep',
            color: 'text.secondary',
            borderColor: 'divider',
            boxShadow: 'none',
          },
        },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    />
  );
}
