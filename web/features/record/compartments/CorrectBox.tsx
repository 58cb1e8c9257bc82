import { useQuery } from '@tanstack/react-query';
import { useToday, wallNow } from '#web/clock/today.ts';
import { BoxSheet } from '#web/features/reeds/parts/BoxSheet.tsx';
import { useReedBox } from '#web/features/reeds/reeds.actions.ts';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import type { CorrectingProps } from '#web/features/record/compartments/correcting.ts';

/** Puts a box of reeds right. */
export function CorrectBox({ entryKey, said, onClose }: CorrectingProps<'reed-box'>) {
  const box = useReedBox();
  const today = useToday();
  const reeds = useQuery(reedQueries.of(said.playerId, wallNow()));
  const ofKind = reeds.data?.kinds.find(({ kind }) => kind === said.kind);
  if (reeds.data === undefined || ofKind === undefined) return null;
  return (
    <BoxSheet
      playerId={said.playerId}
      of={ofKind}
      old={{ ...said, key: entryKey, entered: said }}
      currency={reeds.data.currency}
      today={today}
      box={box}
      onClose={onClose}
    />
  );
}
