import { Alert, Button, DialogContent, DialogTitle, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { AirView } from '#contract/air.ts';
import type { useReadAir } from '#web/features/air/air.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { typedNumber } from '#web/ui/typed-number.ts';

type AirSheetProps = {
  readonly playerId: PlayerId;
  readonly read: AirView['read'];
  readonly air: ReturnType<typeof useReadAir>;
  readonly onClose: () => void;
};

/** What the hygrometer shows: two numbers. */
export function AirSheet({ playerId, read, air, onClose }: AirSheetProps) {
  const [humidity, setHumidity] = useState(read === null ? '' : String(read.humidityPercent));
  const [celsius, setCelsius] = useState(String(read?.celsius ?? 20));
  const said = { playerId, celsius: typedNumber(celsius), humidityPercent: typedNumber(humidity) };
  const isRead = !Number.isNaN(said.celsius) && !Number.isNaN(said.humidityPercent);
  const field = (label: string, value: string, onChange: (text: string) => void) => (
    <TextField
      fullWidth
      label={label}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      onFocus={({ target }) => target.select()}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="air-title">
      <DialogTitle id="air-title" variant="h1">
        How is the air?
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2} sx={{ pt: 1 }}>
          <Typography color="text.secondary">
            As your hygrometer shows it, where you play. Dry air, the water in the bore and the backs of reeds go by it.
          </Typography>
          <Stack direction="row" spacing={1}>
            {field('Humidity, %', humidity, setHumidity)}
            {field('Temperature, °C', celsius, setCelsius)}
          </Stack>
          {air.problem && <Alert severity="error">{air.problem}</Alert>}
          <BrassButton
            disabled={air.busy || !isRead}
            onClick={() => air.log(said, { said: 'The air is noted.', onLogged: onClose })}
          >
            Note the air
          </BrassButton>
          <Button color="inherit" onClick={onClose}>
            Not now
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
