import { useInstrumentId } from '#web/session/instrument-id.ts';
import { useQuery } from '@tanstack/react-query';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { ReedsOfKind } from '#web/features/reeds/compartments/ReedsOfKind.tsx';

function ReedsOf({
  playerId,
  instrumentId,
}: {
  readonly playerId: PlayerId;
  /** Empty: all of them. */
  readonly instrumentId: InstrumentId;
}) {
  useToday();
  const query = useQuery(reedQueries.of(playerId, wallNow()));
  return (
    <QueryView query={query} height={520}>
      {({ kinds, currency }) => {
        const shown = kinds.filter(
          ({ instruments }) => instrumentId === '' || instruments.some((one) => one.instrumentId === instrumentId),
        );
        if (shown.length === 0)
          return (
            <Problem
              title="No reeds here"
              text="This page keeps the reeds of clarinets, saxophones, double reeds and pipes."
              to="/now"
              action="Go to Now"
            />
          );
        return shown.map((ofKind) => (
          <ReedsOfKind key={ofKind.kind} of={ofKind} playerId={playerId} currency={currency} />
        ));
      }}
    </QueryView>
  );
}

/** The reeds of whoever holds the device, or of the instrument the address names and its player. */
export function ReedsPage() {
  const instrumentId = useInstrumentId();
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const players = useQuery(playerQueries.list());
  return (
    <QueryView query={shelf} height={520}>
      {(places) => (
        <CurrentPlayer players={players} height={520}>
          {(current) => {
            const playerId = places.find(({ id }) => id === instrumentId)?.playerId ?? current?.id;
            return playerId === undefined ? null : (
              <ReedsOf key={`${playerId} ${instrumentId}`} playerId={playerId} instrumentId={instrumentId} />
            );
          }}
        </CurrentPlayer>
      )}
    </QueryView>
  );
}
