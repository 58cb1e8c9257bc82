import { queryOptions } from '@tanstack/react-query';
import type { LocalDate } from '#core/time/local-date.ts';
import { calendarPaths, eventList } from '#contract/calendar.ts';
import { ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const calendarQueries = {
  of: (playerId: string, today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['events', playerId, today],
      queryFn: ({ signal }) => request(eventList, calendarPaths.of(playerId, today), { signal }),
    }),
};
