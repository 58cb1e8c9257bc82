import { Button, DialogContent, DialogTitle, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import type { SittingsView } from '#contract/sittings.ts';
import type { useSittingTime } from '#web/features/calendar/sittings.actions.ts';
import { NumberStepper } from '#web/ui/NumberStepper.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';

type SittingTimesProps = {
  readonly view: SittingsView;
  readonly time: ReturnType<typeof useSittingTime>;
  readonly onClose: () => void;
};

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
/** What a tap goes through. */
const STEPS = [0, 10, 20, 30, 45, 60, 90] as const;
const stepped = (minutes: number, by: 1 | -1): number =>
  (by > 0 ? STEPS.find((one) => one > minutes) : STEPS.findLast((one) => one < minutes)) ?? minutes;

type StartTimesProps = {
  readonly minutes: readonly number[];
  readonly starts: readonly (number | null)[];
  readonly onChange: (weekday: number, at: number | null) => void;
};

const MINUTES_AN_HOUR = 60;
const asClock = (at: number): string =>
  [Math.floor(at / MINUTES_AN_HOUR), at % MINUTES_AN_HOUR].map((part) => String(part).padStart(2, '0')).join(':');
/** Minutes of the day from what a time field holds; null where it is empty. */
function fromClock(text: string): number | null {
  const [hours, minutes] = text.split(':').map(Number);
  return text === '' || hours === undefined || minutes === undefined ? null : hours * MINUTES_AN_HOUR + minutes;
}

/** When one begins on each day that has time, for a calendar program: empty where one does not say. */
const StartTimes = ({ minutes, starts, onChange }: StartTimesProps) => (
  <>
    <Typography variant="body2" color="text.secondary">
      In a calendar program the sitting then stands at that time. A day without one stands as a whole day.
    </Typography>
    {WEEKDAYS.map((name, weekday) => {
      const at = starts[weekday] ?? null;
      return minutes[weekday] === 0 ? null : (
        <TextField
          key={name}
          type="time"
          size="small"
          label={`${name} from`}
          value={at === null ? '' : asClock(at)}
          onChange={({ target }) => onChange(weekday, fromClock(target.value))}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      );
    })}
  </>
);

/** How many minutes one usually has on each weekday. */
export function SittingTimes({ view, time, onClose }: SittingTimesProps) {
  const [minutes, setMinutes] = useState<readonly number[]>(view.said ?? view.usual);
  const [starts, setStarts] = useState<readonly (number | null)[]>(view.startsAt ?? WEEKDAYS.map(() => null));
  const [isSaying, setIsSaying] = useState(view.startsAt !== null);
  const change = (weekday: number, by: 1 | -1) =>
    setMinutes(minutes.map((one, at) => (at === weekday ? stepped(one, by) : one)));
  const keep = () =>
    time.log(
      {
        playerId: view.playerId,
        minutes: [...minutes],
        startsAt: starts.some((one) => one !== null) ? [...starts] : null,
      },
      { said: 'Your time is noted, and the weeks are planned anew.', onLogged: onClose },
    );
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="times-title">
      <DialogTitle id="times-title" variant="h1">
        When have you time?
      </DialogTitle>
      <DialogContent>
        <Stack spacing={1}>
          {WEEKDAYS.map((name, weekday) => (
            <NumberStepper
              key={name}
              label={name}
              words={minutes[weekday] === 0 ? 'none' : `${minutes[weekday] ?? 0} min`}
              onLess={() => change(weekday, -1)}
              onMore={() => change(weekday, 1)}
            />
          ))}
          {isSaying ? (
            <StartTimes
              minutes={minutes}
              starts={starts}
              onChange={(weekday, at) => setStarts(starts.map((one, index) => (index === weekday ? at : one)))}
            />
          ) : (
            <Button color="inherit" onClick={() => setIsSaying(true)} sx={{ alignSelf: 'flex-start' }}>
              Say at what time, too
            </Button>
          )}
          <SheetEnd problem={time.problem} disabled={time.busy} onKeep={keep} onClose={onClose}>
            Plan with that
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
