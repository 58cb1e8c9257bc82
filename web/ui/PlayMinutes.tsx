import { Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import { LEAST_PLAY_MINUTES, MOST_PLAY_MINUTES } from '#core/plays/play.ts';
import { Grid } from '#web/ui/layout.tsx';

const STEPS = [-15, -5, 5, 15] as const;
const clamp = (minutes: number): number => Math.min(MOST_PLAY_MINUTES, Math.max(LEAST_PLAY_MINUTES, minutes));
/** Minutes to the next round step: from 7, "+5" is 10. */
const stepped = (minutes: number, by: number): number =>
  clamp(by > 0 ? Math.floor((minutes + by) / 5) * 5 : Math.ceil((minutes + by) / 5) * 5);

/** How long a play was, in big steps: nothing to type. */
export function PlayMinutes({
  minutes,
  setMinutes,
}: {
  readonly minutes: number;
  readonly setMinutes: (minutes: number) => void;
}) {
  return (
    <Grid columns={{ xs: 'repeat(4, 1fr)', sm: '1fr 1fr auto 1fr 1fr' }} align="center">
      {STEPS.slice(0, 2).map((by) => (
        <Button
          key={by}
          variant="outlined"
          color="inherit"
          onClick={() => setMinutes(stepped(minutes, by))}
          aria-label={`−${-by} minutes`}
          sx={{ minHeight: 64, minWidth: 0, fontSize: '1.125rem' }}
        >
          −{-by}
        </Button>
      ))}
      <Typography
        component="output"
        aria-live="polite"
        sx={{
          typography: 'h1',
          minWidth: 116,
          textAlign: 'center',
          // On a phone the figure stands above its buttons, so that each is as wide as a thumb.
          gridColumn: { xs: '1 / -1', sm: 'auto' },
          order: { xs: -1, sm: 0 },
        }}
      >
        {duration(minutes)}
      </Typography>
      {STEPS.slice(2).map((by) => (
        <Button
          key={by}
          variant="outlined"
          color="inherit"
          onClick={() => setMinutes(stepped(minutes, by))}
          aria-label={`+${by} minutes`}
          sx={{ minHeight: 64, minWidth: 0, fontSize: '1.125rem' }}
        >
          +{by}
        </Button>
      ))}
    </Grid>
  );
}
