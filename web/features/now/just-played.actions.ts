import { duration } from '#core/explain/format.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { useBeginRun } from '#web/features/packup/begin-run.actions.ts';
import type { PlayedEntry, ReedEntry } from '#web/features/plays/parts/PlayedSheet.tsx';
import { useReedPlay } from '#web/features/reeds/reeds.actions.ts';
import { useLogPlay } from '#web/features/plays/plays.actions.ts';

/** Logs a play, and goes on to packing up if asked. The play's Undo stays at hand either way. */
export function useJustPlayed(instrumentId: InstrumentId, playerId: PlayerId) {
  const play = useLogPlay();
  const { begin, busy } = useBeginRun();
  const reeds = useReedPlay();

  const packUp = (playKey: string | null, itemIds: readonly CareItemId[], minutesAtHand: number | null) =>
    begin({ kind: 'after', playerId, parts: [{ instrumentId, playKey, itemIds: [...itemIds] }], minutesAtHand });
  const finishLeft = (itemIds: readonly CareItemId[]) =>
    begin({ kind: 'care', playerId, parts: [{ instrumentId, itemIds: [...itemIds] }] });
  const makeReady = () => begin({ kind: 'before', playerId, parts: [{ instrumentId }] });

  type After = { readonly minutesAtHand: number | null } | null;
  /** What was played, on which reed, and whether it is packed up now. */
  type Played = { readonly entry: PlayedEntry; readonly reed: ReedEntry; readonly after: After };
  const log = ({ entry, reed, after }: Played, itemIds: readonly CareItemId[], onLogged: () => void) =>
    play.log(
      { instrumentId, playerId, ...entry },
      {
        said: `${duration(entry.minutes)} logged.`,
        onLogged: (_answer, key) => {
          onLogged();
          // Where this does not arrive, the play stands without its reed and can be completed under Reeds.
          if (reed)
            reeds.alsoSay({
              playKey: key,
              shares: [{ reedId: reed.reedId, minutes: entry.minutes }],
              high: reed.high,
            });
          if (after) packUp(key, itemIds, after.minutesAtHand);
        },
      },
    );

  return {
    log,
    packUp,
    finishLeft,
    makeReady,
    open: play.open,
    busy: play.busy || busy,
    problem: play.problem,
  };
}
