import { useQuery } from '@tanstack/react-query';
import { useToday } from '#web/clock/today.ts';
import type { CorrectingProps } from '#web/features/record/compartments/correcting.ts';
import { CorrectPlaySheet, type CorrectedPlay } from '#web/features/plays/parts/CorrectPlaySheet.tsx';
import { instrumentPageQueries } from '#web/record/instrument-page.queries.ts';
import { useLogPlay } from '#web/features/plays/plays.actions.ts';

/** Puts a play of the record right; everything that stands on it follows. */
export function CorrectPlay({ entryKey, said, onClose }: CorrectingProps<'play'>) {
  const play = useLogPlay();
  const today = useToday();
  const page = useQuery(instrumentPageQueries.of(said.instrumentId, today));
  // On which reeds it was is an entry of its own, and follows its minutes.
  const { reeds: _reeds, ...before } = said;
  const keep = (corrected: CorrectedPlay) =>
    play.log({ ...before, ...corrected }, { said: 'The play is corrected.', corrects: entryKey, onLogged: onClose });
  return (
    <CorrectPlaySheet
      play={{ ...before, alone: before.alone ?? null }}
      sets={page.data?.alone.sets ?? []}
      today={today}
      problem={play.problem}
      busy={play.busy}
      onKeep={keep}
      onClose={onClose}
    />
  );
}
