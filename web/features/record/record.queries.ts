import { queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { recordPaths, recordView } from '#contract/record.ts';
import { aboutInstrument } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const recordQueries = {
  all: () => ['record'] as const,
  of: (instrumentId: InstrumentId, limit: number) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: [...recordQueries.all(), instrumentId, limit],
      queryFn: ({ signal }) => request(recordView, recordPaths.of(instrumentId, limit), { signal }),
    }),
};
