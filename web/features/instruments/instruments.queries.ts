import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import {
  instrumentPaths,
  kindList,
  shelfPlace,
  shelfView,
  type AddInstrumentRequest,
  type DepartureRequest,
  type ReviseBuildRequest,
} from '#contract/instruments.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

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

export function useReviseBuild() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: ReviseBuildRequest & { id: string }) =>
      request(shelfPlace, instrumentPaths.build(id), { method: 'PUT', body }),
    onSuccess: () => recordChanged(cache),
  });
}

export function useSetDeparture() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: DepartureRequest & { id: string }) =>
      request(shelfPlace, instrumentPaths.departure(id), { method: 'PUT', body }),
    onSuccess: () => recordChanged(cache),
  });
}
