import { reedPaths, type ReedPlayRequest } from '#contract/reeds.ts';
import { useLog } from '#web/features/record/log.actions.ts';

type Content = Omit<ReedPlayRequest, 'key' | 'now'>;

/** Says which reeds a play was on, or puts it right. */
export function useReedPlay() {
  const { log, busy } = useLog({
    path: reedPaths.plays,
    about: (_play: Content) => 'everything',
  });
  return {
    busy,
    say: (play: Content) => log(play, { said: 'Noted on which reed it was.' }),
    /** With a play that says itself that it was logged, and is taken back with it. */
    alsoSay: (play: Content) => log(play),
  };
}
