import { Button, Typography } from '@mui/material';
import type { LocalDate } from '#core/time/local-date.ts';
import { FORMAT } from '#web/clock/format.ts';
import { Grid } from '#web/ui/layout.tsx';

type DayStepperProps = {
  readonly day: LocalDate;
  /** Null where there is no earlier or later day to be had. */
  readonly onEarlier: (() => void) | null;
  readonly onLater: (() => void) | null;
};

/** A day, and the way to the one before and the one after. */
export const DayStepper = ({ day, onEarlier, onLater }: DayStepperProps) => (
  <Grid columns="1fr auto 1fr" align="center">
    <Button variant="outlined" color="inherit" disabled={onEarlier === null} onClick={() => onEarlier?.()}>
      Day earlier
    </Button>
    <Typography component="output" aria-live="polite" sx={{ fontWeight: 650, textAlign: 'center' }}>
      {FORMAT.weekdayDate(day)}
    </Typography>
    <Button variant="outlined" color="inherit" disabled={onLater === null} onClick={() => onLater?.()}>
      Day later
    </Button>
  </Grid>
);
