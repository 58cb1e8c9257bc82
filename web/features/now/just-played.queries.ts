import { useNavigate } from 'react-router';
import { newKey } from '#web/api/new-key.ts';
import { wallNow } from '#web/clock/today.ts';
import { useStartRun } from '#web/features/packup/packup.queries.ts';
import { useLogPlay } from '#web/features/plays/plays.queries.ts';
import type { PlayedEntry } from '#web/features/plays/parts/PlayedSheet.tsx';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useNotice } from '#web/ui/Notice.tsx';
import type { RunKind } from '#core/packup/run-log.ts';
import { duration } from '#core/explain/format.ts';

/** Logs a play, and goes on to packing up if asked. The play's Undo stays at hand either way. */
export function useJustPlayed(instrumentId: string, playerId: string) {
  const logPlay = useLogPlay();
  const startRun = useStartRun();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const navigate = useNavigate();
  const failed = (error: Error) => notice({ text: error.message, tone: 'failed' });

  const begin = (kind: RunKind, playKey: string | null, itemIds: readonly string[]) =>
    startRun.mutate(
      { key: newKey(), instrumentId, playerId, kind, playKey, itemIds: [...itemIds], now: wallNow() },
      { onSuccess: ({ key }) => void navigate(`/pack-up/${instrumentId}/${key}`), onError: failed },
    );
  const packUp = (playKey: string | null, itemIds: readonly string[]) => begin('after', playKey, itemIds);
  const makeReady = () => begin('before', null, []);

  const log = (entry: PlayedEntry, goOn: boolean, itemIds: readonly string[], onLogged: () => void) => {
    const key = newKey();
    logPlay.mutate(
      { key, instrumentId, playerId, ...entry, now: wallNow() },
      {
        onSuccess: () => {
          onLogged();
          notice({ text: `${duration(entry.minutes)} logged.`, undo: () => withdraw.mutate(key, { onError: failed }) });
          if (goOn) packUp(key, itemIds);
        },
      },
    );
  };

  return {
    log,
    packUp,
    makeReady,
    reset: logPlay.reset,
    busy: logPlay.isPending || startRun.isPending,
    problem: logPlay.error?.message ?? null,
  };
}
