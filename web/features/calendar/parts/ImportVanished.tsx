import { Box, Checkbox, FormControlLabel } from '@mui/material';
import type { CalendarPreview } from '#contract/calendar-in.ts';
import { FORMAT } from '#web/clock/format.ts';
import { Text } from '#web/ui/Text.tsx';

type ImportVanishedProps = Pick<CalendarPreview, 'vanished'> & {
  readonly dropped: readonly string[];
  readonly onChange: (dropped: readonly string[]) => void;
};

/** What is no longer in the file: what its calendar has cancelled goes, the rest stays, unless the player says otherwise. */
export function ImportVanished({ vanished, dropped, onChange }: ImportVanishedProps) {
  if (vanished.length === 0) return null;
  const toggle = (key: string) =>
    onChange(dropped.includes(key) ? dropped.filter((one) => one !== key) : [...dropped, key]);
  const list = (title: string, all: CalendarPreview['vanished']) =>
    all.length > 0 && (
      <Box>
        <Text strong>{title}</Text>
        {all.map(({ key, on, words }) => (
          <Box key={key}>
            <FormControlLabel
              control={<Checkbox checked={dropped.includes(key)} onChange={() => toggle(key)} />}
              label={`${FORMAT.weekdayDate(on)}: ${words}`}
            />
          </Box>
        ))}
      </Box>
    );
  return (
    <>
      {list(
        'Cancelled by its calendar. What is ticked goes.',
        vanished.filter(({ isCancelled }) => isCancelled),
      )}
      {list(
        'No longer in it. Tick what goes; the rest stays.',
        vanished.filter(({ isCancelled }) => !isCancelled),
      )}
    </>
  );
}
