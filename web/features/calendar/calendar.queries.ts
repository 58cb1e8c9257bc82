import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { benchPaths, benchView, regionList } from '#contract/bench.ts';
import { calendarPaths, eventList } from '#contract/calendar.ts';
import { caseLidPaths, caseLidSheet } from '#contract/case-lid.ts';
import { ribbonPaths, ribbonView } from '#contract/ribbon.ts';
import { feedView, sittingPaths } from '#contract/sittings.ts';
import { ABOUT_THE_RECORD, aboutInstrument, aboutPlayer } from '#web/api/about.ts';
import { request } from '#web/api/http.ts';

export const calendarQueries = {
  of: (playerId: string, today: LocalDate) =>
    queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['events', playerId, today],
      queryFn: ({ signal }) => request(eventList, calendarPaths.of(playerId, today), { signal }),
    }),
  bench: (playerId: string, today: LocalDate) =>
    queryOptions({
      meta: aboutPlayer(playerId),
      queryKey: ['bench', playerId, today],
      queryFn: ({ signal }) => request(benchView, benchPaths.of(playerId, today), { signal }),
      placeholderData: keepPreviousData,
    }),
  regions: () =>
    queryOptions({
      queryKey: ['regions'],
      queryFn: ({ signal }) => request(regionList, benchPaths.regions, { signal }),
      staleTime: Infinity,
    }),
  everybody: (today: LocalDate) =>
    queryOptions({
      meta: ABOUT_THE_RECORD,
      queryKey: ['ribbon', today],
      queryFn: ({ signal }) => request(ribbonView, ribbonPaths.of(today), { signal }),
    }),
  caseLid: (instrumentId: InstrumentId, today: LocalDate) =>
    queryOptions({
      meta: aboutInstrument(instrumentId),
      queryKey: ['case-lid', instrumentId, today],
      queryFn: ({ signal }) => request(caseLidSheet, caseLidPaths.of(instrumentId, today), { signal }),
    }),
  feed: (playerId: string) =>
    queryOptions({
      queryKey: ['feed', playerId],
      queryFn: ({ signal }) => request(feedView, sittingPaths.feedOf(playerId), { signal }),
    }),
};
