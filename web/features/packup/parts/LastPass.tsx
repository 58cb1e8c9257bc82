import { Box, Button, Typography } from '@mui/material';
import type { RunStepView } from '#contract/packup.ts';

type LastPassProps = {
  readonly step: RunStepView;
  readonly several: boolean;
  readonly busy: boolean;
  readonly onFound: (found: 'dry' | 'wet' | 'first-dry', count: number) => void;
};

const ANSWERS = [
  { found: 'dry', words: 'Dry' },
  { found: 'first-dry', words: 'Dry, the first one that was' },
  { found: 'wet', words: 'Still wet' },
] as const;

/** One tap that tunes the passes to this player and instrument. */
export function LastPass({ step, several, busy, onFound }: LastPassProps) {
  const made = step.counted > 0 ? step.counted : (step.repeats?.count ?? 1);
  return (
    <Box role="group" aria-label={`The last pass, ${step.instrumentName}`} sx={{ mt: 2 }}>
      <Typography sx={{ fontWeight: 650 }}>
        {several && `${step.instrumentName}, `}
        {step.partName.toLowerCase()}: how did the last of {made} passes come out?
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        It tunes the passes to you.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {ANSWERS.map(({ found, words }) => (
          <Button
            key={found}
            variant={step.lastPass === found ? 'contained' : 'outlined'}
            color="inherit"
            disabled={busy}
            aria-pressed={step.lastPass === found}
            onClick={() => onFound(found, made)}
            sx={{ minHeight: 52 }}
          >
            {words}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
