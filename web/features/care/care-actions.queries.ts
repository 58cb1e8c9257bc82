import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { CareClockView } from '#contract/care.ts';
import { newKey } from '#web/api/new-key.ts';
import { wallNow } from '#web/clock/today.ts';
import { useLogCare } from '#web/features/care/care.queries.ts';
import { useStartRun } from '#web/features/packup/packup.queries.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** What can be done about a care item of one instrument: start it now, or say that it is done. */
export function useCareActions(instrumentId: string, playerId: string) {
  const [asked, setAsked] = useState<CareClockView | null>(null);
  const logCare = useLogCare();
  const startRun = useStartRun();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const navigate = useNavigate();
  const failed = (error: Error) => notice({ text: error.message, tone: 'failed' });

  const doNow = (itemId: string) =>
    startRun.mutate(
      { key: newKey(), instrumentId, playerId, kind: 'care', playKey: null, itemIds: [itemId], now: wallNow() },
      { onSuccess: ({ key }) => void navigate(`/pack-up/${instrumentId}/${key}`), onError: failed },
    );

  const done = (doneOn: string, by: 'player' | 'bench') => {
    if (!asked) return;
    const key = newKey();
    logCare.mutate(
      { key, instrumentId, itemId: asked.itemId, doneOn, by, now: wallNow() },
      {
        onSuccess: () => {
          setAsked(null);
          notice({ text: `${asked.name}: noted.`, undo: () => withdraw.mutate(key, { onError: failed }) });
        },
      },
    );
  };

  const ask = (clock: CareClockView | null) => {
    logCare.reset();
    setAsked(clock);
  };
  return {
    asked,
    ask,
    done,
    doNow,
    busy: startRun.isPending || logCare.isPending,
    problem: logCare.error?.message ?? null,
  };
}
