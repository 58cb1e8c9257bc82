import { queryOptions } from '@tanstack/react-query';
import { packupPaths, runView, type RunView } from '#contract/packup.ts';
import { aboutRun } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const packupQueries = {
  all: () => ['packup'] as const,
  run: (key: string) =>
    queryOptions({
      meta: aboutRun(key),
      queryKey: [...packupQueries.all(), key],
      queryFn: ({ signal }): Promise<RunView> => request(runView, packupPaths.one(key), { signal }),
      // A phone that was asleep looks what has happened to the run meanwhile.
      refetchOnWindowFocus: 'always',
    }),
};
