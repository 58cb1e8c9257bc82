import { queryOptions } from '@tanstack/react-query';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { costPaths, costsView } from '#contract/costs.ts';
import { aboutPlayer } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const costQueries = {
  of: (playerId: PlayerId, today: LocalDate) =>
    queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['costs', playerId, today],
      queryFn: ({ signal }) => request(costsView, costPaths.page(playerId, today), { signal }),
    }),
};
