import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { inspectionPaths, inspectionsPage } from '#contract/inspections.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const inspectionQueries = {
  of: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['inspections', instrumentId, today],
      queryFn: ({ signal }) => request(inspectionsPage, inspectionPaths.page(instrumentId, today), { signal }),
    }),
};
