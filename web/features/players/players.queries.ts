import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import {
  playerList,
  playerPaths,
  playerView,
  type AddPlayerRequest,
  type RevisePlayerRequest,
} from '#contract/players.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

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

export function useRevisePlayer() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: RevisePlayerRequest & { readonly id: string }) =>
      request(playerView, playerPaths.one(id), { method: 'PUT', body }),
    onSuccess: () => recordChanged(cache),
  });
}
