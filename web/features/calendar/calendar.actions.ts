import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { InferType } from 'yup';
import { benchPaths, type BenchTermsRequest } from '#contract/bench.ts';
import {
  calendarInPaths,
  calendarPreview,
  type calendarPreviewRequest,
  type CalendarTakeRequest,
} from '#contract/calendar-in.ts';
import { calendarPaths, type EventRequest } from '#contract/calendar.ts';
import { feedView, sittingPaths } from '#contract/sittings.ts';
import { request } from '#web/api/http.ts';
import { wallNow } from '#web/clock/today.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { useWithdraw } from '#web/features/record/withdraw.actions.ts';
import { useLog } from '#web/features/record/log.actions.ts';

/** Enters an event, or takes one back; whatever is foreseen moves with it. */
export function useEvent() {
  const { withdraw } = useWithdraw();
  const entering = useLog({
    path: calendarPaths.events,
    about: (_event: Omit<EventRequest, 'key' | 'now' | 'corrects'>) => 'everything',
    form: true,
  });
  return { ...entering, remove: (key: string, onGone: () => void) => withdraw(key, 'everything', onGone) };
}

/** Says which bench one goes to, and how long an instrument is away. */
export const useBenchTerms = () =>
  useLog({
    path: benchPaths.terms,
    about: (_terms: Omit<BenchTermsRequest, 'key' | 'now' | 'corrects'>) => 'everything',
    form: true,
  });

/** Takes in what was chosen of a calendar file. */
export const useCalendarImport = () =>
  useLog({
    path: calendarInPaths.imports,
    about: (_file: Omit<CalendarTakeRequest, 'key' | 'now' | 'corrects'>) => 'everything',
    form: true,
  });

/** Reads a calendar file without taking anything in. */
export const useCalendarPreview = () =>
  useMutation({
    mutationFn: (file: Omit<InferType<typeof calendarPreviewRequest>, 'now'>) =>
      request(calendarPreview, calendarInPaths.preview, { method: 'POST', body: { ...file, now: wallNow() } }),
  });

/** Gives the calendar another address to subscribe to. */
export function useRenewFeed(playerId: string) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: () => request(feedView, sittingPaths.feed, { method: 'POST', body: { playerId } }),
    onSuccess: (feed) => cache.setQueryData(calendarQueries.feed(playerId).queryKey, feed),
  });
}
