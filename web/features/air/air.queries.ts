import { queryOptions } from '@tanstack/react-query';
import type { LocalDate } from '#core/time/local-date.ts';
import { airPaths, airView } from '#contract/air.ts';
import { aboutPlayer } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const airQueries = {
  of: (playerId: string, today: LocalDate) =>
    queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['air', playerId, today],
      queryFn: ({ signal }) => request(airView, airPaths.of(playerId, today), { signal }),
    }),
};
