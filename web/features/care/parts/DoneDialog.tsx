import { Alert, Button, DialogActions, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { CareClockView } from '#contract/care.ts';
import { DateField } from '#web/ui/DateField.tsx';
import { FORMAT } from '#web/clock/format.ts';
import { Sheet } from '#web/ui/Sheet.tsx';

type DoneDialogProps = {
  readonly clock: CareClockView;
  readonly today: LocalDate;
  readonly acquiredOn: LocalDate;
  readonly problem: string | null;
  readonly busy: boolean;
  readonly onDone: (doneOn: LocalDate, by: 'player' | 'bench') => void;
  readonly onClose: () => void;
};

/** When was it done? Three taps that answer most cases, and a day for the rest. */
export function DoneDialog({ clock, today, acquiredOn, problem, busy, onDone, onClose }: DoneDialogProps) {
  const [day, setDay] = useState<LocalDate | null>(null);
  const atBench = clock.hands === 'bench';
  const by = atBench ? 'bench' : 'player';
  const yesterday = addDays(today, -1);
  const quick = [
    { on: today, words: 'Today' },
    { on: yesterday, words: 'Yesterday' },
    ...(clock.gauge.state === 'unknown'
      ? [{ on: acquiredOn, words: `Count from the day it came, ${FORMAT.date(acquiredOn)}` }]
      : []),
  ];
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="done-title">
      <DialogTitle id="done-title" variant="h2">
        {clock.name}: when was it done?
      </DialogTitle>
      <DialogContent>
        <Stack spacing={1.5}>
          {quick.map(({ on, words }) => (
            <Button
              key={words}
              variant="outlined"
              color="inherit"
              disabled={busy}
              onClick={() => onDone(on, by)}
              size="large"
            >
              {words}
            </Button>
          ))}
          <Stack direction="row" spacing={1}>
            <DateField fullWidth label="Another day" value={day} onChange={setDay} latest={today} />
            <Button
              variant="outlined"
              color="inherit"
              disabled={busy || day === null}
              onClick={() => day && onDone(day, by)}
            >
              Then
            </Button>
          </Stack>
          {!atBench && (
            <Button color="inherit" disabled={busy} onClick={() => onDone(day ?? today, 'bench')}>
              The bench did it {day ? 'that day' : 'today'}
            </Button>
          )}
          {problem && <Alert severity="error">{problem}</Alert>}
          <Typography variant="body2" color="text.secondary">
            You can take it back afterwards.
          </Typography>
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Sheet>
  );
}
