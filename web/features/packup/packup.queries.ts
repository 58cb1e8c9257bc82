import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { packupPaths, runView, type RunEventRequest, type StartRunRequest } from '#contract/packup.ts';
import { request } from '#web/api/http.ts';
import { recordChanged } from '#web/api/record-changes.ts';

export const packupQueries = {
  all: () => ['packup'] as const,
  run: (key: string) =>
    queryOptions({
      queryKey: [...packupQueries.all(), key],
      queryFn: ({ signal }) => request(runView, packupPaths.one(key), { signal }),
    }),
};

export function useStartRun() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: StartRunRequest) => request(runView, packupPaths.start, { method: 'POST', body }),
    onSuccess: (run) => {
      cache.setQueryData(packupQueries.run(run.key).queryKey, run);
      return recordChanged(cache);
    },
  });
}

/** Adds an event; the answer is the run as it stands, so no second request is needed to show it. */
export function useRunEvent(runKey: string) {
  const cache = useQueryClient();
  return useMutation({
    scope: { id: `run-${runKey}` },
    mutationFn: (body: RunEventRequest) => request(runView, packupPaths.events(runKey), { method: 'POST', body }),
    onSuccess: (run, event) => {
      cache.setQueryData(packupQueries.run(runKey).queryKey, run);
      if (event.kind === 'finished' || event.kind === 'last-pass') return recordChanged(cache);
      return undefined;
    },
  });
}
