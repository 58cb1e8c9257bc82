import { duration } from '#core/explain/format.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import { wallNow } from '#web/clock/today.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import type { PlayedEntry, ReedEntry } from '#web/features/plays/parts/PlayedSheet.tsx';
import { useLogPlay } from '#web/features/plays/plays.actions.ts';

/** Logs a play, and goes on to packing up if asked. The play's Undo stays at hand either way. */
export function useJustPlayed(instrumentId: InstrumentId, playerId: PlayerId) {
  const play = useLogPlay();
  const { begin, busy } = useBeginRun();

  const packUp = (playKey: string | null, itemIds: readonly CareItemId[], minutesAtHand: number | null) =>
    begin({ kind: 'after', playerId, parts: [{ instrumentId, playKey, itemIds: [...itemIds] }], minutesAtHand });
  const finishLeft = (itemIds: readonly CareItemId[]) =>
    begin({ kind: 'care', playerId, parts: [{ instrumentId, itemIds: [...itemIds] }] });
  /** Made ready as it is usually played; null: all of it. */
  const makeReady = (alone?: null) =>
    begin({ kind: 'before', playerId, parts: [{ instrumentId, ...(alone === null && { alone }) }] });

  type After = { readonly minutesAtHand: number | null } | null;
  /** What was played, and whether it is packed up now. */
  type Played = { readonly entry: PlayedEntry; readonly after: After; readonly reed: ReedEntry };
  const log = ({ entry, after, reed }: Played, itemIds: readonly CareItemId[], onLogged: () => void) =>
    play.log(
      {
        instrumentId,
        playerId,
        ...entry,
        reeds: reed && { shares: [{ reedId: reed.reedId, minutes: entry.minutes }], high: reed.high },
      },
      {
        said: `${duration(entry.minutes)} logged.`,
        onLogged: (key) => {
          onLogged();
          if (after) packUp(key, itemIds, after.minutesAtHand);
        },
      },
    );

  /** What was played up to a break: written down, and packed up later. */
  const logSoFar = (minutes: number, alone: AloneId | null, onLogged: () => void) => {
    const { on: endedOn, atMinute: endedAtMinute } = wallNow();
    const entry = { minutes, endedOn, endedAtMinute, roomCelsius: null, alone };
    log({ entry, after: null, reed: null }, [], onLogged);
  };

  return {
    log,
    logSoFar,
    packUp,
    finishLeft,
    makeReady,
    open: play.open,
    busy: play.busy || busy,
    problem: play.problem,
  };
}
