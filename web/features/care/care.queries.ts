import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { careOverview, carePaths, instrumentPage } from '#contract/care.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { aboutInstrument, ABOUT_THE_RECORD } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const careQueries = {
  all: () => ['care'] as const,
  overview: (today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: [...careQueries.all(), 'overview', today],
      queryFn: ({ signal }) => request(careOverview, carePaths.overview(today), { signal }),
    }),
  page: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: [...careQueries.all(), instrumentId, today],
      queryFn: ({ signal }) => request(instrumentPage, carePaths.page(instrumentId, today), { signal }),
    }),
};
