import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { WallClock } from '#core/plays/play.ts';
import { todayPaths, todayView } from '#contract/today.ts';
import { aboutPlayer } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

/** How long a list may say "for 20 min" before it asks again, minutes. */
const QUARTER_HOUR = 15;

export const todayQueries = {
  of: (playerId: string, { on, atMinute }: WallClock) => {
    const asked = { on, atMinute: Math.floor(atMinute / QUARTER_HOUR) * QUARTER_HOUR };
    return queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['today', playerId, asked.on, asked.atMinute],
      queryFn: ({ signal }) => request(todayView, todayPaths.of(playerId, asked), { signal }),
      placeholderData: keepPreviousData,
    });
  },
};
