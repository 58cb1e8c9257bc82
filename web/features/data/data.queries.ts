import { queryOptions } from '@tanstack/react-query';
import type { LocalDate } from '#core/time/local-date.ts';
import { dataPaths, dataView, incomingView } from '#contract/data.ts';
import { ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

/** So often it is asked how far a file is, ms. */
const LOOK_AGAIN_MS = 250;

export const dataQueries = {
  page: (today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['data', today],
      queryFn: ({ signal }) => request(dataView, `${dataPaths.page}?today=${today}`, { signal }),
    }),
  /** A file that was brought in; asked again while something is done with it. */
  incoming: (id: string) =>
    queryOptions({
      meta: { about: 'book' },
      queryKey: ['incoming', id],
      queryFn: ({ signal }) => request(incomingView, dataPaths.one(id), { signal }),
      refetchInterval: ({ state: { data } }) =>
        data === undefined || data.phase === 'reading' || data.phase === 'taking' ? LOOK_AGAIN_MS : false,
      retry: false,
    }),
};
