import type { Said } from '#contract/fact.ts';
import { reedPlayFact } from '#contract/reeds.ts';
import { useLog } from '#web/record/log.actions.ts';

type Content = Said<typeof reedPlayFact>;

/** Says which reeds a play was on, or puts it right. */
export function useReedPlay() {
  const { log, busy } = useLog(reedPlayFact);
  return {
    busy,
    say: (play: Content, corrects?: string) => log(play, { said: 'Noted on which reed it was.', corrects }),
  };
}
