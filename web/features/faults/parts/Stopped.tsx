import { Box, Button, Typography } from '@mui/material';
import type { StopView } from '#contract/faults.ts';
import { FORMAT } from '#web/clock/format.ts';
import { Compartment } from '#web/ui/Compartment.tsx';

type StoppedProps = { readonly stop: StopView; readonly busy: boolean; readonly onCleared: () => void };

/** The instrument is stopped: what is done meanwhile, and who says that it is well again. */
export const Stopped = ({ stop, busy, onCleared }: StoppedProps) => (
  <Compartment sx={{ borderColor: 'stop.main', borderWidth: 3 }}>
    <Typography variant="body2" sx={{ color: 'stop.ink', fontWeight: 700 }}>
      {stop.mayBePlayed ? 'With care' : 'Stopped: not to be played'} since {FORMAT.weekdayDate(stop.since)}
    </Typography>
    <Typography variant="h1" component="h2" sx={{ my: 1 }}>
      {stop.heading}
    </Typography>
    <Typography sx={{ maxWidth: '62ch' }}>{stop.meanwhile}</Typography>
    <Typography color="text.secondary" sx={{ mt: 1 }}>
      {stop.why}
    </Typography>
    <Box sx={{ mt: 2 }}>
      <Button variant="outlined" color="inherit" disabled={busy} onClick={onCleared} sx={{ minHeight: 56 }}>
        {stop.clearedWords}
      </Button>
    </Box>
  </Compartment>
);
