import type { RecordEntryView } from '#contract/record.ts';
import type { Play } from '#core/plays/play.ts';
import { useToday } from '#web/clock/today.ts';
import { CorrectPlaySheet, type CorrectedPlay } from '#web/features/plays/parts/CorrectPlaySheet.tsx';
import { useCorrectPlay } from '#web/features/plays/plays.actions.ts';

/** Puts a play of the record right; everything that stands on it follows. */
export function CorrectPlay({ entry, onClose }: { readonly entry: RecordEntryView; readonly onClose: () => void }) {
  const correct = useCorrectPlay();
  const today = useToday();
  const play = entry.body as Omit<Play, 'key'>;
  const keep = (corrected: CorrectedPlay) =>
    correct.log({ ...play, ...corrected, corrects: entry.key }, { said: 'The play is corrected.', onLogged: onClose });
  return (
    <CorrectPlaySheet
      play={play}
      today={today}
      problem={correct.problem}
      busy={correct.busy}
      onKeep={keep}
      onClose={onClose}
    />
  );
}
