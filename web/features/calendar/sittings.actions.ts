import { sittingPaths, type SittingMoveRequest, type SittingTimeRequest } from '#contract/sittings.ts';
import { useLog } from '#web/features/record/log.actions.ts';

/** When one usually has time for a sitting. */
export const useSittingTime = () =>
  useLog({
    path: sittingPaths.times,
    about: (_time: Omit<SittingTimeRequest, 'key' | 'now' | 'corrects'>) => 'everything',
    form: true,
  });

/** Sets what of a sitting is done on another day, or leaves it to the plan again. */
export const useSittingMove = () =>
  useLog({
    path: sittingPaths.moves,
    about: (_move: Omit<SittingMoveRequest, 'key' | 'now' | 'corrects'>) => 'everything',
  });
