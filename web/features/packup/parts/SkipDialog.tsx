import { Button, DialogActions, DialogContent, DialogTitle, Stack, Typography } from '@mui/material';
import { SKIP_REASONS, SKIP_SETTLES, type SkipReason } from '#core/packup/run-event.ts';
import { cannotThenWords } from '#core/packup/run-words.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { SKIP_WORDS } from '#web/features/packup/skip-words.ts';
import { Sheet } from '#web/ui/Sheet.tsx';
import { LineButton } from '#web/ui/LineButton.tsx';
import { Caution } from '#web/ui/Caution.tsx';

type SkipDialogProps = {
  readonly step: ShownStep;
  /** What cannot be done without it, by what it says. */
  readonly barred: readonly string[];
  readonly onSkip: (reason: SkipReason) => void;
  readonly onClose: () => void;
};

/** Leaving a step out takes one tap: the reason. What it costs is said first. */
export function SkipDialog({ step, barred, onSkip, onClose }: SkipDialogProps) {
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="skip-title">
      <DialogTitle id="skip-title" variant="h2">
        Leave this out?
      </DialogTitle>
      <DialogContent>
        <Stack spacing={1}>
          {step.harm && <Caution>If you skip this: {step.harm}.</Caution>}
          {barred.length > 0 && <Typography variant="body2">{cannotThenWords(barred)}</Typography>}
          {SKIP_REASONS.map((reason) => (
            <LineButton key={reason} variant="outlined" color="inherit" onClick={() => onSkip(reason)} between>
              {SKIP_WORDS[reason]}
              <span>{SKIP_SETTLES[reason] ? 'counts as done' : 'stays due'}</span>
            </LineButton>
          ))}
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Back
        </Button>
      </DialogActions>
    </Sheet>
  );
}
