import { useNavigate } from 'react-router';
import type { RunKind } from '#core/packup/run-log.ts';
import type { StartRunRequest } from '#contract/packup.ts';
import { newKey } from '#web/api/new-key.ts';
import { wallNow } from '#web/clock/today.ts';
import { useStartRun } from '#web/features/packup/packup.queries.ts';
import { useNotice } from '#web/ui/Notice.tsx';

type Share = StartRunRequest['parts'][number];
export type RunToBegin = {
  readonly kind: RunKind;
  readonly playerId: string;
  readonly parts: readonly (Pick<Share, 'instrumentId'> & Partial<Share>)[];
  /** Null: all the time it takes. */
  readonly minutesAtHand?: number | null;
};

/** Begins a run over one or several instruments and opens it. */
export function useBeginRun() {
  const start = useStartRun();
  const notice = useNotice();
  const navigate = useNavigate();
  const begin = ({ kind, playerId, parts, minutesAtHand = null }: RunToBegin) =>
    start.mutate(
      {
        key: newKey(),
        playerId,
        kind,
        parts: parts.map(({ instrumentId, playKey = null, itemIds = [] }) => ({ instrumentId, playKey, itemIds })),
        minutesAtHand,
        now: wallNow(),
      },
      {
        onSuccess: (run) => void navigate(`/pack-up/${run.parts[0]?.instrumentId}/${run.key}`),
        onError: (error) => notice({ text: error.message, tone: 'failed' }),
      },
    );
  return { begin, busy: start.isPending };
}
