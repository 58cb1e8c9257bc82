import { useQuery } from '@tanstack/react-query';
import { useToday } from '#web/clock/today.ts';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { EventSheet } from '#web/features/calendar/parts/EventSheet.tsx';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import type { CorrectingProps } from '#web/features/record/compartments/correcting.ts';

/** Puts an event of the record right, also one that is over. */
export function CorrectEvent({ entryKey, said, onClose }: CorrectingProps<'event'>) {
  const event = useEvent();
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  if (shelf.data === undefined) return null;
  const instruments = shelf.data
    .filter(({ playerId }) => playerId === said.playerId)
    .map(({ id, name }) => ({ instrumentId: id, name }));
  const { repeats, atMinute = null, minutesOf = [], stay = null, ...rest } = said;
  const series = repeats ? { key: entryKey, on: said.on, repeats } : null;
  const old = { ...rest, key: entryKey, atMinute, minutesOf, series, stay, calendar: null, asImported: false };
  return <EventSheet playerId={said.playerId} instruments={instruments} old={old} event={event} onClose={onClose} />;
}
