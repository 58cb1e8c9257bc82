import { Box, Button, MenuItem, TextField } from '@mui/material';
import { Grid } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** How far gone a reed is when it is entered: minutes of playing, null where nobody knows. */
const GONE = [
  { minutes: 0, short: 'new', all: 'All are new' },
  { minutes: 170, short: 'a week', all: 'All played about a week' },
  { minutes: 900, short: 'a month', all: 'All played about a month' },
  { minutes: null, short: 'unknown', all: 'Played, nobody knows how long' },
] as const;
const APART = 'apart';

type Minutes = number | null;
const shortOf = (minutes: Minutes): string =>
  GONE.find((one) => one.minutes === minutes)?.short ?? `${String(minutes)} min`;
const nextOf = (minutes: Minutes): Minutes => {
  const at = GONE.findIndex((one) => one.minutes === minutes);
  return GONE[(at + 1) % GONE.length]?.minutes ?? null;
};

type BoxBeforeProps = {
  readonly before: readonly Minutes[];
  /** Said reed by reed. */
  readonly apart: boolean;
  readonly onChange: (before: readonly Minutes[], apart: boolean) => void;
};

/** How far gone the reeds are: said at once for all, or by a tap for each. */
export function BoxBefore({ before, apart, onChange }: BoxBeforeProps) {
  const all = GONE.find(({ minutes }) => before.every((one) => one === minutes));
  const value = apart || all === undefined ? APART : all.short;
  return (
    <>
      <TextField
        select
        label="How far gone"
        value={value}
        onChange={({ target }) => {
          const chosen = GONE.find(({ short }) => short === target.value);
          onChange(chosen ? before.map(() => chosen.minutes) : before, chosen === undefined);
        }}
      >
        {GONE.map(({ short, all: words }) => (
          <MenuItem key={short} value={short}>
            {words}
          </MenuItem>
        ))}
        <MenuItem value={APART}>Not all alike: say it reed by reed</MenuItem>
      </TextField>
      {value === APART && (
        <Box>
          <Text variant="body2" color="text.secondary" below={0.5}>
            Tap a reed until it is right.
          </Text>
          <Grid columns="repeat(auto-fill, minmax(96px, 1fr))">
            {before.map((minutes, index) => (
              <Button
                key={index}
                variant="outlined"
                color="inherit"
                aria-label={`Reed ${index + 1}: ${shortOf(minutes)}`}
                onClick={() =>
                  onChange(
                    before.map((one, at) => (at === index ? nextOf(one) : one)),
                    true,
                  )
                }
                sx={{ flexDirection: 'column', py: 0.75, lineHeight: 1.25 }}
              >
                <strong>{index + 1}</strong>
                {shortOf(minutes)}
              </Button>
            ))}
          </Grid>
        </Box>
      )}
    </>
  );
}
