import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { benchPaths, ticketView, yearView } from '#contract/bench.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const benchQueries = {
  ticket: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['bench', 'ticket', instrumentId, today],
      queryFn: ({ signal }) => request(ticketView, benchPaths.ticket(instrumentId, today), { signal }),
    }),
  year: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['bench', 'year', instrumentId, today],
      queryFn: ({ signal }) => request(yearView, benchPaths.year(instrumentId, today), { signal }),
    }),
};
