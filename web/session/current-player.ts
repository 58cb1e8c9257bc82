import { REMEMBERED, remember, useRemembered } from '#web/session/stored.ts';

/** The player who holds the device, among those in the record; the first one until somebody says otherwise. */
export function useCurrentPlayer<P extends { readonly id: string }>(players: readonly P[] | undefined): P | undefined {
  const id = useRemembered(REMEMBERED.player);
  return players?.find((player) => player.id === id) ?? players?.[0];
}

export const choosePlayer = (id: string): void => remember(REMEMBERED.player, id);
