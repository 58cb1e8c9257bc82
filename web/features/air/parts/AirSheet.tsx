import { DialogContent, DialogTitle, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { USUAL_ROOM_CELSIUS } from '#core/air/room.ts';
import { celsiusTyped, temperatureUnit } from '#core/explain/units.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { AirView } from '#contract/air.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { useReadAir } from '#web/features/air/air.actions.ts';
import { degreesText } from '#web/ui/degrees-text.ts';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { typedNumber } from '#web/ui/typed-number.ts';

type AirSheetProps = {
  readonly playerId: PlayerId;
  readonly read: Pick<NonNullable<AirView['read']>, 'celsius' | 'humidityPercent'> | null;
  /** The reading that is put right; without it another one is noted. */
  readonly corrects?: string;
  readonly air: ReturnType<typeof useReadAir>;
  readonly onClose: () => void;
};

/** What the hygrometer shows: two numbers. */
export function AirSheet({ playerId, read, corrects, air, onClose }: AirSheetProps) {
  const [humidity, setHumidity] = useState(read === null ? '' : String(read.humidityPercent));
  const [celsius, setCelsius] = useState(degreesText(read?.celsius ?? USUAL_ROOM_CELSIUS));
  const reading = {
    playerId,
    celsius: celsiusTyped(typedNumber(celsius), FORMAT.units),
    humidityPercent: typedNumber(humidity),
  };
  const isRead = !Number.isNaN(reading.celsius) && !Number.isNaN(reading.humidityPercent);
  const keep = () =>
    air.log(reading, {
      said: corrects === undefined ? 'The air is noted.' : 'The reading is corrected.',
      corrects,
      onLogged: onClose,
    });
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
        {corrects === undefined ? 'How is the air?' : 'Correct this reading'}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Typography color="text.secondary">
            As your hygrometer shows it, where you play. Dry air, the water in the bore and the backs of reeds go by it.
          </Typography>
          <Stack direction="row" spacing={1}>
            {field('Humidity, %', humidity, setHumidity)}
            {field(`Temperature, ${temperatureUnit(FORMAT.units)}`, celsius, setCelsius)}
          </Stack>
          <SheetEnd problem={air.problem} disabled={air.busy || !isRead} onKeep={keep} onClose={onClose}>
            {corrects === undefined ? 'Note the air' : 'Save the correction'}
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
