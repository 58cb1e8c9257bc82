import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { WallClock } from '#core/plays/play.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { reedDaysView } from '#contract/reed-views.ts';
import { reedPaths } from '#contract/reeds.ts';
import { sittingPaths, sittingsView } from '#contract/sittings.ts';
import { aboutPlayer } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const sittingQueries = {
  of: (playerId: string, today: LocalDate) =>
    queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['sittings', playerId, today],
      queryFn: ({ signal }) => request(sittingsView, sittingPaths.of(playerId, today), { signal }),
      placeholderData: keepPreviousData,
    }),
  reedDays: (playerId: string, now: WallClock) =>
    queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['reed-days', playerId, now.on],
      queryFn: ({ signal }) => request(reedDaysView, reedPaths.daysOf(playerId, now), { signal }),
      placeholderData: keepPreviousData,
    }),
};
