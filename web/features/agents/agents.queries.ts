import { queryOptions } from '@tanstack/react-query';
import { agentList, agentPaths, mixingView, verdictsView } from '#contract/agents.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { request } from '#web/api/http.ts';

export const agentQueries = {
  all: () => ['agents'] as const,
  list: () =>
    queryOptions({
      queryKey: [...agentQueries.all(), 'list'],
      queryFn: ({ signal }) => request(agentList, agentPaths.list, { signal }),
    }),
  verdicts: (agentId: string, instrumentId: string, today: LocalDate) =>
    queryOptions({
      queryKey: [...agentQueries.all(), agentId, instrumentId, today],
      queryFn: ({ signal }) => request(verdictsView, agentPaths.verdicts(agentId, instrumentId, today), { signal }),
    }),
  anywhere: (agentId: string) =>
    queryOptions({
      queryKey: [...agentQueries.all(), agentId],
      queryFn: ({ signal }) => request(verdictsView, agentPaths.anywhere(agentId), { signal }),
    }),
  mixing: (one: string, other: string) =>
    queryOptions({
      queryKey: [...agentQueries.all(), 'mixing', one, other],
      queryFn: ({ signal }) => request(mixingView, agentPaths.mixing(one, other), { signal }),
    }),
};
