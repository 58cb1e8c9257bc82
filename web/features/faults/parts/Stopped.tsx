import { Button } from '@mui/material';
import type { StopView } from '#contract/faults.ts';
import { FORMAT } from '#web/clock/format.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type StoppedProps = { readonly stop: StopView; readonly busy: boolean; readonly onCleared: () => void };

/** The instrument is stopped: what is done meanwhile, and who says that it is well again. */
export const Stopped = ({ stop, busy, onCleared }: StoppedProps) => (
  <Compartment danger>
    <Text variant="body2" color="stop.ink" strong>
      {stop.mayBePlayed ? 'With care' : 'Stopped: not to be played'} since {FORMAT.weekdayDate(stop.since)}
    </Text>
    <Text variant="h1" component="h2" above={1} below={1}>
      {stop.heading}
    </Text>
    <Text measured>{stop.meanwhile}</Text>
    <Text color="text.secondary" above={1}>
      {stop.why}
    </Text>
    <Space above={2}>
      <Button variant="outlined" color="inherit" disabled={busy} onClick={onCleared} size="large">
        {stop.clearedWords}
      </Button>
    </Space>
  </Compartment>
);
