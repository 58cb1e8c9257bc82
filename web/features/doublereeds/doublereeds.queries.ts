import { queryOptions } from '@tanstack/react-query';
import { cardView, chooseView, doubleReedPaths, tableView } from '#contract/doublereeds.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const doubleReedQueries = {
  table: (reedId: string, today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['doublereeds', 'table', reedId, today],
      queryFn: ({ signal }) => request(tableView, doubleReedPaths.tableOf(reedId, today), { signal }),
      // What lay in water or out of it while the page was away is another thing when it comes back.
      refetchOnMount: 'always' as const,
    }),
  choose: (instrumentId: string, today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['doublereeds', 'choose', instrumentId, today],
      queryFn: ({ signal }) => request(chooseView, doubleReedPaths.chooseOf(instrumentId, today), { signal }),
    }),
  card: (reedId: string, today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['doublereeds', 'card', reedId, today],
      queryFn: ({ signal }) => request(cardView, doubleReedPaths.cardOf(reedId, today), { signal }),
    }),
};
