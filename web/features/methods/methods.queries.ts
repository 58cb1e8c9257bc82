import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { methodPaths, methodsPage } from '#contract/methods.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const methodQueries = {
  all: () => ['methods'] as const,
  page: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: [...methodQueries.all(), instrumentId, today],
      queryFn: ({ signal }) => request(methodsPage, methodPaths.page(instrumentId, today), { signal }),
    }),
};
