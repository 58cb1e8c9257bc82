import { Button, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import type { SittingsView } from '#contract/sittings.ts';
import type { useSittingTime } from '#web/features/calendar/sittings.actions.ts';
import { NumberStepper } from '#web/ui/NumberStepper.tsx';
import { weekdaysInOrder } from '#web/clock/weekdays.ts';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';
import { TimeField } from '#web/ui/TimeField.tsx';
import { Actions } from '#web/ui/Actions.tsx';

type SittingTimesProps = {
  readonly view: SittingsView;
  readonly time: ReturnType<typeof useSittingTime>;
  readonly onClose: () => void;
};

/** What a tap goes through. */
const STEPS = [0, 10, 20, 30, 45, 60, 90] as const;
const stepped = (minutes: number, by: 1 | -1): number =>
  (by > 0 ? STEPS.find((one) => one > minutes) : STEPS.findLast((one) => one < minutes)) ?? minutes;

type StartTimesProps = {
  readonly minutes: readonly number[];
  readonly starts: readonly (number | null)[];
  readonly onChange: (weekday: number, at: number | null) => void;
};

/** When one begins on each day that has time, for a calendar program: empty where one does not say. */
const StartTimes = ({ minutes, starts, onChange }: StartTimesProps) => (
  <>
    <Typography variant="body2" color="text.secondary">
      In a calendar program the sitting then stands at that time. A day without one stands as a whole day.
    </Typography>
    {weekdaysInOrder().map(({ weekday, name }) => {
      const at = starts[weekday] ?? null;
      return minutes[weekday] === 0 ? null : (
        <TimeField key={name} label={`${name} from`} value={at} onChange={(next) => onChange(weekday, next)} />
      );
    })}
  </>
);

/** How many minutes one usually has on each weekday. */
export function SittingTimes({ view, time, onClose }: SittingTimesProps) {
  const [minutes, setMinutes] = useState<readonly number[]>(view.said ?? view.usual);
  const [starts, setStarts] = useState<readonly (number | null)[]>(view.startsAt ?? minutes.map(() => null));
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
          {weekdaysInOrder().map(({ weekday, name }) => (
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
            <Actions>
              <Button color="inherit" onClick={() => setIsSaying(true)}>
                Say at what time, too
              </Button>
            </Actions>
          )}
          <SheetEnd problem={time.problem} disabled={time.busy} onKeep={keep} onClose={onClose}>
            Plan with that
          </SheetEnd>
        </Stack>
      </DialogContent>
    </Sheet>
  );
}
