import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { instrumentPaths, kindList, shelfPlace, shelfView, type AddInstrumentRequest } from '#contract/instruments.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { useLog } from '#web/features/record/log.queries.ts';

export const instrumentQueries = {
  all: () => ['instruments'] as const,
  kinds: () =>
    queryOptions({
      queryKey: [...instrumentQueries.all(), 'kinds'],
      queryFn: ({ signal }) => request(kindList, instrumentPaths.kinds, { signal }),
    }),
  shelf: (today: LocalDate) =>
    queryOptions({
      queryKey: [...instrumentQueries.all(), 'shelf', today],
      queryFn: ({ signal }) => request(shelfView, instrumentPaths.shelf(today), { signal }),
    }),
};

export function useAddInstrument() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: AddInstrumentRequest) => request(shelfPlace, instrumentPaths.add, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

/** How an instrument is built from now on. */
export const useReviseBuild = () =>
  useLog<{ readonly instrumentId: string; readonly build: Readonly<Record<string, string>> }>(instrumentPaths.builds);

/** The day an instrument left the shelf; null where it came back. */
export const useSetDeparture = () =>
  useLog<{ readonly instrumentId: string; readonly leftOn: string | null }>(instrumentPaths.departures);
