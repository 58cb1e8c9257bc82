import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { InterviewWay } from '#core/faults/interview.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { faultBook, faultPaths, faultsPage } from '#contract/faults.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const faultQueries = {
  /** As it is told to who holds the device: a parent does not read what is said to a child. */
  page: (instrumentId: InstrumentId, today: LocalDate, way: InterviewWay, by: PlayerId | undefined) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['faults', instrumentId, today, way, by],
      queryFn: ({ signal }) => request(faultsPage, faultPaths.page(instrumentId, today, way, by ?? ''), { signal }),
      enabled: by !== undefined,
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
