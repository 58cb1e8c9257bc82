import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { InferType } from 'yup';
import { benchTermsFact } from '#contract/bench.ts';
import {
  calendarImportFact,
  calendarInPaths,
  calendarPreview,
  type calendarPreviewRequest,
} from '#contract/calendar-in.ts';
import { eventFact, type EventView } from '#contract/calendar.ts';
import type { Said } from '#contract/fact.ts';
import { feedView, sittingPaths } from '#contract/sittings.ts';
import { request } from '#web/api/http.ts';
import { wallNow } from '#web/clock/today.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { EVENT_NAMES } from '#web/features/calendar/parts/event-names.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';
import { useLog } from '#web/record/log.actions.ts';
import { useNotice } from '#web/ui/Notice.tsx';

/** What an event says, to be said again. */
const contentOf = ({
  key,
  calendar: _calendar,
  asImported: _asImported,
  series,
  ...content
}: EventView): Said<typeof eventFact> => ({ ...content, repeats: series?.key === key ? series.repeats : null });

/** Enters an event, or takes one back; whatever is foreseen moves with it. What was deleted is entered again by Undo. */
export function useEvent() {
  const { withdraw } = useWithdraw();
  const notice = useNotice();
  const entering = useLog(eventFact, { form: true });
  // By a tap, and no form: it says itself when it fails.
  const again = useLog(eventFact);
  const remove = (old: EventView, onGone?: () => void): void =>
    withdraw(old.key, () => {
      const words = EVENT_NAMES[old.what].toLowerCase();
      const undo = () => again.log(contentOf(old), { said: `The ${words} is back.` });
      notice({ text: `The ${words} is deleted.`, undo });
      onGone?.();
    });
  return { ...entering, remove };
}

/** Says which bench one goes to, and how long an instrument is away. */
export const useBenchTerms = () => useLog(benchTermsFact, { form: true });

/** Takes in what was chosen of a calendar file. */
export const useCalendarImport = () => useLog(calendarImportFact, { form: true });

/** Reads a calendar file without taking anything in. */
export const useCalendarPreview = () =>
  useMutation({
    mutationFn: (file: Omit<InferType<typeof calendarPreviewRequest>, 'now'>) =>
      request(calendarPreview, calendarInPaths.preview, { method: 'POST', body: { ...file, now: wallNow() } }),
  });

/** Gives the calendar another address to subscribe to, or ends the one it has. */
export function useRenewFeed(playerId: string) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (what: 'another' | 'none') =>
      request(feedView, what === 'none' ? sittingPaths.endFeed : sittingPaths.feed, {
        method: 'POST',
        body: { playerId },
      }),
    onSuccess: (feed) => cache.setQueryData(calendarQueries.feed(playerId).queryKey, feed),
  });
}
