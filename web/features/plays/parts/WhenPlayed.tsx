import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { clockTime } from '#core/plays/play-words.ts';
import type { WallClock } from '#core/plays/play.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { DateField } from '#web/ui/DateField.tsx';

type When = 'now' | 'today' | 'day';
const WHEN: readonly { readonly value: When; readonly words: string }[] = [
  { value: 'now', words: 'Just now' },
  { value: 'today', words: 'Earlier today' },
  { value: 'day', words: 'Another day' },
];
const HALF_HOUR = 30;
const AN_HOUR = 60;

/** When a play ended, as it is chosen; `endedOn` null while no day is chosen. */
export function useWhenPlayed(now: WallClock) {
  const [when, setWhen] = useState<When>('now');
  const [backMinutes, setBackMinutes] = useState(AN_HOUR);
  const [day, setDay] = useState<LocalDate | null>(addDays(now.on, -1));
  const earlier = Math.max(0, now.atMinute - backMinutes);
  return {
    endedOn: when === 'day' ? day : now.on,
    endedAtMinute: when === 'day' ? null : when === 'now' ? now.atMinute : earlier,
    choice: { now, when, setWhen, backMinutes, setBackMinutes, day, setDay, earlier },
  };
}

/** When it ended, in big steps: nothing to type. */
export function WhenPlayed({
  choice: { now, when, setWhen, backMinutes, setBackMinutes, day, setDay, earlier },
}: Pick<ReturnType<typeof useWhenPlayed>, 'choice'>) {
  return (
    <>
      <ChooseOne label="When it ended" labelHidden options={WHEN} value={when} onChange={setWhen} />
      {when === 'today' && (
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'center', gap: 2 }}>
          <Button
            variant="outlined"
            color="inherit"
            onClick={() => setBackMinutes(Math.min(now.atMinute, backMinutes + HALF_HOUR))}
          >
            Half an hour earlier
          </Button>
          <Typography component="output" aria-live="polite" variant="h2">
            ended at {clockTime(earlier)}
          </Typography>
          <Button
            variant="outlined"
            color="inherit"
            onClick={() => setBackMinutes(Math.max(0, backMinutes - HALF_HOUR))}
          >
            Later
          </Button>
        </Box>
      )}
      {when === 'day' && <DateField label="Which day" value={day} onChange={setDay} latest={now.on} />}
    </>
  );
}
