import { Box, Button, Link as MuiLink, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { SittingsView } from '#contract/sittings.ts';
import { nearDay } from '#web/features/calendar/parts/near-day.ts';

type SittingTodayProps = Pick<SittingsView, 'today'> & {
  readonly next: SittingsView['sittings'][number];
  readonly busy: boolean;
  readonly onStart: () => void;
};

/** The next sitting in a line, with the way to the calendar, and to doing it now. */
export const SittingToday = ({ today, next, busy, onStart }: SittingTodayProps) => (
  <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2 }}>
    <Typography>
      <MuiLink
        component={Link}
        to="/calendar"
        color="inherit"
        sx={{ display: 'inline-block', py: 1.5, my: -1, fontWeight: 650 }}
      >
        Next sitting
      </MuiLink>
      : {nearDay(next.on, today)}, {next.words}.
    </Typography>
    <Button variant="outlined" color="inherit" disabled={busy} onClick={onStart}>
      {next.on === today ? 'Start it' : 'Do it now instead'}
    </Button>
  </Box>
);
