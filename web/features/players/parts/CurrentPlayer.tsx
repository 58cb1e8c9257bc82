import type { ReactNode } from 'react';
import type { ListedPlayer } from '#core/players/profile.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { QueryView, type QueryLike } from '#web/ui/QueryView.tsx';

type CurrentPlayerProps = {
  /** The players there are. */
  readonly players: QueryLike<readonly ListedPlayer[]>;
  readonly height: number;
  readonly children: (player: ListedPlayer | undefined) => ReactNode;
};

/**
 * What hangs on who holds the device waits until that is known: nobody yet is not the same as nobody. `undefined` is a
 * record without players.
 */
export function CurrentPlayer({ players, height, children }: CurrentPlayerProps) {
  const player = useCurrentPlayer(players.data);
  return (
    <QueryView query={players} height={height}>
      {() => children(player)}
    </QueryView>
  );
}
