import { Alert, Button, Checkbox, DialogContent, DialogTitle, FormControlLabel, Stack, TextField } from '@mui/material';
import { useState } from 'react';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { PlayMinutes } from '#web/features/plays/parts/PlayMinutes.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';

type ConcertSheetProps = {
  readonly playerId: PlayerId;
  readonly instruments: readonly { readonly instrumentId: InstrumentId; readonly name: string }[];
  readonly event: ReturnType<typeof useEvent>;
  readonly onClose: () => void;
};

const USUAL_MINUTES = 80;

/** A concert: its day, how long is played, and on what. */
export function ConcertSheet({ playerId, instruments, event, onClose }: ConcertSheetProps) {
  const [on, setOn] = useState<LocalDate | null>(null);
  const [name, setName] = useState('');
  const [minutes, setMinutes] = useState(USUAL_MINUTES);
  const [chosen, setChosen] = useState<readonly InstrumentId[]>(instruments.map(({ instrumentId }) => instrumentId));
  const toggle = (id: InstrumentId) =>
    setChosen(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
  const add = () =>
    on !== null &&
    event.log(
      { playerId, what: 'concert', on, minutes, name: name.trim() || null, instrumentIds: [...chosen] },
      { said: 'The concert is in the record.', onLogged: onClose },
    );
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="concert-title">
      <DialogTitle id="concert-title" variant="h1">
        Add a concert
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2} sx={{ pt: 1 }}>
          <DateField label="Day of the concert" value={on} onChange={setOn} />
          <PlayMinutes minutes={minutes} setMinutes={setMinutes} />
          <TextField
            label="What it is called"
            value={name}
            onChange={({ target }) => setName(target.value)}
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
          {instruments.length > 1 &&
            instruments.map(({ instrumentId, name: called }) => (
              <FormControlLabel
                key={instrumentId}
                control={<Checkbox checked={chosen.includes(instrumentId)} onChange={() => toggle(instrumentId)} />}
                label={called}
              />
            ))}
          {event.problem && <Alert severity="error">{event.problem}</Alert>}
          <BrassButton disabled={event.busy || on === null || chosen.length === 0} onClick={add}>
            Add the concert
          </BrassButton>
          <Button color="inherit" onClick={onClose}>
            Not now
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
