import type { RecordEntryView } from '#contract/record.ts';
import type { PlayView } from '#contract/plays.ts';
import { useToday } from '#web/clock/today.ts';
import { CorrectPlaySheet, type CorrectedPlay } from '#web/features/plays/parts/CorrectPlaySheet.tsx';
import { useCorrectPlay } from '#web/features/plays/plays.queries.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** Puts a play of the record right; everything that stands on it follows. */
export function CorrectPlay({ entry, onClose }: { readonly entry: RecordEntryView; readonly onClose: () => void }) {
  const correct = useCorrectPlay();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const today = useToday();
  const play = entry.body as Omit<PlayView, 'key'>;
  const keep = (corrected: CorrectedPlay) =>
    correct.log(
      { ...play, ...corrected, corrects: entry.key },
      {
        onSuccess: (key) => {
          onClose();
          notice({ text: 'The play is corrected.', undo: () => withdraw.mutate(key) });
        },
      },
    );
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
