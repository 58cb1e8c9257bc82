import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { playerList, playerPaths, playerView, type AddPlayerRequest, type PlayerView } from '#contract/players.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { useLog } from '#web/features/record/log.queries.ts';

export const playerQueries = {
  all: () => ['players'] as const,
  list: () =>
    queryOptions({
      queryKey: [...playerQueries.all(), 'list'],
      queryFn: ({ signal }) => request(playerList, playerPaths.list, { signal }),
    }),
};

export function useAddPlayer() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: AddPlayerRequest) => request(playerView, playerPaths.list, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

/** What somebody is and does themselves from now on. */
export const useLogProfile = () => useLog<{ readonly playerId: string } & Omit<PlayerView, 'id'>>(playerPaths.profiles);
