import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { InterviewWay } from '#core/faults/interview.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { faultBook, faultPaths, faultsPage } from '#contract/faults.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const faultQueries = {
  page: (instrumentId: InstrumentId, today: LocalDate, way: InterviewWay) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['faults', instrumentId, today, way],
      queryFn: ({ signal }) => request(faultsPage, faultPaths.page(instrumentId, today, way), { signal }),
      // Going on to be sure is no other page.
      placeholderData: keepPreviousData,
    }),
  book: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['faults', 'book', instrumentId, today],
      queryFn: ({ signal }) => request(faultBook, faultPaths.book(instrumentId, today), { signal }),
    }),
};
