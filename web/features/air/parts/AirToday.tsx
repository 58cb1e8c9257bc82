import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { AirView } from '#contract/air.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useReadAir } from '#web/features/air/air.actions.ts';
import { AirSheet } from '#web/features/air/parts/AirSheet.tsx';
import { Row } from '#web/ui/layout.tsx';

type AirTodayProps = {
  readonly playerId: PlayerId;
  /** Null while nobody has read it today. */
  readonly read: AirView['read'];
  readonly air: ReturnType<typeof useReadAir>;
};

/** Today's air, as somebody read it, and the way to say it. */
export function AirToday({ playerId, read, air }: AirTodayProps) {
  const [asking, setAsking] = useState(false);
  const ask = () => {
    air.open();
    setAsking(true);
  };
  return (
    <Row between align="center">
      <Typography variant="body2" color="text.secondary">
        {read === null
          ? 'Nobody has read the air today.'
          : `The air today: ${FORMAT.number(read.humidityPercent)} %, ${FORMAT.celsius(read.celsius)}.`}
      </Typography>
      <Button color="inherit" onClick={ask}>
        {read === null ? 'Say how the air is' : 'Read it again'}
      </Button>
      {asking && <AirSheet playerId={playerId} read={read} air={air} onClose={() => setAsking(false)} />}
    </Row>
  );
}
