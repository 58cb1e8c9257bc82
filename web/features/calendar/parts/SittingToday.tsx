import { Button, Typography } from '@mui/material';
import type { SittingsView } from '#contract/sittings.ts';
import { nearDay } from '#web/features/calendar/parts/near-day.ts';
import { Row } from '#web/ui/layout.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

type SittingTodayProps = Pick<SittingsView, 'today'> & {
  readonly next: SittingsView['sittings'][number];
  readonly busy: boolean;
  readonly onStart: () => void;
};

/** The next sitting in a line, with the way to the calendar, and to doing it now. */
export const SittingToday = ({ today, next, busy, onStart }: SittingTodayProps) => (
  <Row gap={2} wrap align="center">
    <Typography>
      <TallLink to="/calendar" strong>
        Next sitting
      </TallLink>
      : {nearDay(next.on, today)}, {next.words}.
    </Typography>
    <Button variant="outlined" color="inherit" disabled={busy} onClick={onStart}>
      {next.on === today ? 'Start it' : 'Do it now instead'}
    </Button>
  </Row>
);
