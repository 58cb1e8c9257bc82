import { Link as MuiLink, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { SittingsView } from '#contract/sittings.ts';
import { nearDay } from '#web/features/calendar/parts/near-day.ts';

/** The next sitting in a line, with the way to the calendar. */
export function SittingToday({ sittings, today }: Pick<SittingsView, 'sittings' | 'today'>) {
  const [next] = sittings;
  if (next === undefined) return null;
  return (
    <Typography sx={{ overflowWrap: 'anywhere' }}>
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
  );
}
