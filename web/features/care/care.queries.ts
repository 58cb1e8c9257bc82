import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import {
  careEntryView,
  careOverview,
  carePaths,
  instrumentPage,
  type LogCareRequest,
  type LogDecisionRequest,
  type LogSignRequest,
  type ResetWetnessRequest,
} from '#contract/care.ts';
import { loggedKey } from '#contract/scalars.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

export const careQueries = {
  all: () => ['care'] as const,
  overview: (today: LocalDate) =>
    queryOptions({
      queryKey: [...careQueries.all(), 'overview', today],
      queryFn: ({ signal }) => request(careOverview, carePaths.overview(today), { signal }),
    }),
  page: (instrumentId: string, today: LocalDate) =>
    queryOptions({
      queryKey: [...careQueries.all(), instrumentId, today],
      queryFn: ({ signal }) => request(instrumentPage, carePaths.page(instrumentId, today), { signal }),
    }),
};

export function useLogCare() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: LogCareRequest) => request(careEntryView, carePaths.log, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

export function useLogSign() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: LogSignRequest) => request(loggedKey, carePaths.signs, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

export function useLogDecision() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: LogDecisionRequest) => request(loggedKey, carePaths.decisions, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

export function useResetWetness() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: ResetWetnessRequest) => request(loggedKey, carePaths.wetnessResets, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}
