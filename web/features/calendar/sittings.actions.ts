import { sittingPaths, type SittingTimeRequest } from '#contract/sittings.ts';
import { useLog } from '#web/features/record/log.actions.ts';

/** When one usually has time for a sitting. */
export const useSittingTime = () =>
  useLog({
    path: sittingPaths.times,
    about: (_time: Omit<SittingTimeRequest, 'key' | 'now' | 'corrects'>) => 'everything',
    form: true,
  });
