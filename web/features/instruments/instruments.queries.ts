import { queryOptions } from '@tanstack/react-query';
import { instrumentPaths, kindList, shelfView } from '#contract/instruments.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { ABOUT_THE_BOOK, ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const instrumentQueries = {
  all: () => ['instruments'] as const,
  kinds: () =>
    queryOptions({
      meta: ABOUT_THE_BOOK,
      queryKey: [...instrumentQueries.all(), 'kinds'],
      queryFn: ({ signal }) => request(kindList, instrumentPaths.kinds, { signal }),
    }),
  shelf: (today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: [...instrumentQueries.all(), 'shelf', today],
      queryFn: ({ signal }) => request(shelfView, instrumentPaths.shelf(today), { signal }),
    }),
};
