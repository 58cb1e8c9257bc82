import type { EventKind } from '#core/calendar/event.ts';

export const EVENT_NAMES: Readonly<Record<EventKind, string>> = {
  concert: 'Concert',
  audition: 'Audition',
  rehearsal: 'Rehearsal',
  holiday: 'Holiday',
  travel: 'Journey',
  bench: 'Stay at the bench',
};
