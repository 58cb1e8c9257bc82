import { useQuery } from '@tanstack/react-query';
import { OfThisDevice } from '#web/features/settings/parts/OfThisDevice.tsx';
import { OfThePlayer } from '#web/features/settings/parts/OfThePlayer.tsx';
import { useSettle } from '#web/features/settings/settings.actions.ts';
import { settingsQueries } from '#web/features/settings/settings.queries.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';

/** What is settled once: how this device writes and types, and what the record takes as usual. */
export function SettingsPage() {
  const player = useCurrentPlayer(useQuery(playerQueries.list()).data);
  const query = useQuery({ ...settingsQueries.of(player?.id ?? ''), enabled: player !== undefined });
  const settle = useSettle();
  return (
    <TwoColumns wide="left">
      <Column>
        <OfThisDevice />
      </Column>
      <Column>
        {player && (
          <QueryView query={query} height={300}>
            {(view) => <OfThePlayer key={view.playerId} name={player.name} view={view} settle={settle} />}
          </QueryView>
        )}
      </Column>
    </TwoColumns>
  );
}
