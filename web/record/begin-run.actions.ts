import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Said } from '#contract/fact.ts';
import { runFact } from '#contract/packup.ts';
import { runQueries } from '#web/record/run.queries.ts';
import { useLog } from '#web/record/log.actions.ts';

type Beginning = Said<typeof runFact>;
type Share = Beginning['parts'][number];
export type RunToBegin = Pick<Beginning, 'kind' | 'playerId'> & {
  readonly parts: readonly (Pick<Share, 'instrumentId'> & Partial<Share>)[];
  /** Null: all the time it takes. */
  readonly minutesAtHand?: number | null;
};

/** Begins a run over one or several instruments and opens it. */
export function useBeginRun() {
  const cache = useQueryClient();
  const navigate = useNavigate();
  const { log, busy } = useLog(runFact);
  const begin = ({ kind, playerId, parts, minutesAtHand = null }: RunToBegin) =>
    log(
      {
        playerId,
        kind,
        parts: parts.map(({ instrumentId, playKey = null, itemIds = [], alone }) => ({
          ...{ instrumentId, playKey, itemIds },
          ...(alone === undefined ? {} : { alone }),
        })),
        minutesAtHand,
      },
      {
        onAnswered: (run) => {
          cache.setQueryData(runQueries.of(run.key).queryKey, run);
          void navigate(`/pack-up/${run.parts[0]?.instrumentId}/${run.key}`);
        },
      },
    );
  return { begin, busy };
}
