import { foldExamination, type SoakSaid } from '#core/doublereeds/examination.ts';
import type { Move } from '#core/doublereeds/next-move.ts';
import type { AtHand } from '#server/features/doublereeds/table-at-hand.ts';

/** What can be said of the soak now: that it is wet through where that is awaited, that it lies in water where it should again. */
export function soakSays(
  move: Move,
  { examination, setting }: Pick<AtHand, 'examination' | 'setting'>,
): SoakSaid | null {
  if (move.move !== 'soak' || move.why === 'step-waits') return null;
  return foldExamination(examination, setting.sort).throughMs === null ? 'through' : 'in';
}
