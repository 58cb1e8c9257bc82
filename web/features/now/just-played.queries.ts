import { duration } from '#core/explain/format.ts';
import { newKey } from '#web/api/new-key.ts';
import { wallNow } from '#web/clock/today.ts';
import { useBeginRun } from '#web/features/packup/begin-run.queries.ts';
import type { PlayedEntry } from '#web/features/plays/parts/PlayedSheet.tsx';
import { useLogPlay } from '#web/features/plays/plays.queries.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** Logs a play, and goes on to packing up if asked. The play's Undo stays at hand either way. */
export function useJustPlayed(instrumentId: string, playerId: string) {
  const logPlay = useLogPlay();
  const { begin, busy } = useBeginRun();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const failed = (error: Error) => notice({ text: error.message, tone: 'failed' });

  const packUp = (playKey: string | null, itemIds: readonly string[], minutesAtHand: number | null) =>
    begin({ kind: 'after', playerId, parts: [{ instrumentId, playKey, itemIds: [...itemIds] }], minutesAtHand });
  const finishLeft = (itemIds: readonly string[]) =>
    begin({ kind: 'care', playerId, parts: [{ instrumentId, itemIds: [...itemIds] }] });
  const makeReady = () => begin({ kind: 'before', playerId, parts: [{ instrumentId }] });

  type After = { readonly minutesAtHand: number | null } | null;
  const log = (entry: PlayedEntry, after: After, itemIds: readonly string[], onLogged: () => void) => {
    const key = newKey();
    logPlay.mutate(
      { key, instrumentId, playerId, ...entry, now: wallNow() },
      {
        onSuccess: () => {
          onLogged();
          notice({ text: `${duration(entry.minutes)} logged.`, undo: () => withdraw.mutate(key, { onError: failed }) });
          if (after) packUp(key, itemIds, after.minutesAtHand);
        },
      },
    );
  };

  return {
    log,
    packUp,
    finishLeft,
    makeReady,
    reset: logPlay.reset,
    busy: logPlay.isPending || busy,
    problem: logPlay.error?.message ?? null,
  };
}
