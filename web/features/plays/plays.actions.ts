import { playPaths, playView, type LogPlayRequest } from '#contract/plays.ts';
import { useLog } from '#web/features/record/log.actions.ts';

type Played = Omit<LogPlayRequest, 'key' | 'now' | 'corrects'>;

/** Logs a play. */
export const useLogPlay = () =>
  useLog({ path: playPaths.log, answer: playView, about: ({ instrumentId }: Played) => [instrumentId], form: true });

/** Takes the place of a play that was logged wrongly. */
export const useCorrectPlay = () =>
  useLog({
    path: playPaths.log,
    answer: playView,
    about: ({ instrumentId }: Played & { readonly corrects: string }) => [instrumentId],
    form: true,
  });
