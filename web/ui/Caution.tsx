import { Alert, type AlertProps } from '@mui/material';

type CautionProps = Pick<AlertProps, 'children' | 'action' | 'role' | 'sx'> & {
  /** Something here can hurt. */
  readonly danger?: boolean;
  /** Room above and below it, in the steps of the theme. */
  readonly above?: number;
  readonly below?: number;
};

/** What must not be overlooked: an outline in ink, in vermilion where it can hurt. */
export const Caution = ({ danger = false, above, below, sx, ...props }: CautionProps) => (
  <Alert
    severity={danger ? 'error' : 'info'}
    icon={false}
    {...props}
    sx={[
      {
        py: 0.25,
        alignItems: 'center',
        bgcolor: 'transparent',
        color: 'text.primary',
        border: '2px solid',
        borderColor: danger ? 'stop.main' : 'text.primary',
        fontWeight: 600,
        ...(above !== undefined && { mt: above }),
        ...(below !== undefined && { mb: below }),
      },
      ...(Array.isArray(sx) ? sx : [sx]),
    ]}
  />
);
