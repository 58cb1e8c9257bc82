import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { ListedPlayer } from '#core/players/profile.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { QueryView } from '#web/ui/QueryView.tsx';

type CurrentPlayerProps = {
  readonly height: number;
  readonly children: (player: ListedPlayer | undefined) => ReactNode;
};

/**
 * What hangs on who holds the device waits until that is known: nobody yet is not the same as nobody. `undefined` is a
 * record without players.
 */
export function CurrentPlayer({ height, children }: CurrentPlayerProps) {
  const players = useQuery(playerQueries.list());
  const player = useCurrentPlayer(players.data);
  return (
    <QueryView query={players} height={height}>
      {() => children(player)}
    </QueryView>
  );
}
