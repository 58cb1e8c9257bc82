import { useQuery } from '@tanstack/react-query';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { wallNow } from '#web/clock/today.ts';
import type { useJustPlayed } from '#web/features/now/just-played.actions.ts';
import { PlayedSheet } from '#web/features/plays/parts/PlayedSheet.tsx';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';

type PlayedNowProps = {
  readonly page: InstrumentPage;
  /** Due work that comes along when it is packed up. */
  readonly along: readonly { readonly itemId: CareItemId; readonly name: string }[];
  readonly played: ReturnType<typeof useJustPlayed>;
  readonly onClose: () => void;
};

/** "I have just played", on the reed for now where it is played on reeds. It comes with its first tap. */
export function PlayedNow({ page: { instrument, week, onReeds, alone }, along, played, onClose }: PlayedNowProps) {
  const reeds = useQuery({ ...reedQueries.of(instrument.playerId, wallNow()), enabled: onReeds });
  // The sheet is drawn in one go; where nobody answers it comes without the reeds, which can be said later.
  const isAsking = onReeds && reeds.isPending && reeds.failureCount === 0;
  const offered = (reeds.data?.kinds ?? [])
    .filter(({ instruments }) => instruments.some((one) => one.instrumentId === instrument.id))
    .flatMap(({ today, choices, first }) => [
      ...today.play.filter(({ isBrokenIn }) => isBrokenIn),
      ...today.play,
      ...(today.beyond ? [today.beyond] : []),
      ...choices,
      ...first,
    ])
    .map(({ reedId, name }) => ({ reedId, name }))
    .filter(({ reedId }, at, all) => all.findIndex((one) => one.reedId === reedId) === at);
  if (isAsking) return null;
  return (
    <PlayedSheet
      instrumentName={instrument.name}
      usualMinutes={week.usualPlayMinutes}
      parts={alone}
      now={wallNow()}
      along={along.map(({ name }) => name)}
      reeds={offered}
      problem={played.problem}
      busy={played.busy}
      onClose={onClose}
      onLog={(entry, after, reed) =>
        played.log(
          { entry, after, reed },
          along.map(({ itemId }) => itemId),
          onClose,
        )
      }
    />
  );
}
