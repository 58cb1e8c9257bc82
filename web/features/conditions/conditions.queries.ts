import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { conditionPaths, conditionsPage } from '#contract/conditions.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const conditionQueries = {
  all: () => ['conditions'] as const,
  page: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: [...conditionQueries.all(), instrumentId, today],
      queryFn: ({ signal }) => request(conditionsPage, conditionPaths.page(instrumentId, today), { signal }),
    }),
};
