import { queryOptions } from '@tanstack/react-query';
import { careOverview, carePaths } from '#contract/care.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const careQueries = {
  overview: (today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['care', 'overview', today],
      queryFn: ({ signal }) => request(careOverview, carePaths.overview(today), { signal }),
    }),
};
