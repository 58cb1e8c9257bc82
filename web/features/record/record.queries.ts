import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { recordPaths, recordView, withdrawalView } from '#contract/record.ts';
import { request } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { recordChanged } from '#web/api/record-changes.ts';

export const recordQueries = {
  all: () => ['record'] as const,
  of: (instrumentId: string, limit: number) =>
    queryOptions({
      queryKey: [...recordQueries.all(), instrumentId, limit],
      queryFn: ({ signal }) => request(recordView, recordPaths.of(instrumentId, limit), { signal }),
    }),
};

/** Takes a log entry back. */
export function useWithdraw() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (targetKey: string) =>
      request(withdrawalView, recordPaths.withdraw, { method: 'POST', body: { key: newKey(), targetKey } }),
    onSuccess: () => recordChanged(cache),
  });
}
