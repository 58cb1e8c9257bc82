import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { loggedKey } from '#contract/scalars.ts';
import {
  conditionPaths,
  conditionsPage,
  type BeginConditionRequest,
  type EndConditionRequest,
} from '#contract/conditions.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

export const conditionQueries = {
  all: () => ['conditions'] as const,
  page: (instrumentId: string, today: LocalDate) =>
    queryOptions({
      queryKey: [...conditionQueries.all(), instrumentId, today],
      queryFn: ({ signal }) => request(conditionsPage, conditionPaths.page(instrumentId, today), { signal }),
    }),
};

export function useBeginCondition() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: BeginConditionRequest) => request(loggedKey, conditionPaths.begin, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}

export function useEndCondition() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: EndConditionRequest) => request(loggedKey, conditionPaths.end, { method: 'POST', body }),
    onSuccess: () => recordChanged(cache),
  });
}
