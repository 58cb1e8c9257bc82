import { Box, Button, Link as MuiLink, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { useToday } from '#web/clock/today.ts';
import { nearDay } from '#web/features/calendar/parts/near-day.ts';
import { partsOf } from '#web/features/calendar/parts/sitting-parts.ts';
import { sittingQueries } from '#web/features/calendar/sittings.queries.ts';
import { useBeginRun } from '#web/features/packup/begin-run.actions.ts';
import { Compartment } from '#web/ui/Compartment.tsx';

/** The next sitting in a line, with the way to the calendar, and to doing it now. */
export function NextWeeks({ playerId }: { readonly playerId: PlayerId }) {
  const { data } = useQuery(sittingQueries.of(playerId, useToday()));
  const { begin, busy } = useBeginRun();
  const [next] = data?.sittings ?? [];
  if (data === undefined || next === undefined) return null;
  return (
    <Compartment title="The next weeks" sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2 }}>
        <Typography sx={{ overflowWrap: 'anywhere' }}>
          <MuiLink
            component={Link}
            to="/calendar"
            color="inherit"
            sx={{ display: 'inline-block', py: 1.5, my: -1, fontWeight: 650 }}
          >
            Next sitting
          </MuiLink>
          : {nearDay(next.on, data.today)}, {next.words}.
        </Typography>
        <Button
          variant="outlined"
          color="inherit"
          disabled={busy}
          onClick={() => begin({ kind: 'care', playerId, parts: partsOf(next) })}
        >
          {next.on === data.today ? 'Start it' : 'Do it now instead'}
        </Button>
      </Box>
    </Compartment>
  );
}
