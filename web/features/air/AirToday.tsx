import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useReadAir } from '#web/features/air/air.actions.ts';
import { airQueries } from '#web/features/air/air.queries.ts';
import { AirSheet } from '#web/features/air/parts/AirSheet.tsx';

/** Today's air, as somebody read it, and the way to say it. */
export function AirToday({ playerId }: { readonly playerId: PlayerId }) {
  const [asking, setAsking] = useState(false);
  const air = useReadAir();
  const read = useQuery(airQueries.of(playerId, useToday())).data?.read ?? null;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1 }}>
      <Typography variant="body2" color="text.secondary">
        {read === null
          ? 'Nobody has read the air today.'
          : `The air today: ${FORMAT.number(read.humidityPercent)} %, ${FORMAT.celsius(read.celsius)}.`}
      </Typography>
      <Button
        color="inherit"
        onClick={() => {
          air.open();
          setAsking(true);
        }}
      >
        {read === null ? 'Say how the air is' : 'Read it again'}
      </Button>
      {asking && <AirSheet playerId={playerId} read={read} air={air} onClose={() => setAsking(false)} />}
    </Box>
  );
}
