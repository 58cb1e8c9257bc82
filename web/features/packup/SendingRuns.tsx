import { Button } from '@mui/material';
import { unsentWords } from '#core/packup/run-words.ts';
import { useHeldUp, useSendingRuns } from '#web/features/packup/run.actions.ts';
import { Caution } from '#web/ui/Caution.tsx';
import { runSender } from '#web/features/packup/run-sending.ts';

/** Sends what happened in runs, and says so while nobody answers: nothing that was ticked is lost. */
export function SendingRuns() {
  useSendingRuns();
  const count = useHeldUp();
  if (count === 0) return null;
  return (
    <Caution
      role="status"
      sx={{ mb: 2 }}
      action={
        <Button color="inherit" onClick={() => void runSender.flush()}>
          Try now
        </Button>
      }
    >
      {unsentWords(count)}
    </Caution>
  );
}
