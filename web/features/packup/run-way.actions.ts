import { useState } from 'react';
import type { RunWay } from '#core/players/run-way.ts';
import { runWayFact } from '#contract/players.ts';
import type { RunView } from '#contract/packup.ts';
import { useLog } from '#web/record/log.actions.ts';

/** How this run is gone through, and how a player says that they want another way from now on. */
export function useRunWay({ way, playerId }: Pick<RunView, 'way' | 'playerId'>) {
  const [chosen, setChosen] = useState<RunWay>(way);
  const { log } = useLog(runWayFact);
  return {
    way: chosen,
    choose: (next: RunWay): void => {
      setChosen(next);
      log({ playerId, way: next });
    },
  };
}
