import { Box, Typography, type SxProps, type Theme } from '@mui/material';
import { useId, type ReactNode } from 'react';
import { Row } from '#web/ui/layout.tsx';

type CompartmentProps = {
  readonly title?: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
  /** What must not be overlooked. */
  readonly danger?: true;
  readonly sx?: SxProps<Theme>;
};

/** A well cut into the case's lining: few and generous, each for one thing. */
export function Compartment({ title, aside, children, danger, sx = {} }: CompartmentProps) {
  const id = useId();
  return (
    <Box
      component="section"
      aria-labelledby={title ? id : undefined}
      sx={[
        {
          bgcolor: 'well.main',
          border: danger ? '3px solid' : '1px solid',
          borderColor: danger ? 'stop.main' : 'well.rim',
          borderRadius: '18px 18px 26px 26px',
          boxShadow: 'inset 0 3px 0 var(--ulu-palette-well-rim)',
          p: { xs: 2, sm: 2.5 },
          minWidth: 0,
        },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    >
      {(title || aside) && (
        <Row gap={2} between align="baseline" below={1.25}>
          {title && (
            <Typography variant="h2" id={id}>
              {title}
            </Typography>
          )}
          {aside}
        </Row>
      )}
      {children}
    </Box>
  );
}
