import { Box, Button } from '@mui/material';
import { noRoomWords, refusedWords, unsentWords } from '#core/record/unsent-words.ts';
import { useRunEventsSent } from '#web/features/packup/run.actions.ts';
import { outbox, sender } from '#web/record/sending.ts';
import { useSending } from '#web/record/use-sending.ts';
import { useUnsent } from '#web/record/use-unsent.ts';
import { Caution } from '#web/ui/Caution.tsx';

/** Sends what was said on this device, and tells what waits and what was refused: nothing is lost, and nothing pretended. */
export function Unsent() {
  useRunEventsSent();
  useSending();
  const { waiting, refused, unkept, heldUp } = useUnsent();
  return (
    <Box data-waiting={waiting.length}>
      {heldUp && waiting.length > 0 && (
        <Caution
          role="status"
          below={2}
          action={
            <Button color="inherit" onClick={() => void sender.flush()}>
              Try now
            </Button>
          }
        >
          {unsentWords(waiting.length)}
          {unkept > 0 && ` ${noRoomWords(unkept)}`}
        </Caution>
      )}
      {refused.map(({ key, says, refused: why = '' }) => (
        <Caution
          key={key}
          role="status"
          below={2}
          action={
            <Button color="inherit" onClick={() => outbox.remove(key)}>
              Remove
            </Button>
          }
        >
          {refusedWords(says, why)}
        </Caution>
      ))}
    </Box>
  );
}
