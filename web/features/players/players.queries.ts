import { queryOptions } from '@tanstack/react-query';
import { playerList, playerPaths } from '#contract/players.ts';
import { ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const playerQueries = {
  all: () => ['players'] as const,
  list: () =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: [...playerQueries.all(), 'list'],
      queryFn: ({ signal }) => request(playerList, playerPaths.list, { signal }),
    }),
};
