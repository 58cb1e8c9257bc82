import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { breakPaths, breakView } from '#contract/breaks.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const breakQueries = {
  of: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['breaks', instrumentId, today],
      queryFn: ({ signal }) => request(breakView, breakPaths.one(instrumentId, today), { signal }),
    }),
};
