import { useReadAir } from '#web/features/air/air.actions.ts';
import { AirSheet } from '#web/features/air/parts/AirSheet.tsx';
import type { CorrectingProps } from '#web/features/record/compartments/correcting.ts';

/** Puts right what the hygrometer showed. */
export function CorrectAir({ entryKey, said, onClose }: CorrectingProps<'air-reading'>) {
  const air = useReadAir();
  return <AirSheet playerId={said.playerId} read={said} corrects={entryKey} air={air} onClose={onClose} />;
}
