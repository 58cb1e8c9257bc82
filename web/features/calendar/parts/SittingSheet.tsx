import { Button, Checkbox, DialogContent, DialogTitle, FormControlLabel, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { duration } from '#core/explain/format.ts';
import { SITTING_DAYS } from '#core/sittings/sitting-numbers.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { FORMAT } from '#web/clock/format.ts';
import type { Sitting } from '#web/features/calendar/parts/SittingDays.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { DayStepper } from '#web/ui/DayStepper.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';

type SittingSheetProps = {
  readonly view: SittingsView;
  readonly sitting: Sitting;
  readonly busy: boolean;
  /** Some of it on another day; null leaves it to the plan again. */
  readonly onSet: (items: readonly PlacedItemView[], on: LocalDate | null) => void;
  readonly onStart: (sitting: Sitting) => void;
  readonly onClose: () => void;
};

/** A sitting: another day for all of it or for some, left to the plan again, or done now. */
export function SittingSheet({ view, sitting, busy, onSet, onStart, onClose }: SittingSheetProps) {
  const { today, time } = view;
  const [day, setDay] = useState(daysBetween(today, sitting.on));
  const [chosen, setChosen] = useState<readonly PlacedItemView[]>(sitting.items);
  const toggle = (item: PlacedItemView) =>
    setChosen(chosen.includes(item) ? chosen.filter((one) => one !== item) : [...chosen, item]);
  const on = addDays(today, day);
  const minutes = time[day] ?? 0;
  const isSet = sitting.items.some((item) => item.isSet);
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="sitting-title">
      <DialogTitle id="sitting-title" variant="h1">
        {FORMAT.weekdayDate(sitting.on)}, {sitting.words}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Typography color="text.secondary">
            What you set stays, and the rest is planned round it. That day you{' '}
            {minutes > 0 ? `usually have ${duration(minutes)}` : 'usually have no time'}.
          </Typography>
          <DayStepper
            day={on}
            onEarlier={day <= 0 ? null : () => setDay(day - 1)}
            onLater={day >= SITTING_DAYS - 1 ? null : () => setDay(day + 1)}
          />
          <Stack>
            {sitting.items.map((item) => (
              <FormControlLabel
                key={`${item.instrumentId} ${item.itemId}`}
                control={<Checkbox checked={chosen.includes(item)} onChange={() => toggle(item)} />}
                label={`${item.instrumentName}: ${item.name.toLowerCase()}`}
              />
            ))}
          </Stack>
          <BrassButton disabled={busy || chosen.length === 0} onClick={() => onSet(chosen, on)}>
            Set it for {FORMAT.weekdayDate(on)}
          </BrassButton>
          {isSet && (
            <Button variant="outlined" color="inherit" disabled={busy} onClick={() => onSet(sitting.items, null)}>
              Let Ulu plan it again
            </Button>
          )}
          <Button variant="outlined" color="inherit" disabled={busy} onClick={() => onStart(sitting)}>
            Do it now
          </Button>
          <Button color="inherit" onClick={onClose}>
            Not now
          </Button>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
