import { queryOptions } from '@tanstack/react-query';
import { packupPaths, runView, type RunView } from '#contract/packup.ts';
import { aboutRun } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

/** A run, as the server tells it. */
export const runQueries = {
  all: () => ['packup'] as const,
  of: (key: string) =>
    queryOptions({
      meta: aboutRun(key),
      queryKey: [...runQueries.all(), key],
      queryFn: ({ signal }): Promise<RunView> => request(runView, packupPaths.one(key), { signal }),
      // A phone that was asleep looks what has happened to the run meanwhile.
      refetchOnWindowFocus: 'always',
    }),
};
