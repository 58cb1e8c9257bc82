import { useId } from 'react';
import { Box, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import type { LastPass as Found } from '#core/water/wetness.ts';
import type { ShownStep } from '#contract/shown-run.ts';

type LastPassProps = {
  readonly step: ShownStep;
  readonly several: boolean;
  readonly busy: boolean;
  readonly onFound: (found: Found, count: number) => void;
};

const ANSWERS = [
  { found: 'dry', words: 'Dry' },
  { found: 'first-dry', words: 'Only this one dry' },
  { found: 'wet', words: 'Still wet' },
] as const;

/** One tap that tunes the passes to this player and instrument. */
export function LastPass({ step, several, busy, onFound }: LastPassProps) {
  const id = useId();
  const made = step.counted > 0 ? step.counted : (step.count ?? 1);
  return (
    <Box sx={{ mt: 2 }}>
      <Typography id={id} sx={{ fontWeight: 650 }}>
        {several && `${step.instrumentName}: `}
        {step.partName}: how did the last of {made} passes come out?
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        It tunes the passes to you.
      </Typography>
      <ToggleButtonGroup
        exclusive
        fullWidth
        aria-labelledby={id}
        value={step.lastPass}
        disabled={busy}
        onChange={(_, found: Found | null) => found && onFound(found, made)}
      >
        {ANSWERS.map(({ found, words }) => (
          <ToggleButton key={found} value={found}>
            {words}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
