import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { agentList, agentPaths, mixingView, verdictsView } from '#contract/agents.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { aboutInstrument, ABOUT_THE_BOOK } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const agentQueries = {
  all: () => ['agents'] as const,
  list: () =>
    queryOptions({
      meta: ABOUT_THE_BOOK,
      queryKey: [...agentQueries.all(), 'list'],
      queryFn: ({ signal }) => request(agentList, agentPaths.list, { signal }),
    }),
  /** Null: on any instrument. */
  verdicts: (agentId: string, instrumentId: InstrumentId | null, today: LocalDate) =>
    queryOptions({
      meta: instrumentId === null ? ABOUT_THE_BOOK : aboutInstrument(instrumentId),
      queryKey: [...agentQueries.all(), agentId, instrumentId, today],
      queryFn: ({ signal }) =>
        request(
          verdictsView,
          instrumentId === null ? agentPaths.anywhere(agentId) : agentPaths.verdicts(agentId, instrumentId, today),
          { signal },
        ),
    }),
  mixing: (one: string, other: string) =>
    queryOptions({
      meta: ABOUT_THE_BOOK,
      queryKey: [...agentQueries.all(), 'mixing', one, other],
      queryFn: ({ signal }) => request(mixingView, agentPaths.mixing(one, other), { signal }),
    }),
};
