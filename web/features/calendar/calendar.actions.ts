import { calendarPaths, type EventRequest } from '#contract/calendar.ts';
import { useLog } from '#web/features/record/log.actions.ts';

/** Enters an event; whatever is foreseen moves with it. */
export const useEvent = () =>
  useLog({
    path: calendarPaths.events,
    about: (_event: Omit<EventRequest, 'key' | 'now' | 'corrects'>) => 'everything',
    form: true,
  });
