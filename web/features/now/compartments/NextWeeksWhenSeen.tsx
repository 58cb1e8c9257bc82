import { Box } from '@mui/material';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { useSeen } from '#web/ui/use-seen.ts';

const [NextWeeks] = lazyPart(async () => (await import('#web/features/now/compartments/NextWeeks.tsx')).NextWeeks);

/** The next sitting: work for the server, begun when somebody scrolls to it. */
export function NextWeeksWhenSeen({ playerId }: { readonly playerId: PlayerId }) {
  const [ref, isSeen] = useSeen();
  return (
    <Box ref={ref} sx={{ minHeight: 96 }}>
      {isSeen && <NextWeeks playerId={playerId} />}
    </Box>
  );
}
