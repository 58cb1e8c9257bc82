import { queryOptions } from '@tanstack/react-query';
import { carePaths, instrumentPage } from '#contract/care.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

/** All that is known of one instrument on a day, as the server tells it. */
export const instrumentPageQueries = {
  of: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['care', instrumentId, today],
      queryFn: ({ signal }) => request(instrumentPage, carePaths.page(instrumentId, today), { signal }),
    }),
};
