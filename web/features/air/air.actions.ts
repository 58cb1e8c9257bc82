import { airPaths, type AirReadingRequest } from '#contract/air.ts';
import { useLog } from '#web/features/record/log.actions.ts';

/** What the hygrometer shows; the room, dry air and reeds look at it. */
export const useReadAir = () =>
  useLog({
    path: airPaths.readings,
    about: (_read: Omit<AirReadingRequest, 'key' | 'now' | 'corrects'>) => 'everything',
    form: true,
  });
