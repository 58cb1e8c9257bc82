import { Box, Checkbox, FormControlLabel, Typography } from '@mui/material';
import type { CalendarPreview } from '#contract/calendar-in.ts';
import { FORMAT } from '#web/clock/format.ts';

type ImportVanishedProps = Pick<CalendarPreview, 'vanished'> & {
  readonly dropped: readonly string[];
  readonly onChange: (dropped: readonly string[]) => void;
};

/** What is no longer in the file: it stays, unless it is ticked. */
export function ImportVanished({ vanished, dropped, onChange }: ImportVanishedProps) {
  if (vanished.length === 0) return null;
  const toggle = (key: string) =>
    onChange(dropped.includes(key) ? dropped.filter((one) => one !== key) : [...dropped, key]);
  return (
    <Box>
      <Typography sx={{ fontWeight: 650 }}>No longer in it. Tick what goes; the rest stays.</Typography>
      {vanished.map(({ key, on, words }) => (
        <Box key={key}>
          <FormControlLabel
            control={<Checkbox checked={dropped.includes(key)} onChange={() => toggle(key)} />}
            label={`${FORMAT.weekdayDate(on)}: ${words}`}
            sx={{ minHeight: 44, overflowWrap: 'anywhere' }}
          />
        </Box>
      ))}
    </Box>
  );
}
